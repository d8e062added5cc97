import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pittingGrade } from '../examination/pitting';
import { dailyRise, type SwellingReading, swellingAdvice, worstGirths } from './course';
import { legVolume, parseGirths, volumeBand, volumeDifference } from './leg-volume';

const millilitres = (girthsMm: number[], spacingMm: number) => {
  const volume = legVolume({ girthsMm, spacingMm });
  if (!volume.ok) throw new Error(volume.problem.message);
  return volume.value;
};

describe('leg volume by truncated cones (by arithmetic)', () => {
  it('girths of 30 and 28 cm, 4 cm apart, hold 267.8 ml; 22 and 24 hold 168.5', () => {
    expect(millilitres([300, 280], 40)).toBeCloseTo(267.8, 1);
    expect(millilitres([220, 240], 40)).toBeCloseTo(168.5, 1);
  });

  it('adds up, is the same upside down, and a cylinder is a cylinder', () => {
    const girth = fc.integer({ min: 150, max: 700 });
    fc.assert(
      fc.property(girth, girth, girth, (a, b, c) => {
        expect(millilitres([a, b, c], 40)).toBeCloseTo(millilitres([a, b], 40) + millilitres([b, c], 40), 6);
        expect(millilitres([a, b, c], 40)).toBeCloseTo(millilitres([c, b, a], 40), 6);
        expect(millilitres([a, a], 40)).toBeCloseTo((40 * a * a) / (4 * Math.PI) / 1000, 6);
      }),
    );
  });

  it('reads girths as they are typed in a row, and says which one cannot be', () => {
    expect(parseGirths('214 226, 240;9in')).toMatchObject({ ok: true });
    expect(parseGirths('214 22.6cm')).toMatchObject({ ok: true, value: [214, 226] });
    expect(parseGirths('')).toEqual({ ok: true, value: [] });
    const slip = parseGirths('214 22.6');
    expect(slip.ok ? '' : slip.problem.message).toContain('“22.6” is not a girth');
    expect(parseGirths(Array(21).fill('214').join(' ')).ok).toBe(false);
  });

  it('refuses one girth and an impossible spacing', () => {
    expect(legVolume({ girthsMm: [300], spacingMm: 40 }).ok).toBe(false);
    expect(legVolume({ girthsMm: [300, 310], spacingMm: 4 }).ok).toBe(false);
  });

  it('2650 against 2400 ml is +10.4 %: over 10 (ISL 2020, from memory, check)', () => {
    expect(volumeDifference(2650, 2400)).toBeCloseTo(10.4, 1);
    expect([4.9, 5, 10, 10.4, 20, 40, 41].map(volumeBand)).toEqual([
      'within 5 %',
      'early: 5–10 %',
      'early: 5–10 %',
      'over 10 %',
      'moderate: 20–40 %',
      'moderate: 20–40 %',
      'severe: over 40 %',
    ]);
    expect(volumeBand(-12)).toBe('over 10 %');
  });
});

describe('pitting (teaching convention; Brodovicz 2009, from memory, check)', () => {
  it('5 mm that fill in 20 s are 3+; the deeper of depth and time decides', () => {
    expect(pittingGrade(5, 20)).toBe(3);
    expect(pittingGrade(2, 1)).toBe(1);
    expect(pittingGrade(2, 90)).toBe(4);
    expect(pittingGrade(8, null)).toBe(4);
    expect(pittingGrade(0, null)).toBe(0);
  });

  it('never falls as the pit gets deeper or slower', () => {
    const depth = fc.double({ min: 0, max: 12, noNaN: true });
    fc.assert(
      fc.property(depth, depth, fc.integer({ min: 0, max: 200 }), (a, b, seconds) => {
        const [less, more] = a < b ? [a, b] : [b, a];
        expect(pittingGrade(more, seconds)).toBeGreaterThanOrEqual(pittingGrade(less, seconds));
      }),
    );
  });
});

describe('the course of a day', () => {
  const day = (morning: number, evening: number): SwellingReading[] => [
    { at: '2030-06-15T18:00', left: { figureOfEight: evening }, right: { figureOfEight: 512 } },
    {
      at: '2030-06-15T08:00',
      left: { figureOfEight: morning, calfGirth: 360 },
      right: { figureOfEight: 511 },
    },
  ];
  const codes = (readings: SwellingReading[]) => swellingAdvice(readings).map((advice) => advice.code);

  it('takes evening less morning of the same day, whatever the order of entry', () => {
    expect(dailyRise(day(510, 528), 'left', 'figureOfEight')).toBe(18);
    expect(dailyRise(day(510, 528), 'left', 'calfGirth')).toBeNull();
    const apart: SwellingReading[] = [
      { at: '2030-06-14T08:00', left: { figureOfEight: 500 } },
      { at: '2030-06-15T18:00', left: { figureOfEight: 530 } },
    ];
    expect(dailyRise(apart, 'left', 'figureOfEight')).toBeNull();
  });

  it('a rise of 18 mm asks for room and an adjustable closure; 6 mm is within the tape’s error', () => {
    expect(codes(day(510, 528))).toEqual(['changes', 'steady', 'one-sided']);
    expect(codes(day(510, 516))).toEqual(['steady', 'steady']);
    expect(swellingAdvice(day(510, 528))[2]!.message).toContain('warning sign');
  });

  it('no girths are unknown, not absent; mornings alone ask for an evening', () => {
    expect(codes([])).toEqual(['nothing']);
    expect(codes([{ at: '2030-06-15T08:00', left: { figureOfEight: 500 } }])).toEqual(['morning-only']);
  });

  it('sizes at the worst state', () => {
    expect(worstGirths(day(510, 528), 'left')).toEqual({ figureOfEight: 528, calfGirth: 360 });
  });
});
