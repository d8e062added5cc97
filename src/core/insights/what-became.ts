import type { ChangeReading } from '../outcomes/real-change';
import {
  kaplanMeier,
  type Lasting,
  type LogRank,
  logRank,
  medianOf,
  type SurvivalStep,
} from '../statistics/survival';
import { type Proportion, wilson } from '../statistics/wilson';
import { keysOf } from '../tables/keys-of';
import type { RetiredBecause } from '../wear/retired';

/** One pair as far as it was followed. */
export interface PairFate {
  /** What it is counted among: a use, or a model; of what overlaps there may be several, or none. */
  groups: readonly string[];
  /** Whose it is: figures are withheld by people, not by pairs. */
  patient: string;
  /** Worn since its first day, until it was retired or until now. */
  days: number;
  /** Null while it is worn. */
  because: RetiredBecause | null;
  /** What its first and its last measures say of each; null where one was not taken twice. */
  comfort: ChangeReading | null;
  pain: ChangeReading | null;
  /** Days since anything was heard of it: an outcome, or the day it was handed over. */
  silentDays: number;
}

/** What counts as the end of a pair; all else was followed until then. */
export const PAIR_ENDS = {
  'worn-out': 'worn out',
  hurt: 'given up because it hurt',
  any: 'retired for any reason',
} as const;
export type PairEnd = keyof typeof PAIR_ENDS;

const endedBy = ({ because }: Pick<PairFate, 'because'>, ends: PairEnd): boolean =>
  ends === 'any' ? because !== null : because === ends;

