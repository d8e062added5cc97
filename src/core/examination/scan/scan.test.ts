import fc from 'fast-check';
import { BoxGeometry, SphereGeometry } from 'three';
import { describe, expect, it } from 'vitest';
import { meshFormat, readMesh, writeStl } from '@/formats/mesh';
import { footScan, type ScannerSettings } from '@/simulators/foot-scanner';
import { measureScan, type ScanOptions } from './measure-scan';
import { type Mesh, signedVolume, turnedOver, vertexNormals, weld } from './mesh';
import { closeLoops, components, openLoops } from './topology';

const small = { rings: 160, spokes: 90 };
const read = (wanted: Partial<ScannerSettings>, options: Partial<ScanOptions> = {}) => {
  const { mesh, truth, settings } = footScan({ ...small, ...wanted });
  const reading = measureScan(mesh, { side: settings.side, ...options });
  if (!reading.ok) throw new Error(reading.problem.message);
  return { ...reading.value, truth, codes: reading.value.notes.map((note) => note.code) };
};
const LENGTHS = [
  'footLength',
  'heelBallLength',
  'ballWidth',
  'heelWidth',
  'toeHeight',
  'dorsumHeight',
] as const;
const GIRTHS = ['ballGirth', 'instepGirth'] as const;
const expectTruth = (reading: ReturnType<typeof read>) => {
  for (const key of LENGTHS)
    expect(Math.abs(reading.measures[key] - reading.truth[key]), key).toBeLessThan(1);
  for (const key of GIRTHS) expect(Math.abs(reading.measures[key] - reading.truth[key]), key).toBeLessThan(2);
};

describe('the modelled foot is recovered: lengths to 1 mm, girths to 2 mm', () => {
  it.each([
    ['as it stands', {}],
    [
      'a narrow woman’s foot',
      { lengthMm: 236, ballWidthMm: 86, ballGirthMm: 222, heelWidthMm: 58, dorsumHeightMm: 58 },
    ],
    [
      'a broad man’s foot',
      { lengthMm: 285, ballWidthMm: 112, ballGirthMm: 275, heelWidthMm: 72, dorsumHeightMm: 74 },
    ],
    [
      'a child’s foot',
      {
        lengthMm: 165,
        ballWidthMm: 66,
        ballGirthMm: 168,
        heelWidthMm: 44,
        dorsumHeightMm: 44,
        toeHeightMm: 17,
      },
    ],
    ['left', { side: 'left' }],
    ['lying anyhow', { turnDeg: [40, 130, 200] }],
    ['a little rough', { grainMm: 0.1 }],
    ['with the scanner’s floor', { floor: true, turnDeg: [10, 50, 20] }],
  ] as [string, Partial<ScannerSettings>][])('%s', (_, wanted) => {
    const reading = read(wanted);
    expectTruth(reading);
    expect(reading.seenSide).toBe(wanted.side ?? 'right');
  });

  it('however it is turned', () => {
    const degrees = fc.integer({ min: -180, max: 180 });
    fc.assert(
      fc.property(degrees, degrees, degrees, (a, b, c) => expectTruth(read({ turnDeg: [a, b, c] }))),
      { numRuns: 12, seed: 11 },
    );
  }, 30_000);

  it('wherever it lies', () => {
    const { mesh, truth } = footScan(small);
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: -900, max: 900 }),
          fc.integer({ min: -900, max: 900 }),
          fc.integer({ min: -900, max: 900 }),
        ),
        (shift) => {
          const moved: Mesh = {
            positions: mesh.positions.map((value, at) => value + shift[at % 3]!),
            triangles: mesh.triangles,
          };
          const reading = measureScan(moved, { side: 'right' });
          expect(reading.ok && Math.abs(reading.value.measures.footLength - truth.footLength)).toBeLessThan(
            1,
          );
          expect(reading.ok && Math.abs(reading.value.measures.ballGirth - truth.ballGirth)).toBeLessThan(2);
        },
      ),
      { numRuns: 5, seed: 2 },
    );
  }, 30_000);

  it.each(['cm', 'm', 'in'] as const)('a file in %s reads the same and says so', (unit) => {
    const reading = read({ unit });
    expectTruth(reading);
    expect(reading.codes).toContain('unit');
  });

  it('a mirrored scan is the other foot', () => {
    const left = read({ side: 'left' });
    const right = read({ side: 'right' });
    for (const key of [...LENGTHS, ...GIRTHS]) expect(left.measures[key]).toBeCloseTo(right.measures[key], 1);
    expect(read({ side: 'left' }, { side: 'right' }).codes).toContain('wrong-side');
  });
});

