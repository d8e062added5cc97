import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { directions, extents, firstAxis, spreadOf } from './orient';
import { areaOf, emptyMask, type Mask, type Picture, shrink } from './picture';
import { depthMap, fillHoles, keepPieces, piecesOf, widen } from './pieces';
import { mirror, paint } from './read-print';
import { otsu, separate } from './separate';

/** A mask from rows of text: # is inside. */
const drawn = (...rows: string[]): Mask => ({
  width: rows[0]!.length,
  height: rows.length,
  data: Uint8Array.from(rows.join('').split(''), (mark) => (mark === '#' ? 1 : 0)),
});
const masks = fc
  .tuple(fc.integer({ min: 3, max: 14 }), fc.integer({ min: 3, max: 14 }))
  .chain(([width, height]) =>
    fc
      .array(fc.integer({ min: 0, max: 1 }), { minLength: width * height, maxLength: width * height })
      .map((bits): Mask => ({ width, height, data: Uint8Array.from(bits) })),
  );

describe('pieces of a mask', () => {
  it('are told apart by their sides, not by their corners, with area and middle', () => {
    const { pieces, labels } = piecesOf(drawn('##...', '##...', '..#..', '...##'));
    expect(pieces.map((piece) => piece.area)).toEqual([4, 1, 2]);
    expect(pieces[0]).toMatchObject({ x: 0.5, y: 0.5 });
    expect(pieces[2]).toMatchObject({ x: 3.5, y: 3 });
    expect(labels[2]).toBe(0);
  });

  it('add up to the mask, and keeping them all changes nothing', () => {
    fc.assert(
      fc.property(masks, (mask) => {
        const found = piecesOf(mask);
        expect(found.pieces.reduce((sum, piece) => sum + piece.area, 0)).toBe(areaOf(mask));
        expect(keepPieces(found, mask, () => true).data).toEqual(mask.data);
        expect(areaOf(keepPieces(found, mask, () => false))).toBe(0);
      }),
    );
  });

  it('holes are closed, bays are not, and large holes stay when they are asked to', () => {
    const ring = drawn('#####', '#...#', '#.#.#', '#...#', '#####');
    expect(areaOf(fillHoles(ring))).toBe(25);
    expect(areaOf(fillHoles(ring, 4))).toBe(areaOf(ring));
    const bay = drawn('###', '#..', '###');
    expect(fillHoles(bay).data).toEqual(bay.data);
  });

  it('filling never takes away, and filling twice is filling once', () => {
    fc.assert(
      fc.property(masks, (mask) => {
        const once = fillHoles(mask);
        for (let at = 0; at < mask.data.length; at += 1)
          expect(once.data[at]).toBeGreaterThanOrEqual(mask.data[at]!);
        expect(fillHoles(once).data).toEqual(once.data);
      }),
    );
  });
});

describe('depth (chamfer 3–4; Borgefors 1986, from memory)', () => {
  it('is within 8 % and a pixel of the true distance to the edge', () => {
    fc.assert(
      fc.property(masks, (mask) => {
        const depth = depthMap(mask, 60_000);
        for (let y = 1; y < mask.height - 1; y += 1)
          for (let x = 1; x < mask.width - 1; x += 1) {
            if (mask.data[y * mask.width + x] === 0) continue;
            let nearest = Number.POSITIVE_INFINITY;
            for (let v = 0; v < mask.height; v += 1)
              for (let u = 0; u < mask.width; u += 1)
                if (mask.data[v * mask.width + u] === 0)
                  nearest = Math.min(nearest, Math.hypot(u - x, v - y));
            const found = depth[y * mask.width + x]! / 3;
            if (Number.isFinite(nearest) && found < 1000)
              expect(Math.abs(found - nearest)).toBeLessThan(nearest * 0.08 + 1);
          }
      }),
      { numRuns: 60 },
    );
  });

  it('widening by two pixels makes a dot a disc that a wider one contains', () => {
    const dot = emptyMask(15, 15);
    dot.data[7 * 15 + 7] = 1;
    const disc = widen(dot, 2);
    expect(disc.data[7 * 15 + 9]).toBe(1);
    expect(disc.data[7 * 15 + 10]).toBe(0);
    expect(disc.data[9 * 15 + 9]).toBe(0);
    const wider = widen(dot, 3);
    for (let at = 0; at < disc.data.length; at += 1)
      expect(wider.data[at]).toBeGreaterThanOrEqual(disc.data[at]!);
  });
});

