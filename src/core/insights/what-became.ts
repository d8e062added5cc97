import { compareOutcomes, type Outcome } from '../outcomes/outcome';
import {
  kaplanMeier,
  type Lasting,
  type LogRank,
  logRank,
  medianOf,
  type SurvivalStep,
} from '../statistics/survival';
import { type Proportion, wilson } from '../statistics/wilson';
import type { RetiredBecause } from '../wear/retired';

/** One pair as far as it was followed. */
export interface PairFate {
  /** What it is counted among: a use, or a model. */
  group: string;
  /** Whose it is: figures are withheld by people, not by pairs. */
  patient: string;
  /** Worn since its first day, until it was retired or until now. */
  days: number;
  /** Null while it is worn. */
  because: RetiredBecause | null;
  /** Oldest first. */
  outcomes: readonly Outcome[];
  /** Days since anything was heard of it: an outcome, or the day it was handed over. */
  silentDays: number;
}

/** What became of the pairs of one group. */
export interface GroupInsight {
  group: string;
  pairs: number;
  patients: number;
  wornOut: number;
  /** Share that is not worn out yet, by day; a pair that was retired for another reason, or is worn, was followed until then. */
  steps: SurvivalStep[];
  /** The longest that any of them was followed. */
  longestDays: number;
  /** Days by which half are worn out; null where more than half last. */
  medianDays: number | null;
  /** Pairs still followed at each of these days. */
  atRisk: { day: number; pairs: number }[];
  /** Of pairs that were retired: because they hurt. */
  hurt: Proportion;
  /** Of pairs whose comfort was taken twice: really better, really worse. */
  better: Proportion;
  worse: Proportion;
  /** The same of pain. */
  lessPain: Proportion;
  morePain: Proportion;
  /** Of pairs that are worn: nothing was heard of for more than half a year and a month. */
  unheard: Proportion;
}

export interface Insights {
  /** Groups of fewer people are not shown. */
  least: number;
  groups: GroupInsight[];
  withheld: number;
  /** Whether the two largest groups wear out alike. */
  between: { first: string; second: string; test: LogRank } | null;
}

/** Days at which the pairs that are still followed are counted: a quarter, half a year, a year, two. */
export const COUNTED_AT = [0, 91, 183, 365, 730] as const;

/** Outcomes are asked for every half year; a month later nobody can say any more. Ours. */
const UNHEARD_DAYS = 213;

const peopleOf = (fates: readonly PairFate[]): number => new Set(fates.map(({ patient }) => patient)).size;

const lastingsOf = (fates: readonly PairFate[]): Lasting[] =>
  fates.map(({ days, because }) => ({ time: days, ended: because === 'worn-out' }));

/** Of pairs of which a measure was taken twice: how many are really better and really worse. */
function changeOf(
  fates: readonly PairFate[],
  measure: 'Comfort' | 'Pain',
): { better: Proportion; worse: Proportion } {
  const readings = fates.flatMap(({ outcomes }) => {
    const [first] = outcomes;
    const last = outcomes.at(-1);
    return first && last && outcomes.length > 1
      ? compareOutcomes(first, last).filter((change) => change.measure === measure)
      : [];
  });
  const share = (reading: 'better' | 'worse') =>
    wilson(readings.filter((entry) => entry.reading === reading).length, readings.length);
  return { better: share('better'), worse: share('worse') };
}

function insightOf(group: string, fates: readonly PairFate[]): GroupInsight {
  const steps = kaplanMeier(lastingsOf(fates));
  const retired = fates.filter(({ because }) => because !== null);
  const worn = fates.filter(({ because }) => because === null);
  const pain = changeOf(fates, 'Pain');
  return {
    group,
    pairs: fates.length,
    patients: peopleOf(fates),
    wornOut: fates.filter(({ because }) => because === 'worn-out').length,
    steps,
    longestDays: Math.max(0, ...fates.map(({ days }) => days)),
    medianDays: medianOf(steps),
    atRisk: COUNTED_AT.map((day) => ({ day, pairs: fates.filter(({ days }) => days >= day).length })),
    hurt: wilson(retired.filter(({ because }) => because === 'hurt').length, retired.length),
    ...changeOf(fates, 'Comfort'),
    lessPain: pain.better,
    morePain: pain.worse,
    unheard: wilson(worn.filter(({ silentDays }) => silentDays > UNHEARD_DAYS).length, worn.length),
  };
}

/**
 * What became of the clinic's pairs, group by group, the largest first. Observational: who got which pair was not left to chance.
 *
 * @param least people that a group must have; of smaller ones only their number is said
 * @param isDistinct no pair is in two groups, so that they may be held against each other
 */
export function insightsOf(fates: readonly PairFate[], least: number, isDistinct = true): Insights {
  const byGroup = new Map<string, PairFate[]>();
  for (const fate of fates) {
    const others = byGroup.get(fate.group);
    if (others) others.push(fate);
    else byGroup.set(fate.group, [fate]);
  }
  const all = [...byGroup].toSorted(([a, x], [b, y]) => y.length - x.length || (a < b ? -1 : 1));
  const large = all.filter(([, group]) => peopleOf(group) >= least);
  const [first, second] = large;
  return {
    least,
    groups: large.map(([group, of]) => insightOf(group, of)),
    withheld: all.length - large.length,
    between:
      isDistinct && first && second
        ? {
            first: first[0],
            second: second[0],
            test: logRank(lastingsOf(first[1]), lastingsOf(second[1])),
          }
        : null,
  };
}
