import { generatedFindings } from '@tests/fixtures/generated-findings';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { houseChangeSchema, houseRulesSchema } from '../prescribe/check/house-rules-schema';
import { changedRules, previewOf } from '../prescribe/counterfactual/preview';
import { canonical, replay, replaysAlike } from '../prescribe/counterfactual/replay';
import { resolve } from '../prescribe/engine/resolve';
import type { Target } from '../prescribe/engine/specification';
import { awaitedInWords, targetInWords } from '../prescribe/explain/in-words';
import {
  editionOf,
  type HouseChange,
  type HouseRules,
  knowledgeOf,
  NO_HOUSE_RULES,
  rulesInForce,
} from './house-rules';
import { KNOWLEDGE_VERSION, RULES } from './knowledge-base';

const house = (changes: HouseChange[], version = 1): HouseRules => ({ version, changes, settings: {} });
const own = {
  id: 'house-wet-decks',
  topic: 'House rules',
  finding: 'works on wet decks',
  when: { all: [{ finding: 'surfaces', has: ['wet-floor'] }] },
  wishes: [{ feature: 'closure', avoid: ['slip-on'] }],
  strength: 'limit',
  schools: [],
  evidence: 'C',
  sources: ['house'],
  because: 'A shoe that slips off on a ladder has cost us two ankles.',
} as const;
const deckhand: Findings = { body: { surfaces: ['wet-floor'], activities: ['standing-work'] } };

describe('house rules', () => {
  it('switch off, change strength and add; everything else stays as shipped', () => {
    const rules = rulesInForce(
      house([
        { kind: 'off', rule: 'achilles-pain', reason: 'exercise first' },
        { kind: 'strength', rule: 'tight-calf', strength: 'slight', reason: 'too strong here' },
        { kind: 'own', rule: own, reason: 'two accidents' },
      ]),
    );
    expect(rules).toHaveLength(RULES.length);
    expect(rules.some((rule) => rule.id === 'achilles-pain')).toBe(false);
    expect(rules.find((rule) => rule.id === 'tight-calf')?.strength).toBe('slight');
    expect(rules.at(-1)?.id).toBe('house-wet-decks');
    expect(rulesInForce(NO_HOUSE_RULES)).toBe(RULES);
  });

  it('a changed strength moves the wishes that were as strong, not those set weaker on purpose', () => {
    const before = RULES.find((rule) => rule.id === 'stiff-big-toe')!;
    const after = rulesInForce(
      house([{ kind: 'strength', rule: 'stiff-big-toe', strength: 'slight', reason: 'test' }]),
    ).find((rule) => rule.id === 'stiff-big-toe')!;
    expect(before.wishes.map((wish) => wish.strength)).toEqual([undefined, undefined, 'moderate']);
    expect(after.strength).toBe('slight');
    expect(after.wishes[2]?.strength).toBe('moderate');
  });

  it('an edition is named after both versions', () => {
    expect(editionOf(NO_HOUSE_RULES)).toBe(KNOWLEDGE_VERSION);
    expect(editionOf(house([], 4))).toBe(`${KNOWLEDGE_VERSION}+house.4`);
  });

  it.each<[string, unknown, RegExp]>([
    ['no reason', { kind: 'off', rule: 'achilles-pain', reason: '' }, /Reason/],
    [
      'a name that is not its own',
      { kind: 'own', rule: { ...own, id: 'achilles-pain' }, reason: 'test' },
      /house-/,
    ],
    ['nothing wished', { kind: 'own', rule: { ...own, wishes: [] }, reason: 'test' }, /at least one feature/],
    [
      'a reason too short to argue with',
      { kind: 'own', rule: { ...own, because: 'so' }, reason: 'test' },
      /20 letters/,
    ],
    [
      'a condition nobody can meet',
      {
        kind: 'own',
        rule: {
          ...own,
          when: {
            all: [
              { finding: 'ageYears', atLeast: 70 },
              { finding: 'ageYears', below: 12 },
            ],
          },
        },
        reason: 'test',
      },
      /No patient can meet/,
    ],
    [
      'an option that does not exist',
      { kind: 'own', rule: { ...own, wishes: [{ feature: 'closure', avoid: ['velour'] }] }, reason: 'test' },
      /velour/,
    ],
  ])('an own rule with %s is refused in a sentence', (_, change, message) => {
    const parsed = houseChangeSchema.safeParse(change);
    expect(parsed.success).toBe(false);
    expect(JSON.stringify(parsed.error?.issues)).toMatch(message);
  });

  it('a sound one is accepted, and the clinic’s setting keeps its ends in order', () => {
    expect(
      houseChangeSchema.safeParse({ kind: 'own', rule: own, reason: 'two accidents' }).error,
    ).toBeUndefined();
    const settings = { kneePerMmDrop: { low: 2, high: 1 } };
    expect(houseRulesSchema.safeParse({ changes: [], settings }).success).toBe(false);
  });
});