describe('Otsu’s threshold (Otsu 1979, from memory)', () => {
  it('parts two clusters between them and says the mean of each', () => {
    const levels = Uint8Array.from([...Array(60).fill(20), ...Array(40).fill(200)]);
    const cut = otsu(levels);
    expect(cut.threshold).toBeGreaterThanOrEqual(20);
    expect(cut.threshold).toBeLessThan(200);
    expect([cut.below, cut.above]).toEqual([20, 200]);
  });

  it('leaves the least variance within both parts, by brute force', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 4, maxLength: 40 }), (levels) => {
        const within = (threshold: number) => {
          const parts = [
            levels.filter((level) => level <= threshold),
            levels.filter((level) => level > threshold),
          ];
          return parts.reduce((sum, part) => {
            if (part.length === 0) return sum;
            const mean = part.reduce((total, level) => total + level, 0) / part.length;
            return sum + part.reduce((total, level) => total + (level - mean) ** 2, 0);
          }, 0);
        };
        fc.pre(new Set(levels).size > 1);
        const best = Math.min(...Array.from({ length: 256 }, (_, threshold) => within(threshold)));
        expect(within(otsu(levels).threshold)).toBeCloseTo(best, 4);
      }),
    );
  });
});

describe('pictures', () => {
  const noisy = (width: number, height: number): Picture => {
    const data = new Uint8ClampedArray(width * height * 4);
    for (let at = 0; at < data.length; at += 1) data[at] = at % 4 === 3 ? 255 : (at * 53) % 200;
    return { width, height, data };
  };

  it('shrink by whole blocks to their mean, and small ones not at all', () => {
    const small = noisy(40, 60);
    expect(shrink(small, 800)).toEqual({ picture: small, factor: 1 });
    const flat = { width: 90, height: 60, data: new Uint8ClampedArray(90 * 60 * 4).fill(120) };
    const { picture, factor } = shrink(flat, 30);
    expect([picture.width, picture.height, factor]).toEqual([30, 20, 3]);
    expect(picture.data[0]).toBe(120);
  });

  it('mirrored twice are as they were', () => {
    const picture = noisy(13, 9);
    expect(mirror(mirror(picture)).data).toEqual(picture.data);
    expect(mirror(picture).data.slice(0, 3)).toEqual(picture.data.slice(12 * 4, 12 * 4 + 3));
  });

  it('a dark bar on light paper and a light bar on dark paper part alike', () => {
    const bar = (ground: number, ink: number): Picture => {
      const data = new Uint8ClampedArray(60 * 90 * 4).fill(ground);
      for (let y = 20; y < 70; y += 1)
        for (let x = 20; x < 40; x += 1) data.fill(ink, (y * 60 + x) * 4, (y * 60 + x) * 4 + 3);
      return { width: 60, height: 90, data };
    };
    const [dark, light] = [separate(bar(230, 40)), separate(bar(40, 230))];
    expect(dark.ok && light.ok && dark.value.data).toEqual(light.ok && light.value.data);
    expect(dark.ok && Math.abs(areaOf(dark.value) - 1000)).toBeLessThan(30);
  });

  it('painting and wiping the same spot leaves only what was outside it', () => {
    const mask = drawn('.....', '.....', '.....', '.....', '....#');
    const painted = paint(mask, { x: 2, y: 2 }, 1, 1);
    expect(areaOf(painted)).toBe(6);
    expect(paint(painted, { x: 2, y: 2 }, 1, 0).data).toEqual(mask.data);
  });
});

describe('axis of a shape', () => {
  const bar = (turnDeg: number): Mask => {
    const mask = emptyMask(220, 220);
    const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
    for (let y = 0; y < 220; y += 1)
      for (let x = 0; x < 220; x += 1) {
        const u = (x - 110) * c + (y - 110) * s;
        const v = -(x - 110) * s + (y - 110) * c;
        // Wider at one end, as a foot is at its toes.
        if (Math.abs(u) < 80 && Math.abs(v) < (u > 0 ? 30 : 18)) mask.data[y * 220 + x] = 1;
      }
    return mask;
  };
  it.each([0, 30, 75, 140, 200, 310])(
    'follows a turn of %d° and puts the toes at the wide end',
    (turnDeg) => {
      const axis = firstAxis(bar(turnDeg));
      const { along, right, length } = directions(axis);
      const angle = (Math.atan2(along.y, along.x) * 180) / Math.PI;
      expect(Math.abs(((angle - turnDeg + 540) % 360) - 180)).toBeLessThan(3);
      expect(Math.hypot(right.x, right.y)).toBeCloseTo(1, 9);
      expect(along.x * right.x + along.y * right.y).toBeCloseTo(0, 9);
      expect(Math.abs(length - 160)).toBeLessThan(4);
      const box = extents(bar(turnDeg), axis.heel, along);
      expect(box.from).toBeGreaterThan(-3);
      expect(spreadOf(bar(turnDeg)).length).toBeGreaterThan(spreadOf(bar(turnDeg)).width);
    },
  );
});
