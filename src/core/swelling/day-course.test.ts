import { quickest } from '@tests/fixtures/quickest';
import { describe, expect, it } from 'vitest';
import { noise } from '@/simulators/noise';
import { addDays } from '../calendar/days';
import { clinicalPicture } from '../examination/clinical-picture';
import { awakeAt } from './awake';
import type { Compression, SwellingReading, Treatment } from './course';
import { contextLines, courseLines } from './course-words';
import { dayCourse, gainUntilEvening } from './day-course';
import { eveningInWords } from './evening';
import { widthOfGain } from './gain';
import { insoleReserve, reserveFor, reserveInWords, reserveRefused } from './reserve';

const reading = (at: string, mm: number, more: Partial<SwellingReading> = {}): SwellingReading => ({
  at,
  left: { figureOfEight: mm },
  ...more,
});
const course = (readings: readonly SwellingReading[]) => dayCourse(readings, 'left', 'figureOfEight');

/** Girths of so many days, morning and evening, as a tape takes them. */
function days(
  count: number,
  truth: { swing: number; perWeek: number; stocking?: number; drained?: number },
  seed: number,
) {
  const chance = noise(seed);
  return Array.from({ length: count }, (_, day) => {
    const own = 2 * chance.normal();
    return [1, 13].map((awakeHours) => {
      const compression: Compression = truth.stocking !== undefined && day % 2 === 1 ? 'stocking' : 'none';
      const treatment: Treatment = truth.drained !== undefined && day % 3 === 1 ? 'drainage' : 'none';
      const mm =
        500 +
        own +
        (truth.swing * awakeHours) / 14 +
        (truth.perWeek * day) / 7 +
        (compression === 'stocking' ? truth.stocking! : 0) +
        (treatment === 'drainage' ? truth.drained! : 0) +
        3.6 * chance.normal();
      const hour = String(7 + awakeHours).padStart(2, '0');
      return reading(`${addDays('2030-06-01', day)}T${hour}:00`, mm, { awakeHours, compression, treatment });
    });
  }).flat();
}

describe('girths through the day and over weeks', () => {
  it('two readings of a day tell its swing, and no trend', () => {
    const read = course([reading('2030-06-01T08:00', 500), reading('2030-06-01T20:00', 520)])!;
    expect(read.swing.mm).toBeGreaterThan(10);
    expect(read.swing.within).toBeGreaterThan(5);
    expect(Math.abs(read.perWeek.mm)).toBeLessThan(1);
    expect(read.perWeek.within).toBeGreaterThan(4);
    expect(course([reading('2030-06-01T08:00', 500)])).toBeNull();
  });

  it('finds swing, trend and what a stocking takes off, as surely as it says', () => {
    let [swing, week, stocking] = [0, 0, 0];
    for (let seed = 1; seed <= 100; seed += 1) {
      const read = course(days(28, { swing: 18, perWeek: 2, stocking: -9 }, seed))!;
      if (Math.abs(read.swing.mm - 18) <= read.swing.within) swing += 1;
      if (Math.abs(read.perWeek.mm - 2) <= read.perWeek.within) week += 1;
      if (Math.abs(read.compression!.mm + 9) <= read.compression!.within) stocking += 1;
    }
    for (const held of [swing, week, stocking]) expect(held).toBeGreaterThanOrEqual(90);
  });

  it('finds what a treatment takes off; the evening is the one without it', () => {
    let held = 0;
    for (let seed = 1; seed <= 100; seed += 1) {
      const { treatment } = course(days(28, { swing: 18, perWeek: 0, drained: -12 }, seed))!;
      if (Math.abs(treatment!.mm + 12) <= treatment!.within) held += 1;
    }
    expect(held).toBeGreaterThanOrEqual(90);
    const read = course(days(28, { swing: 18, perWeek: 0, drained: -12 }, 1))!;
    const drained = read.expected('2030-06-29', 14, { treated: true });
    expect(read.evening('2030-06-29').mm - drained.mm).toBeCloseTo(-read.treatment!.mm, 9);
    expect(course(days(5, { swing: 18, perWeek: 0 }, 1))!.treatment).toBeNull();
    // Before dialysis is the state to size for, not a relief.
    const before = days(5, { swing: 18, perWeek: 0 }, 1).map((one) => ({
      ...one,
      treatment: 'before-dialysis' as const,
    }));
    expect(course(before)!.treatment).toBeNull();
  });

  it('four hundred readings are read within a frame: a field redraws with each key', () => {
    const many = days(200, { swing: 18, perWeek: 0 }, 2);
    expect(quickest(() => course(many))).toBeLessThan(16);
  });

  it('is as sure as what it is told: more days, less error', () => {
    const short = course(days(3, { swing: 18, perWeek: 0 }, 4))!;
    const long = course(days(28, { swing: 18, perWeek: 0 }, 4))!;
    expect(long.swing.within).toBeLessThan(short.swing.within);
  });

  it('the evening is the worst state; from there nothing is gained', () => {
    const read = course(days(14, { swing: 18, perWeek: 0 }, 6))!;
    const morning = gainUntilEvening(read, '2030-06-15', 2);
    expect(morning.mm).toBeCloseTo((18 * 12) / 14, -1);
    expect(gainUntilEvening(read, '2030-06-15', 14).mm).toBe(0);
    expect(read.evening('2030-06-15').mm).toBeGreaterThan(read.expected('2030-06-15', 1).mm);
  });

  it('counts hours awake from seven where nobody said, and never before rising', () => {
    expect(awakeAt({ at: '2030-06-01T09:30' })).toBe(2.5);
    expect(awakeAt({ at: '2030-06-01T05:00' })).toBe(0);
    expect(awakeAt({ at: '2030-06-01T18:00', awakeHours: 4 })).toBe(4);
  });
});

