import fc from 'fast-check';
import { BoxGeometry, CylinderGeometry, PlaneGeometry } from 'three';
import { describe, expect, it } from 'vitest';
import { footScan } from '@/simulators/foot-scanner';
import { loopNormal, towards, withoutFloorPieces, withoutJoinedFloor } from './floor';
import { footFrame, inFrame } from './frame';
import { rimOf, seenSide, widest } from './landmarks';
import { type Mesh, weld } from './mesh';
import type { ScanNote } from './reading';
import { standUpright, upDirection } from './stand';
import { keepTriangles, openLoops, roughness, smoothed } from './topology';
import { farthest, unitOf } from './unit';

const of = (geometry: BoxGeometry | CylinderGeometry | PlaneGeometry): Mesh =>
  weld(geometry.toNonIndexed().attributes.position!.array as Float32Array);
const joined = (...meshes: Mesh[]): Mesh => {
  const positions: number[] = [];
  const triangles: number[] = [];
  for (const mesh of meshes) {
    const base = positions.length / 3;
    positions.push(...mesh.positions);
    for (const vertex of mesh.triangles) triangles.push(vertex + base);
  }
  return { positions: Float32Array.from(positions), triangles: Uint32Array.from(triangles) };
};
const shifted = (mesh: Mesh, by: readonly [number, number, number]): Mesh => ({
  positions: mesh.positions.map((value, at) => value + by[at % 3]!),
  triangles: mesh.triangles,
});
const foot = footScan({ rings: 120, spokes: 70 }).mesh;

describe('the unit of a file without one', () => {
  const unit = (reach: number) => {
    const answer = unitOf(reach, null, []);
    return answer.ok ? answer.value : answer.problem.code;
  };
  it('follows from the size of a foot', () => {
    expect([265, 26.5, 0.265, 10.4].map(unit)).toEqual(['mm', 'cm', 'm', 'in']);
    expect(unit(12)).toBe('unit');
    expect(unit(3000)).toBe('unit');
  });
  it('is said when it is not millimetres, and refused when a chosen one makes no foot', () => {
    const notes: ScanNote[] = [];
    unitOf(0.26, null, notes);
    expect(notes.map((note) => note.code)).toEqual(['unit']);
    const wrong = unitOf(265, 'm', []);
    expect(wrong.ok ? '' : wrong.problem.message).toContain('265000 mm across: no foot is');
  });
  it('measures the reach of a box nearly as its diagonal', () => {
    const reach = farthest(of(new BoxGeometry(250, 90, 60)));
    expect(reach).toBeCloseTo(Math.hypot(250, 90, 60), 3);
  });
});

describe('floors', () => {
  const plate = shifted(of(new PlaneGeometry(420, 300, 30, 30)), [120, 0, -1]);
  it('a separate plate is taken away and says where down is; crumbs go too', () => {
    const crumb = shifted(of(new BoxGeometry(2, 2, 2, 3, 3, 3)), [300, 200, 40]);
    const notes: ScanNote[] = [];
    const { mesh, floor } = withoutFloorPieces(joined(foot, plate, crumb), notes);
    expect(mesh.triangles.length).toBe(foot.triangles.length);
    expect(Math.abs(floor![2])).toBeCloseTo(1, 5);
    expect(notes.map((note) => note.code)).toEqual(['floor-removed', 'pieces-removed']);
    expect(notes[1]!.message).toMatch(/^1 loose piece/);
  });
  it('a foot alone stays as it is', () => {
    const notes: ScanNote[] = [];
    expect(withoutFloorPieces(foot, notes).mesh).toBe(foot);
    expect(withoutJoinedFloor(standUpright(foot, [0, 0, 1]), notes).triangles.length).toBe(
      foot.triangles.length,
    );
    expect(notes).toEqual([]);
  });
  it('a plane’s normal is turned to the side on which the foot rises', () => {
    expect(towards(foot, [0, 0, 1])[2]).toBe(1);
    expect(towards(foot, [0, 0, -1])[2]).toBe(1);
  });
});

