import { describe, expect, it } from 'vitest';
import { definitionOf, isFindingId } from '../picture/findings';
import { featureOf, isFeatureId } from '../shoe/features';
import { RULES } from './knowledge-base';
import type { Condition, Wish } from './rule';
import { SCHOOL_CHOICES, shareOf } from './schools';
import { isSourceId, SOURCES } from './sources';

function leaves(
  condition: Condition,
): Exclude<Condition, { all: unknown } | { any: unknown } | { not: unknown }>[] {
  if ('all' in condition) return condition.all.flatMap(leaves);
  if ('any' in condition) return condition.any.flatMap(leaves);
  if ('not' in condition) return leaves(condition.not);
  return [condition];
}

describe('the knowledge base', () => {
  it('names each rule once', () => {
    expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length);
  });

  it.each(RULES.map((rule) => [rule.id, rule] as const))(
    '%s asks for known findings and known options',
    (_, rule) => {
      for (const leaf of leaves(rule.when)) {
        expect(isFindingId(leaf.finding)).toBe(true);
        const definition = definitionOf(leaf.finding);
        const named = 'is' in leaf ? leaf.is : 'has' in leaf ? leaf.has : null;
        if (named === null) expect(definition.kind).toBe('number');
        else {
          expect(definition.kind).toBe('is' in leaf ? 'choice' : 'set');
          const options = 'options' in definition ? Object.keys(definition.options) : [];
          expect(options).toEqual(expect.arrayContaining([named].flat()));
        }
      }
    },
  );

  it.each(RULES.map((rule) => [rule.id, rule] as const))(
    '%s wishes for known features and says why',
    (_, rule) => {
      expect(rule.because.length).toBeGreaterThan(20);
      for (const wish of rule.wishes) {
        expect(isFeatureId(wish.feature)).toBe(true);
        const feature = featureOf(wish.feature);
        expect('prefer' in wish || 'avoid' in wish).toBe(feature.kind === 'choice');
        if (feature.kind === 'choice') {
          const named =
            'prefer' in wish ? wish.prefer : (wish as Extract<Wish, { avoid: readonly string[] }>).avoid;
          expect(Object.keys(feature.options)).toEqual(expect.arrayContaining([...named]));
        }
      }
    },
  );

  it('cites sources that exist, and calls a rule without one common practice (grade C)', () => {
    for (const rule of RULES) {
      for (const source of rule.sources) expect(isSourceId(source), `${rule.id} cites ${source}`).toBe(true);
      if (rule.sources.length === 0) expect(rule.evidence, rule.id).toBe('C');
    }
  });

  it('cites no source recalled with less than 60 % as if it were certain', () => {
    for (const source of Object.values(SOURCES)) expect(source.recall).toBeGreaterThanOrEqual(60);
  });

  it('never weakens a rule that every school holds, and keeps shape in weakly by default', () => {
    const everyone = RULES.find((rule) => rule.schools.length === 0)!;
    for (const school of Object.keys(SCHOOL_CHOICES))
      expect(shareOf(everyone, school as keyof typeof SCHOOL_CHOICES)).toBe(1);
    const shape = RULES.find((rule) => rule.id === 'low-arch-flexible-rolls-in')!;
    expect(shareOf(shape, 'balanced')).toBe(0.25);
    expect(shareOf(shape, 'comfort')).toBe(0);
  });

  it('limits belong to every school', () => {
    for (const rule of RULES)
      if (rule.strength === 'limit' || rule.wishes.some((wish) => wish.strength === 'limit'))
        expect(rule.schools, rule.id).toEqual([]);
  });
});
