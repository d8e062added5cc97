import { describe, expect, it } from 'vitest';
import { clipInWords, differenceInWords, gaitDifferences, placingSd } from './differences';
import { BAREFOOT, type GaitReading, gaitFindings, summariseGait } from './readings';

const spot = { x: 0, y: 0 };
const lines = { leg: [spot, spot], heel: [spot, spot] } as const;
const reading = (angleDeg: number, part: Partial<GaitReading> = {}): GaitReading => ({
  side: 'left',
  condition: 'Pair A',
  activity: 'run',
  event: 'peak',
  angleDeg,
  frame: 10,
  lines,
  ...part,
});
/** The same frame placed three times, half a degree apart. */
const placed = (angleDeg: number, part: Partial<GaitReading> = {}) =>
  [-0.5, 0, 0.5].map((off) => reading(angleDeg + off, part));
const says = (readings: GaitReading[]) =>
  gaitDifferences(readings).map((entry) => `${entry.kind}: ${differenceInWords(entry)}`);

describe('clips held against each other', () => {
  it('fresh against tired, slow against fast, shoe against shoe: each where they differ in that alone', () => {
    const kinds = (a: Partial<GaitReading>, b: Partial<GaitReading>) =>
      gaitDifferences([reading(4, a), reading(12, b)]).map(({ kind, from, to }) => [
        kind,
        clipInWords(from),
        clipInWords(to),
      ]);
    expect(kinds({ minutes: 25 }, {})).toEqual([
      ['tired', 'Pair A, running', 'Pair A, running, after 25 min'],
    ]);
    expect(kinds({ speedKmh: 14 }, { speedKmh: 9 })).toEqual([
      ['speed', 'Pair A, running 9 km/h', 'Pair A, running 14 km/h'],
    ]);
    expect(kinds({ activity: 'run' }, { activity: 'walk' })[0]?.[0]).toBe('speed');
    expect(kinds({ condition: 'Pair B' }, {})).toEqual([['shoe', 'Pair A, running', 'Pair B, running']]);
    // Two things at once say nothing of either; another foot neither.
    expect(kinds({ condition: 'Pair B', minutes: 25 }, {})).toEqual([]);
    expect(kinds({ side: 'right' }, {})).toEqual([]);
    expect(kinds({ event: 'touchdown' }, {})).toEqual([]);
  });

  it('a difference within its error is none that was seen', () => {
    // Nobody placed a frame twice: two placings may be 5° apart by the eye.
    expect(says([reading(6), reading(10, { minutes: 20 })])).toEqual(['tired: no difference seen (4° ± 5°)']);
    expect(says([reading(6), reading(12, { minutes: 20 })])).toEqual(['tired: turns 6° further out (± 5°)']);
    // Placed three times each half a degree apart: 1.96 × 0.5 × √(2/3) = 0.8°.
    const [tired] = gaitDifferences([...placed(6), ...placed(10, { minutes: 20 })]);
    expect(tired).toMatchObject({ byDeg: expect.closeTo(4, 9), isSeen: true });
    expect(tired!.errorDeg).toBeCloseTo(1.96 * 0.5 * Math.sqrt(2 / 3), 9);
    expect(says([...placed(6), ...placed(6.5, { minutes: 20 })])).toEqual([
      'tired: no difference seen (0.5° ± 1°)',
    ]);
  });

  it('marks on a shoe move by themselves: barefoot against a shoe needs more', () => {
    const [shoe] = gaitDifferences([...placed(6), ...placed(9, { condition: BAREFOOT })]);
    expect(shoe!.errorDeg).toBeCloseTo(Math.hypot(0.8, 3), 1);
    expect(shoe).toMatchObject({
      isSeen: false,
      from: { condition: BAREFOOT },
      byDeg: expect.closeTo(-3, 9),
    });
  });

  it('the error of a placing is pooled over all frames that were placed again, and never under half a degree', () => {
    expect(placingSd([reading(6), reading(8)])).toBeCloseTo(Math.SQRT2, 9);
    expect(placingSd([reading(6), reading(6)])).toBe(0.5);
    expect(placingSd([reading(6), reading(9, { frame: 11 })])).toBeCloseTo(1.8, 1);
  });
});

describe('clips of several speeds and hours', () => {
  it('are kept apart in the summary, and a shoe is held against barefoot at the same speed', () => {
    const rows = summariseGait([
      reading(10, { speedKmh: 10 }),
      reading(14, { speedKmh: 14 }),
      reading(4, { condition: BAREFOOT, speedKmh: 10 }),
    ]);
    expect(
      rows.map(({ condition, speedKmh, againstBarefootDeg }) => [condition, speedKmh, againstBarefootDeg]),
    ).toEqual([
      [BAREFOOT, 10, null],
      ['Pair A', 10, 6],
      ['Pair A', 14, null],
    ]);
  });

  it('what barefoot clips say as a finding is the freshest, and of those the slowest', () => {
    const bare = (angleDeg: number, part: Partial<GaitReading>) =>
      reading(angleDeg, { condition: BAREFOOT, ...part });
    expect(
      gaitFindings([
        bare(15, { minutes: 30, speedKmh: 9 }),
        bare(12, { speedKmh: 14 }),
        bare(9, { speedKmh: 9 }),
      ]),
    ).toEqual([{ side: 'left', id: 'heelAngleRun', value: 9 }]);
  });
});
