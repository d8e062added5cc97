import { describe, expect, it } from 'vitest';
import { noise } from '@/simulators/noise';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { USUAL_ROOM } from '../shoe/room';
import { batchSpread, READING_SD_MM } from './batch-spread';
import { mayRepeatUnseen, type RepeatInput } from './repeat';

const asked = (over: Partial<RepeatInput> = {}, findings: Findings = {}) =>
  mayRepeatUnseen({
    picture: clinicalPicture(findings),
    ageYears: 40,
    roomMm: 12.5,
    widthFit: 'right',
    room: USUAL_ROOM,
    yearsSince: 0.4,
    batchSdMm: 0.8,
    isStillMade: true,
    ...over,
  });

describe('may a repeat be bought unseen', () => {
  it('yes where the room was in the middle and was read lately', () => {
    const answer = asked();
    expect(answer.chance!).toBeGreaterThan(0.85);
    expect(asked({ batchSdMm: 0.4, yearsSince: 0 }).may).toBe('yes');
  });

  it('two sizes where batches differ or the room was at its end; come in where neither is enough', () => {
    expect(asked({ batchSdMm: 1.4 }).may).toBe('two-sizes');
    expect(asked({ roomMm: 8 }).may).toBe('come-in');
    expect(asked({ roomMm: null }).may).toBe('come-in');
    expect(asked({ widthFit: 'tight' }).may).toBe('come-in');
  });

  it('any successor is another shoe', () => {
    expect(asked({ isStillMade: false })).toMatchObject({ may: 'come-in', chance: null });
  });

  it('never for children, feet at risk, a prosthesis, an orthosis or swelling, whatever the room', () => {
    expect(asked({ ageYears: 12 }).may).toBe('never');
    const cases: Findings[] = [
      { body: { prosthesisSide: 'left' } },
      { left: { insert: 'orthosis' } },
      { right: { insert: 'brace' } },
      { left: { swelling: 'changes' } },
      { left: { sensation: 'lost', pulses: 'present' }, right: { sensation: 'felt', pulses: 'present' } },
    ];
    for (const findings of cases) {
      const answer = asked({}, findings);
      expect(answer.may, JSON.stringify(findings)).toBe('never');
      expect(answer.because).not.toEqual([]);
    }
    const harmless: Findings = {
      body: { prosthesisSide: 'none' },
      left: { insert: 'insole' },
      right: { swelling: 'none' },
    };
    expect(asked({}, harmless).may).not.toBe('never');
  });

  it('is never surer with more years, with wider batches, or with a room further from the middle', () => {
    const chance = (over: Partial<RepeatInput>) => asked(over).chance!;
    for (let at = 0; at < 10; at += 1) {
      expect(chance({ yearsSince: at + 1 })).toBeLessThan(chance({ yearsSince: at }));
      expect(chance({ batchSdMm: 0.3 * (at + 2) })).toBeLessThan(chance({ batchSdMm: 0.3 * (at + 1) }));
      expect(chance({ yearsSince: 0, roomMm: 12.5 + at + 1 })).toBeLessThan(
        chance({ yearsSince: 0, roomMm: 12.5 + at }),
      );
    }
  });

  it('on simulated batches it is right as often as it says', () => {
    const random = noise(5);
    const bins = new Map<number, { said: number; fitted: number; asked: number }>();
    for (let at = 0; at < 12_000; at += 1) {
      const batchSdMm = 0.4 + 1.2 * random.even();
      const yearsSince = 2 * random.even();
      const first = 12 + 3 * random.normal();
      const roomMm = first + READING_SD_MM * random.normal();
      const { chance } = mayRepeatUnseen({
        picture: clinicalPicture({}),
        ageYears: 40,
        roomMm,
        widthFit: 'right',
        room: USUAL_ROOM,
        yearsSince,
        batchSdMm,
        isStillMade: true,
      });
      // What is asked of the answer is what was read: the true room is spread around it.
      const truth = roomMm + READING_SD_MM * random.normal();
      const change = Math.sqrt(yearsSince) * 0.9;
      const room =
        truth + Math.SQRT2 * batchSdMm * random.normal() - (0.3 * yearsSince + change * random.normal());
      const width = Math.SQRT2 * 1.2 * random.normal() + change * random.normal();
      const fits = room >= 8 && room <= 17 && Math.abs(width) <= 3;
      const bin = bins.get(Math.floor(chance! * 5)) ?? { said: 0, fitted: 0, asked: 0 };
      bin.said += chance!;
      bin.fitted += fits ? 1 : 0;
      bin.asked += 1;
      bins.set(Math.floor(chance! * 5), bin);
    }
    for (const { said, fitted, asked: many } of bins.values())
      if (many > 400) expect(Math.abs(said - fitted) / many).toBeLessThan(0.04);
  });
});

describe('how far batches of a version lie apart', () => {
  it('is what is believed without any, and what was simulated with many', () => {
    expect(batchSpread([])).toEqual({ sdMm: 1, batches: 0 });
    const random = noise(9);
    for (const [truth, least, most] of [
      [0.3, 0.2, 0.7],
      [2, 1.6, 2.4],
    ] as const) {
      const fittings = Array.from({ length: 60 }, (_, version) =>
        Array.from({ length: 4 }, (__, batch) => {
          const off = truth * random.normal();
          return Array.from({ length: 5 }, () => ({
            version: String(version),
            batch: String(batch),
            offsetMm: off + READING_SD_MM * random.normal(),
          }));
        }).flat(),
      ).flat();
      expect(batchSpread(fittings).sdMm).toBeGreaterThan(least);
      expect(batchSpread(fittings).sdMm).toBeLessThan(most);
    }
  });

  it('one batch of a version tells nothing of how batches differ', () => {
    const one = { version: 'a', batch: 'x', offsetMm: 9 };
    expect(batchSpread([one, { ...one, offsetMm: 3 }])).toEqual({ sdMm: 1, batches: 0 });
  });
});
