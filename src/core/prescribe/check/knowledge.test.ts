import { describe, expect, it } from 'vitest';
import { definitionOf, FINDING_IDS, isFindingId } from '../../findings/findings';
import { RULES } from '../../knowledge/knowledge-base';
import { above, all, atMost, below, has, is, isOurs, not, type Rule } from '../../knowledge/rule';
import { isSatisfiable, shareATrigger } from '../../knowledge/satisfiable';
import { SCHOOL_CHOICES, shareOf } from '../../knowledge/schools';
import { FEATURE_IDS } from '../../shoe/features';
import { recallOf, SOURCES } from '../../sources/sources';
import { findingsOfRule } from '../engine/rule-index';
import { knowledgeProblems, ruleProblems, unmarkedContradictions } from './check';

describe('the knowledge base', () => {
  it('has at least 180 rules and nothing wrong with any', () => {
    expect(RULES.length).toBeGreaterThanOrEqual(180);
    expect(knowledgeProblems(RULES)).toEqual([]);
  });

  it('no limit rests on a number of ours: it would come and go at once', () => {
    const ours = RULES.filter(isOurs);
    expect(ours.length).toBeGreaterThan(20);
    for (const rule of ours) {
      expect(rule.strength).not.toBe('limit');
      expect(rule.wishes.map(({ strength }) => strength)).not.toContain('limit');
    }
  });

  it('each finding says truly whether rules read it; any other says what does, or why it is only recorded', () => {
    const read = new Set(RULES.flatMap(findingsOfRule));
    for (const id of FINDING_IDS) {
      const { readBy } = definitionOf(id);
      expect(readBy === 'rules', `${id} is read by rules`).toBe(read.has(id));
      expect(readBy.length, id).toBeGreaterThan(4);
    }
  });

  it('what a finding follows from, and what is examined for it, are findings', () => {
    const derived = FINDING_IDS.map(definitionOf).filter(({ derivedFrom }) => derivedFrom);
    expect(derived.length).toBeGreaterThan(10);
    for (const { label, derivedFrom = [], examinedBy = [] } of derived) {
      for (const id of [...derivedFrom, ...examinedBy]) expect(isFindingId(id), `${label}: ${id}`).toBe(true);
      for (const id of examinedBy) expect(derivedFrom, label).toContain(id);
    }
  });

  it('speaks of every feature', () => {
    const wished = new Set(RULES.flatMap((rule) => rule.wishes.map((wish) => wish.feature)));
    expect(FEATURE_IDS.filter((id) => !wished.has(id))).toEqual([]);
  });

  it('every source is cited by some rule', () => {
    const cited = new Set([...RULES.flatMap((rule) => rule.sources), 'house']);
    expect(Object.keys(SOURCES).filter((id) => !cited.has(id))).toEqual([]);
  });

  it('a rule is trusted as far as its vaguest source; common practice claims no recall', () => {
    expect(recallOf(['rabusin-2021', 'chimenti-2024'])).toBe(72);
    expect(recallOf(['practice'])).toBeNull();
  });

  it('never weakens a rule that every school holds, and keeps shape in weakly by default', () => {
    const everyone = RULES.find((rule) => rule.schools.length === 0)!;
    for (const school of Object.keys(SCHOOL_CHOICES))
      expect(shareOf(everyone, school as keyof typeof SCHOOL_CHOICES)).toBe(1);
    const shape = RULES.find((rule) => rule.id === 'low-arch-flexible-rolls-in')!;
    expect(shareOf(shape, 'balanced')).toBe(0.25);
    expect(shareOf(shape, 'comfort')).toBe(0);
  });
});

describe('the check of the knowledge finds', () => {
  const sound: Rule = {
    id: 'sound',
    topic: 'test',
    finding: 'test',
    when: is('arch', 'low'),
    wishes: [{ feature: 'drop', atLeast: 10 }],
    strength: 'moderate',
    schools: [],
    evidence: 'C',
    sources: ['practice'],
    because: 'a reason that is long enough to be read',
  };
  const codes = (part: Partial<Rule>) => ruleProblems({ ...sound, ...part }).map((entry) => entry.code);

  it('nothing in a sound rule', () => expect(codes({})).toEqual([]));

  it.each<[string, Partial<Rule>]>([
    ['unknown-finding', { when: is('shoeHorn' as 'arch', 'long') }],
    ['unknown-option', { when: is('arch', 'middling') }],
    ['wrong-question', { when: is('falls', '2') }],
    ['unknown-feature', { wishes: [{ feature: 'sparkle' as 'drop', atLeast: 1 }] }],
    ['unknown-option', { wishes: [{ feature: 'closure', prefer: ['velour'] }] }],
    ['wrong-wish', { wishes: [{ feature: 'drop', prefer: ['low'] }] }],
    ['out-of-bounds', { wishes: [{ feature: 'drop', atLeast: 160 }] }],
    ['no-source', { sources: [] }],
    ['unknown-source', { sources: ['nobody-1999'] }],
    ['grade-without-source', { evidence: 'A' }],
    ['no-reason', { because: 'because' }],
    ['no-wish', { wishes: [] }],
    ['limit-of-a-school', { strength: 'limit', schools: ['shape'] }],
    ['never-fires', { when: all(below('ageYears', 12), above('ageYears', 65)) }],
    ['never-fires', { when: all(is('arch', 'low'), not(is('arch', ['low', 'medium']))) }],
    ['never-fires', { when: all(has('pain', 'shin'), not(has('pain', ['shin', 'calf']))) }],
    ['never-fires', { when: above('bigToeRange', 120) }],
  ])('%s', (code, part) => expect(codes(part)).toContain(code));

  it('rules that contradict each other on the same finding, unless both say so', () => {
    const other: Rule = { ...sound, id: 'other', wishes: [{ feature: 'drop', atMost: 4 }] };
    expect(unmarkedContradictions([sound, other]).map((entry) => entry.code)).toEqual([
      'unmarked-contradiction',
    ]);
    const marked = [
      { ...sound, contestedBy: ['other'] },
      { ...other, contestedBy: ['sound'] },
    ];
    expect(unmarkedContradictions(marked)).toEqual([]);
    // Another finding that pulls the other way is a tension for the patient, not a contradiction of the books.
    expect(unmarkedContradictions([sound, { ...other, when: has('pain', 'hip') }])).toEqual([]);
    expect(knowledgeProblems([marked[0]!, other]).map((entry) => entry.code)).toEqual(['one-sided-contest']);
  });

  it('which conditions can be met, and which share a trigger', () => {
    expect(isSatisfiable(all(atMost('bigToeRange', 10), below('bigToeRange', 40)))).toBe(true);
    expect(shareATrigger(has('pain', ['shin', 'calf']), has('pain', ['calf']))).toBe(true);
    expect(shareATrigger(has('pain', 'shin'), has('pain', 'calf'))).toBe(false);
    expect(shareATrigger(is('arch', 'low'), is('arch', 'high'))).toBe(false);
    expect(
      shareATrigger(all(is('arch', 'low'), is('roll', 'in')), all(is('arch', 'low'), is('roll', 'out'))),
    ).toBe(false);
  });
});