describe('the insole as a reserve', () => {
  const shoe = { removableInsole: 'yes', insoleDepth: 4, heelStack: 28, forefootStack: 20 } as const;

  it('frees its depth twice in girth, and says what the drop becomes (by arithmetic)', () => {
    const reserve = insoleReserve(shoe, 7)!;
    expect(reserve).toEqual({ depthMm: 4, girthMm: 8, dropMm: { from: 4, to: 8 }, isEnough: true });
    expect(reserveInWords(reserve, 7)).toContain('Enough for the 7 mm');
    expect(reserveInWords(insoleReserve(shoe, 14)!, 14)).toContain('not enough by itself');
    expect(insoleReserve({ ...shoe, removableInsole: 'no' }, 7)).toBeNull();
    expect(insoleReserve({ removableInsole: 'yes' }, 7)).toBeNull();
  });

  it('is said of a foot that swells, with what it gains; of a foot at risk, why it is none', () => {
    const swells = { daySwing: 7 } as const;
    expect(reserveFor(clinicalPicture({ left: swells }), 'left', shoe)).toContain('Enough for the 7 mm');
    expect(reserveFor(clinicalPicture({ left: { ...swells, sensation: 'lost' } }), 'left', shoe)).toContain(
      'at risk',
    );
    expect(reserveFor(clinicalPicture({}), 'left', shoe)).toBeNull();
    expect(
      reserveFor(clinicalPicture({ left: swells }), 'left', { ...shoe, removableInsole: 'no' }),
    ).toBeNull();
  });

  it('is none for feet at risk, orthoses and prostheses (handbook 06)', () => {
    expect(reserveRefused(clinicalPicture({ left: { sensation: 'lost' } }), 'left')).toContain('at risk');
    expect(reserveRefused(clinicalPicture({ left: { insert: 'orthosis' } }), 'left')).toContain('orthosis');
    expect(reserveRefused(clinicalPicture({ body: { prosthesisSide: 'left' } }), 'left')).toContain(
      'prosthetic',
    );
    expect(reserveRefused(clinicalPicture({ body: { prosthesisSide: 'left' } }), 'right')).toBeNull();
  });

  it('a girth grows a width as a circle does', () => expect(widthOfGain(Math.PI * 3)).toBeCloseTo(3, 9));
});

describe('what the evening will be', () => {
  const picture = clinicalPicture({ left: { daySwing: 14 }, right: { daySwing: 2 } });
  it('is said of a pair that was tried in the morning, and of no foot that hardly swells', () => {
    expect(eveningInWords(picture, '2030-06-01T09:00')).toBe(
      'Tried at 09:00: by the evening the left foot about 12 mm more girth. The closure has to give it, or the insole.',
    );
    expect(eveningInWords(picture, '2030-06-01T20:30')).toBeNull();
    expect(eveningInWords(clinicalPicture({}), '2030-06-01T09:00')).toBeNull();
  });

  it('the course in words names swing, trend and stocking with their error, and what else moves it', () => {
    const [line] = courseLines(days(28, { swing: 18, perWeek: 4, stocking: -9 }, 3), 'left');
    expect(line).toMatch(
      /^Left: a day adds \d+ ± \d+ mm; each week adds \d+ ± \d+ mm; compression takes off \d+ ± \d+ mm/,
    );
    expect(courseLines([], 'left')).toEqual([]);
    const body = {
      conditions: ['pregnancy', 'renal-failure', 'heart-failure', 'lymphoedema'],
      pregnancyWeeks: 31,
    } as const;
    const lines = contextLines(clinicalPicture({ body: { ...body, conditions: [...body.conditions] } })).join(
      ' ',
    );
    expect(lines).toContain('Week 31 of pregnancy: size for more than today');
    expect(lines).toContain('size for before');
    expect(lines).toContain('to the physician the same day');
    expect(lines).toContain('over the compression');
  });
});