describe('which way is up', () => {
  it('is found however the foot lies', () => {
    const angle = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(angle, angle, (a, b) => {
        const turned: Mesh = { positions: foot.positions.slice(), triangles: foot.triangles };
        for (let at = 0; at < turned.positions.length; at += 3) {
          const [x, y, z] = foot.positions.subarray(at, at + 3) as unknown as [number, number, number];
          const y1 = y * Math.cos(a) - z * Math.sin(a);
          const z1 = y * Math.sin(a) + z * Math.cos(a);
          turned.positions[at] = x * Math.cos(b) + z1 * Math.sin(b);
          turned.positions[at + 1] = y1;
          turned.positions[at + 2] = -x * Math.sin(b) + z1 * Math.cos(b);
        }
        const up = upDirection(turned)!.up;
        const wanted = [Math.cos(a) * Math.sin(b), -Math.sin(a), Math.cos(a) * Math.cos(b)];
        expect(up[0] * wanted[0]! + up[1] * wanted[1]! + up[2] * wanted[2]!).toBeGreaterThan(0.999);
      }),
      { numRuns: 12, seed: 6 },
    );
  });
  it('standing puts the lowest point on 0 and keeps every distance', () => {
    const mesh = standUpright(foot, [0.6, 0, 0.8]);
    let low = Number.POSITIVE_INFINITY;
    for (let at = 2; at < mesh.positions.length; at += 3) low = Math.min(low, mesh.positions[at]!);
    expect(low).toBeCloseTo(0, 5);
    expect(farthest(mesh)).toBeCloseTo(farthest(foot), 2);
  });
});

describe('the frame and the landmarks of a foot', () => {
  it('start at the heel, point to the toes, and tell left from right', () => {
    for (const side of ['left', 'right'] as const) {
      const mesh = standUpright(
        footScan({ rings: 120, spokes: 70, side, turnDeg: [0, 0, 0] }).mesh,
        [0, 0, 1],
      );
      const frame = footFrame(mesh);
      if (!frame.ok) throw new Error(frame.problem.message);
      const placed = inFrame(mesh, frame.value);
      const rim = rimOf(placed, frame.value.length);
      expect(Math.abs(frame.value.length - 258)).toBeLessThan(1);
      expect(seenSide(placed, rim, frame.value.length)).toBe(side);
      const inner = widest(rim, frame.value.length, 0.66, 0.8, side === 'right' ? 1 : -1);
      expect(Math.abs(inner.x - 0.735 * 258)).toBeLessThan(1.5);
      expect(Math.sign(inner.y)).toBe(side === 'right' ? 1 : -1);
    }
  });
  it('a square is no foot', () => {
    const square = standUpright(of(new BoxGeometry(200, 190, 50, 20, 20, 5)), [0, 0, 1]);
    expect(footFrame(square).ok).toBe(false);
  });
});

describe('surfaces', () => {
  const tube = of(new CylinderGeometry(40, 40, 120, 48, 12, true));
  it('an open tube has two rims, and each lies square to its axis', () => {
    const loops = openLoops(tube);
    expect(loops.map((loop) => loop.length)).toEqual([48, 48]);
    for (const loop of loops) expect(Math.abs(loopNormal(tube, loop)[1])).toBeCloseTo(1, 5);
  });
  it('a triangle turned the other way is no hole', () => {
    const box = of(new BoxGeometry(2, 2, 2, 3, 3, 3));
    const triangles = box.triangles.slice();
    [triangles[1], triangles[2]] = [triangles[2]!, triangles[1]!];
    expect(openLoops({ positions: box.positions, triangles })).toEqual([]);
  });
  it('keeping a half leaves one rim, with only the vertices it needs', () => {
    const high = (vertex: number) => tube.positions[vertex * 3 + 1]! > -5;
    const half = keepTriangles(tube, (a, b, c) => high(a) && high(b) && high(c));
    expect(half.positions.length).toBeLessThan(tube.positions.length);
    expect(Math.max(...half.triangles)).toBe(half.positions.length / 3 - 1);
    expect(openLoops(half)).toHaveLength(2);
  });
  it('smoothing takes noise off and keeps the size', () => {
    const rough = footScan({ rings: 120, spokes: 70, grainMm: 0.5 }).mesh;
    const calm = smoothed(rough, 4);
    expect(roughness(calm)).toBeLessThan(roughness(rough) / 2);
    expect(Math.abs(farthest(calm) - farthest(rough))).toBeLessThan(3);
  });
});
