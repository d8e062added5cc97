import { describe, expect, it } from 'vitest';
import { houseChangeSchema } from '@/core/prescribe/check/house-rules-schema';
import { asCondition, asWish, emptyDemand, emptyWish } from './own-rule';

describe('a rule as it is being written', () => {
  it('asks each finding in its own way', () => {
    expect(asCondition({ ...emptyDemand(), finding: 'arch', options: ['low'] })).toEqual({
      finding: 'arch',
      is: ['low'],
    });
    expect(asCondition({ ...emptyDemand(), finding: 'pain', options: ['shin'] })).toEqual({
      finding: 'pain',
      has: ['shin'],
    });
    expect(
      asCondition({ ...emptyDemand(), finding: 'ageYears', bound: 'below', number: '12,5', not: true }),
    ).toEqual({ not: { finding: 'ageYears', below: 12.5 } });
  });

  it('wishes for a band or for options; an empty end stays open', () => {
    expect(asWish({ ...emptyWish(), feature: 'drop', from: '8', to: '' })).toEqual({
      feature: 'drop',
      atLeast: 8,
    });
    expect(asWish({ ...emptyWish(), way: 'avoid', options: ['zip'], strength: 'limit' })).toEqual({
      feature: 'closure',
      avoid: ['zip'],
      strength: 'limit',
    });
  });

  it('what is left empty is refused by the same schema that the server uses, in a sentence', () => {
    const rule = {
      id: 'house-test',
      topic: 'House rules',
      finding: 'test of the form',
      when: { all: [asCondition(emptyDemand())] },
      wishes: [asWish(emptyWish())],
      strength: 'moderate',
      schools: [],
      evidence: 'C',
      sources: ['house'],
      because: 'long enough to be argued with',
    };
    expect(houseChangeSchema.safeParse({ kind: 'own', rule, reason: 'test' }).success).toBe(false);
    const whole = {
      ...rule,
      when: { all: [asCondition({ ...emptyDemand(), options: ['court'] })] },
      wishes: [asWish({ ...emptyWish(), options: ['dial'] })],
    };
    expect(houseChangeSchema.safeParse({ kind: 'own', rule: whole, reason: 'test' }).error).toBeUndefined();
  });
});