describe('visible repairs', () => {
  it('turns an inside-out surface over', () =>
    expect(read({ insideOut: true }).codes).toContain('turned-over'));
  it('closes small holes and counts them', () => {
    const reading = read({ holes: 3 });
    expectTruth(reading);
    expect(reading.notes.find((note) => note.code === 'holes-closed')?.message).toMatch(/^[1-3] small/);
  });
  it('says that the sole is missing', () => {
    const reading = read({ openSole: true, turnDeg: [0, 70, 0] });
    expect(reading.codes).toContain('sole-open');
    expect(Math.abs(reading.measures.footLength - 258)).toBeLessThan(1);
  });
  it('smooths a rough surface first', () => expect(read({ grainMm: 0.4 }).codes).toContain('smoothed'));
  it('reports each stage', () => {
    const stages: string[] = [];
    read({}, { onProgress: (stage) => stages.push(stage) });
    expect(stages).toEqual(['pieces', 'holes', 'floor', 'axis', 'measures', 'done']);
  });
});

describe('meshes that are no foot', () => {
  const code = (mesh: Mesh, options: Partial<ScanOptions> = {}) => {
    const reading = measureScan(mesh, { side: 'right', ...options });
    return reading.ok ? null : reading.problem.code;
  };
  const geometry = (shape: BoxGeometry | SphereGeometry) =>
    weld(shape.toNonIndexed().attributes.position!.array as Float32Array);

  it('nothing', () =>
    expect(code({ positions: new Float32Array(0), triangles: new Uint32Array(0) })).toBe('empty'));
  it('a few triangles', () => expect(code(geometry(new BoxGeometry(250, 90, 60)))).toBe('too-coarse'));
  it('a ball', () =>
    expect(['no-floor', 'not-a-foot']).toContain(code(geometry(new SphereGeometry(120, 60, 40)))));
  it('a size that is no foot in any unit', () => {
    expect(code(geometry(new SphereGeometry(30_000, 60, 40)))).toBe('unit');
  });
  it('a size that could be two units asks', () => {
    const { mesh } = footScan({ ...small, lengthMm: 285, unit: 'in' });
    expect(code(mesh)).toBe('unit');
    expect(code(mesh, { unit: 'in' })).toBeNull();
    expect(code(mesh, { unit: 'm' })).toBe('unit');
  });
  it('points without a place', () => {
    const { mesh } = footScan(small);
    mesh.positions[77] = Number.NaN;
    expect(code(mesh)).toBe('broken');
  });
});

describe('topology', () => {
  const box = weld(
    new BoxGeometry(2, 3, 4, 4, 4, 4).toNonIndexed().attributes.position!.array as Float32Array,
  );
  it('a welded box has the corners of a box and no open edge', () => {
    expect(box.positions.length / 3).toBe(98);
    expect(openLoops(box)).toEqual([]);
    expect(components(box).sizes).toEqual([98]);
    expect(signedVolume(box)).toBeCloseTo(24, 4);
    expect(signedVolume(turnedOver(box))).toBeCloseTo(-24, 4);
  });
  it('the normals of a ball point away from its middle, and of an inside-out one towards it', () => {
    const ball = weld(
      new SphereGeometry(50, 40, 30).toNonIndexed().attributes.position!.array as Float32Array,
    );
    const outward = (mesh: Mesh) => {
      const normals = vertexNormals(mesh);
      return Array.from({ length: normals.length / 3 }, (_, at) =>
        [0, 1, 2].reduce(
          (sum, axis) => sum + (normals[at * 3 + axis]! * mesh.positions[at * 3 + axis]!) / 50,
          0,
        ),
      );
    };
    expect(Math.min(...outward(ball))).toBeGreaterThan(0.99);
    expect(Math.max(...outward(turnedOver(ball)))).toBeLessThan(-0.99);
  });

  it('a hole is one loop and closing it restores the volume', () => {
    const open: Mesh = { positions: box.positions, triangles: box.triangles.slice(6) };
    const loops = openLoops(open);
    expect(loops).toHaveLength(1);
    expect(openLoops(closeLoops(open, loops))).toEqual([]);
    expect(Math.abs(signedVolume(closeLoops(open, loops)))).toBeCloseTo(24, 4);
  });
});

