import type { FindingId } from '../../findings/findings';
import { BAD, type BadId, GOOD, type GoodId } from '../../history/before';
import { keysOf } from '../../tables/keys-of';
import { OURS } from '../ours';
import { all, atLeast, type RuleText, topic, type Wish } from '../rule';

const known = (finding: FindingId) => atLeast(finding, 0);

/** How near to what served counts as alike, on either side; null leaves that side open. Ours. */
const NEAR = {
  comfortable: { below: 0.5, above: 0.5 },
  held: { below: 0.5, above: null },
  room: { below: 0.25, above: null },
  light: { below: null, above: 30 },
  lasted: { below: 0.5, above: null },
} as const satisfies Record<GoodId, { below: number | null; above: number | null }>;

/** How much more or less than what failed is worth asking: a step that is felt. Ours. */
const STEP = {
  soft: 0.75,
  firm: 0.75,
  narrow: 0.5,
  wide: 0.5,
  shallow: 0.5,
  stiff: 0.75,
  flexible: 0.75,
  heavy: 40,
  high: 5,
  slipped: 0.75,
  arch: 0.5,
  'wore-out': 0.75,
} as const satisfies Record<BadId, number>;

const near = (id: GoodId): Wish => {
  const { feature, finding } = GOOD[id];
  const { below, above } = NEAR[id];
  return {
    feature,
    ...(below === null ? {} : { atLeast: { finding, plus: -below } }),
    ...(above === null ? {} : { atMost: { finding, plus: above } }),
  };
};

const SERVED = {
  strength: 'slight',
  schools: ['comfort', 'load'],
  evidence: 'C',
  sources: ['practice'],
} as const satisfies Partial<RuleText>;
const FOR_YEARS = { ...SERVED, strength: 'moderate' } as const;
const drop: Wish = {
  feature: 'drop',
  atLeast: { finding: 'servedDrop', plus: -2 },
  atMost: { finding: 'servedDrop', plus: 2 },
};

/** What served pulls toward itself, the more the longer it served. */
const served = [
  {
    id: 'served-drop',
    finding: 'a pair that served: its drop',
    when: known('servedDrop'),
    wishes: [drop],
    ...SERVED,
    because: 'What served is the safest place to stay near.',
  },
  {
    id: 'served-drop-for-years',
    finding: 'a pair that served for years: its drop',
    when: all(known('servedDrop'), atLeast('servedMonths', OURS.servedForYears)),
    wishes: [drop],
    ...FOR_YEARS,
    because: 'Comfortable for years is evidence that no measurement outweighs.',
  },
  ...keysOf(GOOD).flatMap((id): RuleText[] => [
    {
      id: `served-${id}`,
      finding: `a pair before: ${GOOD[id].label}`,
      when: known(GOOD[id].finding),
      wishes: [near(id)],
      ...SERVED,
      because: 'What was praised in a pair is kept in the next.',
    },
    {
      id: `served-${id}-for-years`,
      finding: `a pair that served for years: ${GOOD[id].label}`,
      when: all(known(GOOD[id].finding), atLeast('servedMonths', OURS.servedForYears)),
      wishes: [near(id)],
      ...FOR_YEARS,
      because: 'Comfortable for years is evidence that no measurement outweighs.',
    },
  ]),
] satisfies RuleText[];

/** What failed pushes away from what it had. */
const failed = keysOf(BAD).map((id): RuleText => {
  const { feature, finding, more, label } = BAD[id];
  return {
    id: `failed-${id}`,
    finding: `a pair before: ${label}`,
    when: known(finding),
    wishes: [
      more
        ? { feature, atLeast: { finding, plus: STEP[id] } }
        : { feature, atMost: { finding, plus: -STEP[id] } },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'What was wrong with a pair is not bought again.',
  };
});

/** Models that served and models that failed, as strong as evidence gets outside a trial. */
export const pairsBefore = topic('What served before', [...served, ...failed]);
