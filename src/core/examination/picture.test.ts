import { describe, expect, it } from 'vitest';
import { checkNumber, readNumberFinding } from '../findings/check-finding';
import { SIDES } from '../findings/finding-kinds';
import { FINDING_IDS, FINDINGS } from '../findings/findings';
import { enteredPicture, findingAt, greaterOf, NOT_EXAMINED, withoutFinding } from '../findings/picture';
import { findingsSchema } from '../findings/schema';
import { clinicalPicture } from './clinical-picture';

describe('the clinical picture', () => {
  it('says “not examined” for everything nobody has taken', () => {
    const picture = clinicalPicture();
    for (const id of FINDING_IDS)
      for (const side of SIDES) expect(findingAt(picture, id, side), `${side} ${id}`).toBe(NOT_EXAMINED);
  });

  it('lets later findings win one by one and keeps what still holds', () => {
    const earlier = { body: { falls: 2 }, left: { arch: 'low' as const, bunion: 'mild' as const } };
    const picture = clinicalPicture(earlier, { left: { arch: 'medium' as const } });
    expect(picture.left.arch).toBe('medium');
    expect(picture.left.bunion).toBe('mild');
    expect(picture.body.falls).toBe(2);
  });

  it('fits the longer foot', () => {
    const picture = clinicalPicture({ left: { footLength: 262 }, right: { footLength: 258 } });
    expect(greaterOf(picture, 'footLength')).toBe(262);
    const entered = enteredPicture({ left: { footLength: 262 }, right: { footLength: 258 } });
    expect(greaterOf(withoutFinding(entered, 'footLength'), 'footLength')).toBeNull();
  });
});

describe('plausibility', () => {
  it('a foot of 26.5 mm is a unit slip and ×10 is offered', () => {
    const result = checkNumber(FINDINGS.footLength, 26.5);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.problem.suggestion).toBe('265\u2009mm');
  });

  it('a foot of 10.3 is inches typed for millimetres', () => {
    const result = checkNumber(FINDINGS.footLength, 8.9);
    expect(!result.ok && result.problem.suggestion).toContain('226');
  });

  it('an unusual value is taken with a question', () => {
    const result = checkNumber(FINDINGS.footLength, 325);
    expect(result.ok && result.value.sure).toMatch(/unusual/);
    const usual = checkNumber(FINDINGS.footLength, 262);
    expect(usual.ok && usual.value.sure).toBeUndefined();
  });

  it('falls are counted whole', () => {
    expect(readNumberFinding(FINDINGS.falls, '1.5').ok).toBe(false);
    expect(readNumberFinding(FINDINGS.falls, '2')).toEqual({ ok: true, value: { value: 2 } });
  });
});

describe('findings at the door', () => {
  it('refuses an unknown key, a foreign option and an impossible value, each with its path', () => {
    const result = findingsSchema.safeParse({
      body: { falls: -1, reach: 'sometimes' },
      left: { footLength: 26.5, colour: 'red' },
    });
    expect(result.success).toBe(false);
    const paths = result.error?.issues.map((issue) => issue.path.join('.'));
    expect(paths).toEqual(expect.arrayContaining(['body.falls', 'body.reach', 'left.footLength', 'left']));
  });

  it('takes a half-filled form', () => {
    expect(findingsSchema.safeParse({ left: { arch: 'high' } }).success).toBe(true);
    expect(findingsSchema.safeParse({}).success).toBe(true);
  });
});