describe('mesh files', () => {
  const { mesh } = footScan(small);
  const text = (content: string) => new TextEncoder().encode(content).buffer as ArrayBuffer;
  const triangle = (at: number) => Array.from(mesh.triangles.slice(at * 3, at * 3 + 3));
  const point = (vertex: number) => Array.from(mesh.positions.slice(vertex * 3, vertex * 3 + 3)).join(' ');
  const count = mesh.triangles.length / 3;
  const ascii = () =>
    `solid foot\n${Array.from(
      { length: count },
      (_, at) =>
        `facet normal 0 0 0\nouter loop\n${triangle(at)
          .map((vertex) => `vertex ${point(vertex)}`)
          .join('\n')}\nendloop\nendfacet`,
    ).join('\n')}\nendsolid foot\n`;
  const vertices = Array.from({ length: mesh.positions.length / 3 }, (_, at) => point(at));
  const obj = () =>
    `# foot\n${vertices.map((place) => `v ${place}`).join('\n')}\n${Array.from(
      { length: count },
      (_, at) =>
        `f ${triangle(at)
          .map((vertex) => vertex + 1)
          .join(' ')}`,
    ).join('\n')}\n`;
  const ply = () =>
    `ply\nformat ascii 1.0\nelement vertex ${vertices.length}\nproperty float x\nproperty float y\nproperty float z\nelement face ${count}\nproperty list uchar int vertex_indices\nend_header\n${vertices.join('\n')}\n${Array.from({ length: count }, (_, at) => `3 ${triangle(at).join(' ')}`).join('\n')}\n`;
  const reference = measureScan(mesh, { side: 'right' });

  it.each([
    ['binary STL', 'foot.stl', () => writeStl(mesh)],
    ['ASCII STL', 'foot.stl', () => text(ascii())],
    ['PLY', 'foot.ply', () => text(ply())],
    ['OBJ', 'foot.obj', () => text(obj())],
    ['STL under another name', 'foot.dat', () => writeStl(mesh)],
  ] as [string, string, () => ArrayBuffer][])('%s gives the same length', (_, name, bytes) => {
    const back = readMesh(name, bytes());
    if (!back.ok) throw new Error(back.problem.message);
    const reading = measureScan(back.value, { side: 'right' });
    expect(reading.ok && reading.value.measures.footLength).toBeCloseTo(
      reference.ok ? reference.value.measures.footLength : 0,
      1,
    );
  });

  it.each([
    ['a cut STL', 'foot.stl', writeStl(mesh).slice(0, 5000), 'broken'],
    ['half a header', 'foot.stl', new ArrayBuffer(40), 'broken'],
    ['a picture', 'foot.png', text('PNG and more of the same'), 'format'],
    [
      'a PLY without a surface',
      'foot.ply',
      text(
        'ply\nformat ascii 1.0\nelement vertex 0\nproperty float x\nproperty float y\nproperty float z\nend_header\n',
      ),
      'empty',
    ],
    ['an OBJ without a surface', 'foot.obj', text('# nothing\nv 0 0 0\n'), 'empty'],
  ] as [string, string, ArrayBuffer, string][])('%s is refused', (_, name, bytes, code) => {
    const back = readMesh(name, bytes);
    expect(back.ok ? null : back.problem.code).toBe(code);
  });

  it('tells formats by content', () => {
    expect(meshFormat('x', writeStl(mesh))).toBe('stl');
    expect(meshFormat('x', text(ply()))).toBe('ply');
    expect(meshFormat('x.stl', text(ascii()))).toBe('stl');
  });
});
