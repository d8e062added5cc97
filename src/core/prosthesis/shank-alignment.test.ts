import { describe, expect, it } from 'vitest';
import { shankAlignment } from './shank-alignment';

const shank = (shoeRiseMm: number, setRiseMm = 9.5, leverMm = 180) => {
  const result = shankAlignment({ shoeRiseMm, setRiseMm, leverMm });
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};

describe('shank alignment', () => {
  it('20 mm in a foot set for 9.5 with a 180 mm lever leans 3.3° forward (handbook 06, by arithmetic)', () => {
    const lean = shank(20);
    expect(lean.angleDeg).toBeCloseTo(3.34, 2);
    expect(lean).toMatchObject({ leans: 'forward', wedgeMm: null, verdict: 'do-not-walk' });
    expect(lean.sentence).toMatch(/cannot be corrected/);
  });

  it('a flat shoe leans 3.0° back and takes a wedge of 9.5 mm', () => {
    const lean = shank(0);
    expect(lean.angleDeg).toBeCloseTo(-3.02, 2);
    expect(lean.wedgeMm).toBe(9.5);
  });

  it.each([
    [170, 5, 1.7],
    [170, 10, 3.4],
    [170, 20, 6.7],
  ])('span %d mm, %d mm off: %d° (reference §9, by arithmetic)', (lever, off, degrees) => {
    expect(shank(10 + off, 10, lever).angleDeg).toBeCloseTo(degrees, 1);
  });

  it('within 3 mm fine, to 5 caution, beyond 5 mm or 2° the prosthetist, beyond 10 not at all (expert opinion, from memory, check)', () => {
    expect([12, 14, 15.5, 20].map((rise) => shank(rise, 9.5, 180).verdict)).toEqual([
      'fine',
      'caution',
      'prosthetist',
      'do-not-walk',
    ]);
    expect(shank(9.5).leans).toBe('vertical');
  });

  it('within tolerance no wedge is asked for; beyond it, one of the whole shortfall, judged by what remains', () => {
    expect(shank(7)).toMatchObject({
      wedgeMm: null,
      verdict: 'fine',
      sentence: 'Shank leans back 0.8°. Within tolerance.',
    });
    expect(shank(6)).toMatchObject({ wedgeMm: 3.5, remainsMm: 0, verdict: 'fine' });
    const held = shankAlignment({ shoeRiseMm: 0, setRiseMm: 16, leverMm: 180 });
    expect(held).toMatchObject({
      value: { wedgeMm: 10, remainsMm: -6, verdict: 'prosthetist', refused: false },
    });
  });

  it('an ankle that follows takes what a shoe cannot; one that does not reach so far does not', () => {
    const set = (ankleToMm: number) =>
      shankAlignment({ shoeRiseMm: 30, setRiseMm: 9.5, leverMm: 180, ankleToMm });
    expect(set(30)).toMatchObject({ value: { verdict: 'set-ankle', refused: false } });
    expect(set(20)).toMatchObject({ value: { verdict: 'do-not-walk', refused: true } });
  });

  it('refuses a lever that is none', () => {
    expect(shankAlignment({ shoeRiseMm: 10, setRiseMm: 10, leverMm: 18 }).ok).toBe(false);
  });
});