/** What became of the pairs of one group. */
export interface GroupInsight {
  group: string;
  pairs: number;
  patients: number;
  wornOut: number;
  /** Share that has not ended yet, by day; a pair that was retired for another reason, or is worn, was followed until then. */
  steps: SurvivalStep[];
  /** The longest that any of them was followed. */
  longestDays: number;
  /** Days by which half have ended; null where more than half last. */
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

/** Shares by which a group may differ from the other pairs. */
export const APART_BY = {
  hurt: { of: 'retired pairs', say: 'were given up because they hurt' },
  lessPain: { of: 'pairs with pain measured twice', say: 'went with less pain' },
  morePain: { of: 'pairs with pain measured twice', say: 'went with more pain' },
  better: { of: 'pairs rated twice', say: 'became more comfortable' },
  worse: { of: 'pairs rated twice', say: 'became less comfortable' },
} as const;
export type ApartBy = keyof typeof APART_BY;

/** A share of one group that lies apart from the same share of all pairs outside it. */
export interface Apart {
  group: string;
  by: ApartBy;
  own: Proportion;
  others: Proportion;
}

export interface Insights {
  /** What counts as an end. */
  ends: PairEnd;
  /** Groups of fewer people are not shown. */
  least: number;
  groups: GroupInsight[];
  withheld: number;
  /** Whether the two largest groups end alike. */
  between: { first: string; second: string; test: LogRank } | null;
  /** What stands out, and of how many shares that were held against the others: the more, the more stand out by chance. */
  apart: Apart[];
  held: number;
}

/** Days at which the pairs that are still followed are counted: a quarter, half a year, a year, two. */
export const COUNTED_AT = [0, 91, 183, 365, 730] as const;

/** Outcomes are asked for every half year; a month later nobody can say any more. Ours. */
const UNHEARD_DAYS = 213;

/** A pair as it is counted: how long it was followed, worked out once for all groups that it is in. */
interface Followed extends Lasting {
  fate: PairFate;
  /** Its person, numbered from 0. */
  person: number;
}

/** How many people stand behind a group: each number seen is marked with the group’s own, so that nothing is built anew for each. */
function peopleCounter(people: number): (followed: readonly Followed[]) => number {
  const seenIn = new Int32Array(people);
  let group = 0;
  return (followed) => {
    group += 1;
    let count = 0;
    for (const { person } of followed) {
      if (seenIn[person] === group) continue;
      seenIn[person] = group;
      count += 1;
    }
    return count;
  };
}

/** Of pairs of which a measure was taken twice: how many are really better and really worse. */
export function changeOf(
  fates: readonly Pick<PairFate, 'comfort' | 'pain'>[],
  measure: 'comfort' | 'pain',
): { better: Proportion; worse: Proportion } {
  let [better, worse, of] = [0, 0, 0];
  for (const { [measure]: reading } of fates) {
    if (reading === null) continue;
    of += 1;
    better += Number(reading === 'better');
    worse += Number(reading === 'worse');
  }
  return { better: wilson(better, of), worse: wilson(worse, of) };
}

/** @param followed by the time that each was followed, the shortest first */
function insightOf(group: string, patients: number, followed: readonly Followed[]): GroupInsight {
  const steps = kaplanMeier(followed);
  const fates = followed.map(({ fate }) => fate);
  const worn = fates.filter(({ because }) => because === null);
  const before = (day: number) => followed.findIndex(({ time }) => time >= day);
  return {
    group,
    pairs: followed.length,
    patients,
    wornOut: fates.filter(({ because }) => because === 'worn-out').length,
    steps,
    longestDays: followed.at(-1)?.time ?? 0,
    medianDays: medianOf(steps),
    atRisk: COUNTED_AT.map((day) => ({
      day,
      pairs: before(day) < 0 ? 0 : followed.length - before(day),
    })),
    ...sharesOf(fates),
    unheard: wilson(worn.filter(({ silentDays }) => silentDays > UNHEARD_DAYS).length, worn.length),
  };
}

function sharesOf(fates: readonly PairFate[]): Record<ApartBy, Proportion> {
  const retired = fates.filter(({ because }) => because !== null);
  const pain = changeOf(fates, 'pain');
  return {
    hurt: wilson(retired.filter(({ because }) => because === 'hurt').length, retired.length),
    ...changeOf(fates, 'comfort'),
    lessPain: pain.better,
    morePain: pain.worse,
  };
}

/**
 * Shares whose interval does not touch that of all pairs outside the group. Stricter than a test at 5 % (Schenker N, Gentleman JF,
 * Am Stat 2001;55:182–186; cited from memory), which suits a look at many shares at once.
 */
function standingApart(
  groups: readonly GroupInsight[],
  all: Record<ApartBy, Proportion>,
): Pick<Insights, 'apart' | 'held'> {
  const pairs = groups.flatMap((group) =>
    keysOf(APART_BY).map((by): Apart => {
      const own = group[by];
      return {
        group: group.group,
        by,
        own,
        others: wilson(all[by].count - own.count, all[by].of - own.of),
      };
    }),
  );
  const held = pairs.filter(({ own, others }) => own.of > 0 && others.of > 0);
  return {
    held: held.length,
    apart: held.filter(({ own, others }) => own.from > others.to || own.to < others.from),
  };
}

/**
 * What became of the clinic's pairs, group by group, the largest first. Observational: who got which pair was not left to chance.
 *
 * @param least people that a group must have; of smaller ones only their number is said
 * @param options.isDistinct no pair is in two groups, so that they may be held against each other
 * @param options.ends what counts as the end of a pair
 */
export function insightsOf(
  fates: readonly PairFate[],
  least: number,
  { isDistinct = true, ends = 'worn-out' }: { isDistinct?: boolean; ends?: PairEnd } = {},
): Insights {
  const byGroup = new Map<string, Followed[]>();
  const numbers = new Map<string, number>();
  for (const { patient } of fates) if (!numbers.has(patient)) numbers.set(patient, numbers.size);
  const inOrder = fates
    .map(
      (fate): Followed => ({
        fate,
        person: numbers.get(fate.patient) ?? 0,
        time: fate.days,
        ended: endedBy(fate, ends),
      }),
    )
    .toSorted((a, b) => a.time - b.time);
  for (const one of inOrder)
    for (const group of one.fate.groups) {
      const others = byGroup.get(group);
      if (others) others.push(one);
      else byGroup.set(group, [one]);
    }
  const countPeople = peopleCounter(numbers.size);
  const all = [...byGroup]
    .map(([group, of]) => ({ group, of, people: countPeople(of) }))
    .toSorted((a, b) => b.of.length - a.of.length || (a.group < b.group ? -1 : 1));
  const large = all.filter(({ people }) => people >= least);
  const [first, second] = large;
  const groups = large.map(({ group, people, of }) => insightOf(group, people, of));
  const { held, apart } = standingApart(groups, sharesOf(fates));
  return {
    ends,
    least,
    groups,
    held,
    // Of others who are too few nothing is said either.
    apart: apart.filter(
      ({ group }) => countPeople(inOrder.filter(({ fate }) => !fate.groups.includes(group))) >= least,
    ),
    withheld: all.length - large.length,
    between:
      isDistinct && first && second
        ? { first: first.group, second: second.group, test: logRank(first.of, second.of) }
        : null,
  };
}
