import { describe, expect, it } from 'vitest';
import { breakInPlan } from '../aftercare/break-in';
import { lacingAdvice } from '../aftercare/lacing';
import { readChange, readPainChange } from '../outcomes/real-change';
import { clinicalPicture } from '../picture/clinical-picture';
import { fitAdvice, mostComfortable } from './try-on';

const room = { from: 10, to: 15 };

describe('fit checks (handbook 05, common practice)', () => {
  it('6 mm in front is too short by a whole half size', () => {
    const [advice] = fitAdvice({ model: 'a', roomMm: 6 }, room);
    expect(advice).toMatchObject({ level: 'stop', field: 'roomMm' });
    expect(advice!.sentence).toContain('half a size up');
    expect(fitAdvice({ model: 'a', roomMm: 12 }, room)[0]!.level).toBe('good');
    expect(fitAdvice({ model: 'a', roomMm: 25 }, room)[0]!.level).toBe('change');
  });

  it('a slipping heel is laced, a clearly slipping one stops', () => {
    expect(fitAdvice({ model: 'a', heelSlip: 'slight' }, room)[0]!.level).toBe('change');
    expect(fitAdvice({ model: 'a', heelSlip: 'clear' }, room)[0]!.level).toBe('stop');
  });

  it('an at-risk foot may have up to 20 mm', () => {
    expect(fitAdvice({ model: 'a', roomMm: 18 }, { from: 10, to: 20 })[0]!.level).toBe('good');
  });

  it('comfort decides among pairs that no check stops', () => {
    const tryOns = [
      { model: 'short', comfort: 95, roomMm: 5 },
      { model: 'good', comfort: 80, roomMm: 12 },
      { model: 'fair', comfort: 60, roomMm: 12 },
      { model: 'rejected', comfort: 99, roomMm: 12, verdict: 'rejected' as const },
    ];
    expect(mostComfortable(tryOns, room)?.model).toBe('good');
    expect(mostComfortable([{ model: 'unrated' }], room)).toBeNull();
  });
});

describe('after-care', () => {
  const input = {
    atRisk: false,
    dropChangeMm: 1,
    towardMinimal: false,
    usualMinutes: 60,
    eventAhead: false,
    prosthesisNew: false,
  };

  it('never begins with a long outing', () => {
    const plan = breakInPlan(input);
    expect(plan[0]!.do).toMatch(/Indoors/);
    expect(plan[1]!.do).toContain('30 minutes');
  });

  it('a change of drop over 4 mm takes weeks', () => {
    expect(
      Math.max(...breakInPlan({ ...input, dropChangeMm: 6 }).map((step) => step.day)),
    ).toBeGreaterThanOrEqual(56);
    expect(Math.max(...breakInPlan(input).map((step) => step.day))).toBeLessThan(21);
  });

  it('an at-risk foot begins with 30 to 60 minutes and a skin check', () => {
    const plan = breakInPlan({ ...input, atRisk: true });
    expect(plan[0]!.do).toMatch(/30 to 60 minutes/);
    expect(plan.every((step) => /skin|red/i.test(step.check))).toBe(true);
  });

  it('laces what the fitting found', () => {
    const picture = clinicalPicture({ right: { bunion: 'mild' } });
    expect(lacingAdvice(picture, 'laces', { model: 'a', heelSlip: 'slight' }).pattern).toBe('heel-lock');
    expect(lacingAdvice(picture, 'laces', null).pattern).toBe('skip-lowest');
    expect(lacingAdvice(picture, 'hook-and-loop', null).pattern).toBe('no-lace');
    expect(lacingAdvice(clinicalPicture(), 'laces', null).pattern).toBe('plain');
  });
});

describe('reading change', () => {
  it('ten points of comfort count, nine do not (Mills 2010, from memory, check)', () => {
    expect(readChange(60, 70)).toBe('better');
    expect(readChange(60, 69)).toBe('no real change');
    expect(readChange(60, 50)).toBe('worse');
  });

  it('6 → 4.2 is 30 % and counts; 2 → 1.5 does not (Farrar 2001, from memory)', () => {
    expect(readPainChange(6, 4.2)).toBe('better');
    expect(readPainChange(2, 1.5)).toBe('no real change');
    expect(readPainChange(3, 5)).toBe('worse');
  });
});
