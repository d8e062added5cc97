import { describe, expect, it } from 'vitest';
import { RULES } from '../knowledge/knowledge-base';
import type { Strength } from '../knowledge/rule';
import { wilson } from '../statistics/wilson';
import { proposeChanges, type RuleRecord } from './propose-changes';

const ruleOf = (strength: Strength) => RULES.find((rule) => rule.strength === strength)!.id;
const record = (part: Partial<RuleRecord>): RuleRecord => ({
  rule: ruleOf('strong'),
  spoke: 40,
  overruled: 0,
  worse: wilson(0, 0),
  ...part,
});
const propose = (...records: RuleRecord[]) => proposeChanges(RULES, records, wilson(6, 120));

describe('a change of a rule is proposed', () => {
  it('once it is surely overruled often: weaker by one, or off where mostly', () => {
    expect(propose(record({ overruled: 20 }))[0]).toMatchObject({
      because: 'overruled',
      change: { kind: 'strength', strength: 'moderate' },
    });
    expect(propose(record({ overruled: 38 }))[0]!.change).toMatchObject({ kind: 'off' });
    expect(propose(record({ rule: ruleOf('slight'), overruled: 20 }))[0]!.change).toMatchObject({
      kind: 'off',
    });
    expect(propose(record({ overruled: 20 }))[0]!.evidence).toContain('20 of 40');
  });

  it('never of few, however often it was overruled among them, and not of some', () => {
    expect(propose(record({ spoke: 5, overruled: 5 }))).toEqual([]);
    expect(propose(record({ spoke: 12, overruled: 5 }))).toEqual([]);
    expect(propose(record({ overruled: 12 }))).toEqual([]);
  });

  it('where pairs that followed it fare really worse than the clinic’s others, and says that this is observational', () => {
    const [proposal] = propose(record({ worse: wilson(5, 12) }));
    expect(proposal).toMatchObject({ because: 'worse', change: { kind: 'strength', strength: 'moderate' } });
    expect(proposal!.evidence).toMatch(/5 \(.*1 of 108.*Observational/);
    expect(propose(record({ worse: wilson(2, 12) }))).toEqual([]);
    expect(propose(record({ worse: wilson(5, 9) }))).toEqual([]);
  });

  it('never to loosen a limit: its record is shown, and nothing else', () => {
    const [proposal] = propose(record({ rule: ruleOf('limit'), overruled: 40 }));
    expect(proposal!.change).toBeNull();
    expect(proposal!.evidence).toContain('40 of 40');
  });

  it('not of a rule that is no longer in force', () => {
    expect(propose(record({ rule: 'gone', overruled: 40 }))).toEqual([]);
  });

  it('the surest first', () => {
    const rules = propose(record({ overruled: 20 }), record({ rule: ruleOf('moderate'), overruled: 36 }));
    expect(rules.map(({ rule }) => rule)).toEqual([ruleOf('moderate'), ruleOf('strong')]);
  });
});