describe('preview and replay', () => {
  const before = knowledgeOf(NO_HOUSE_RULES);
  const after = knowledgeOf(house([{ kind: 'own', rule: own, reason: 'two accidents' }]));

  it('knows which rules differ', () => {
    expect(changedRules(before.rules, after.rules)).toEqual({ before: [], after: [own] });
    expect(changedRules(before.rules, before.rules)).toEqual({ before: [], after: [] });
  });

  it('reads for any picture exactly as two whole resolutions differ', () => {
    const others = knowledgeOf(
      house([
        { kind: 'off', rule: 'older-or-falls', reason: 'test' },
        { kind: 'strength', rule: 'achilles-pain', strength: 'slight', reason: 'test' },
        { kind: 'own', rule: own, reason: 'test' },
        { kind: 'strength', rule: 'metatarsal-pad', strength: 'limit', reason: 'test' },
      ]),
    );
    const preview = previewOf(before, others);
    fc.assert(
      fc.property(generatedFindings, (findings) => {
        const words = (knowledge: typeof before) => {
          const { targets, feet } = resolve(clinicalPicture(findings), { knowledge });
          const read = (target: Target) => `${targetInWords(target)} ${awaitedInWords(target)}`;
          return new Map([
            ...targets.map((target) => [target.feature, read(target)] as const),
            ...(['left', 'right'] as const).flatMap((side) =>
              feet[side].map((target) => [`${target.feature} ${side}`, read(target)] as const),
            ),
          ]);
        };
        const [was, is] = [words(before), words(others)];
        const differ = [...new Set([...was.keys(), ...is.keys()])].filter(
          (key) => was.get(key) !== is.get(key),
        );
        const said = preview({ findings })?.targets.map(({ feature, side }) =>
          side ? `${feature} ${side}` : feature,
        );
        expect((said ?? []).toSorted()).toEqual(differ.toSorted());
      }),
      { numRuns: 40 },
    );
  });

  it('counts a target that only begins to wait for an amount', () => {
    const waiting = knowledgeOf(
      house([
        {
          kind: 'own',
          rule: {
            ...own,
            id: 'house-drop-of-old-pair',
            wishes: [{ feature: 'drop', atMost: { finding: 'oldPairDrop' } }],
          },
          reason: 'test',
        },
      ]),
    );
    const change = previewOf(before, waiting)({ findings: deckhand });
    expect(change?.targets.find(({ feature }) => feature === 'drop')?.after).toMatch(
      /cannot be judged until .* is known/,
    );
  });

  it('says what would read otherwise, exactly as two whole resolutions differ', () => {
    const preview = previewOf(before, after);
    const one = resolve(clinicalPicture(deckhand), { knowledge: before });
    const two = resolve(clinicalPicture(deckhand), { knowledge: after });
    const excluded = (of: typeof one) =>
      of.targets.flatMap((target) =>
        target.feature === 'closure' && target.kind === 'options' ? target.excluded : [],
      );
    expect(excluded(one)).toEqual([]);
    expect(excluded(two)).toEqual(['slip-on']);
    // The words stay “not slip-on”: a strong wish became a limit, which is no other shoe.
    expect(preview({ findings: deckhand })).toBeNull();
    expect(preview({ findings: { body: { surfaces: ['road'] } } })).toBeNull();
    const weaker = knowledgeOf(house([{ kind: 'off', rule: 'standing-work-closed', reason: 'test' }]));
    expect(
      previewOf(before, weaker)({ findings: deckhand })?.targets.map((target) => target.feature),
    ).toContain('closure');
  });

  it('a new contradiction is found', () => {
    const clash = {
      ...own,
      id: 'house-slip-ons',
      wishes: [{ feature: 'closure', prefer: ['slip-on'] }],
    } as const;
    const both = knowledgeOf(
      house([
        { kind: 'own', rule: own, reason: 'test' },
        { kind: 'own', rule: clash, reason: 'test' },
      ]),
    );
    expect(previewOf(before, both)({ findings: deckhand })?.deadlocks[0]).toMatch(/cannot both hold/);
  });

  it('replays to the same bytes after a trip through a database that orders keys its own way', () => {
    const stored = { findings: deckhand, school: 'load' as const };
    const issued = replay(stored, after);
    const shuffled = JSON.parse(
      JSON.stringify(issued, (_, value) =>
        value && typeof value === 'object' && !Array.isArray(value)
          ? Object.fromEntries(Object.entries(value).reverse())
          : value,
      ),
    );
    expect(JSON.stringify(shuffled)).not.toBe(JSON.stringify(issued));
    expect(replaysAlike(shuffled, replay(stored, after))).toBe(true);
    expect(replaysAlike(shuffled, replay(stored, before))).toBe(false);
    expect(canonical({ b: 1, a: [{ d: undefined, c: 2 }] })).toBe('{"a":[{"c":2}],"b":1}');
  });
});
