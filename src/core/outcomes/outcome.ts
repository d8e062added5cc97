import type { IsoDay } from '../calendar/days';
import { readDifference, realDifferenceOf } from '../examination/real-difference';
import type { Side } from '../findings/finding-kinds';
import { COMFORT_ZONES, type ComfortZone } from '../fitting/try-on';
import type { SpotPlace } from '../hot-spot/causes';
import { keysOf } from '../tables/keys-of';
import { type GaitNumber, gaitName } from './gait-number';
import {
  ACTIVITIES_REAL_CHANGE,
  ACTIVITY_REAL_CHANGE,
  type ChangeReading,
  COMFORT_REAL_CHANGE,
  PAIN_REAL_CHANGE,
  painFall,
  readChange,
  readPainChange,
} from './real-change';

/** What is seen on the skin where the pair is worn (handbook 09). */
export const SKIN_SIGNS = {
  blister: 'blister',
  callus: 'callus',
  redness: 'redness',
  ulcer: 'open skin',
} as const;
export type SkinSign = keyof typeof SKIN_SIGNS;

/** Where on a foot it is seen. */
export interface SkinAt {
  side: Side;
  place: SpotPlace;
  sign: SkinSign;
}

/** Something that the patient wants to do, and how well it goes: 0 not at all, 10 as before. */
export interface OwnActivity {
  name: string;
  score: number;
}

/** The total of a licensed questionnaire; its items are never kept here. */
export interface QuestionnaireTotal {
  name: string;
  total: number;
  /** Whether more is better, and the smallest real change as published, where somebody stated it. */
  moreIsBetter: boolean;
  realChange?: number | undefined;
}

/** What was measured on one day of one pair; an absent value was not asked. */
export interface Outcome {
  on: IsoDay;
  /** 0–100. */
  comfort?: number | undefined;
  /** By part of the foot, 0–100. */
  zones?: Partial<Record<ComfortZone, number | undefined>> | undefined;
  /** At the site that was named at the visit, 0–10. */
  pain?: number | undefined;
  activities?: readonly OwnActivity[] | undefined;
  hoursADay?: number | undefined;
  daysAWeek?: number | undefined;
  skin?: readonly SkinSign[] | undefined;
  /** The same on the drawing, where the place was said. */
  skinAt?: readonly SkinAt[] | undefined;
  /** Falls and near-falls since the last time. */
  falls?: number | undefined;
  gait?: readonly GaitNumber[] | undefined;
  questionnaires?: readonly QuestionnaireTotal[] | undefined;
}

/** Every sign on the skin of a day, with or without its place, each once. */
export const skinSignsOf = ({ skin = [], skinAt = [] }: Pick<Outcome, 'skin' | 'skinAt'>): SkinSign[] => {
  const seen = new Set([...skin, ...skinAt.map(({ sign }) => sign)]);
  return keysOf(SKIN_SIGNS).filter((sign) => seen.has(sign));
};

/** One measure then and now, with the band within which a difference means nothing. */
export interface OutcomeChange {
  measure: string;
  scale: readonly [number, number] | null;
  baseline: number;
  now: number;
  /** Values that are no real change; null where nobody knows how large one is. */
  same: readonly [number, number] | null;
  reading: ChangeReading | 'changed' | 'not judged';
  /** Where the smallest real change comes from, or why there is none. */
  mark: string;
}

/** What comfort of a part of the foot is called. */
export const zoneMeasure = (zone: ComfortZone): string => `Comfort, ${COMFORT_ZONES[zone]}`;

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

function oneComfort(measure: string, before: number | undefined, after: number | undefined): OutcomeChange[] {
  if (before === undefined || after === undefined) return [];
  return [
    {
      measure,
      scale: [0, 100],
      baseline: before,
      now: after,
      same: [before - COMFORT_REAL_CHANGE, before + COMFORT_REAL_CHANGE],
      reading: readChange(before, after),
      mark: 'Mills 2010, within one session, from memory; between weeks it is larger, how much is not published',
    },
  ];
}

const comfortChanges = (baseline: Outcome, now: Outcome): OutcomeChange[] => [
  ...oneComfort('Comfort', baseline.comfort, now.comfort),
  ...keysOf(COMFORT_ZONES).flatMap((zone) =>
    oneComfort(zoneMeasure(zone), baseline.zones?.[zone], now.zones?.[zone]),
  ),
];

function painChange(baseline: Outcome, now: Outcome): OutcomeChange[] {
  if (baseline.pain === undefined || now.pain === undefined) return [];
  return [
    {
      measure: 'Pain',
      scale: [0, 10],
      baseline: baseline.pain,
      now: now.pain,
      same: [baseline.pain - painFall(baseline.pain), baseline.pain + PAIN_REAL_CHANGE.points],
      reading: readPainChange(baseline.pain, now.pain),
      mark: 'Farrar 2001, from memory: 2 points or 30 %',
    },
  ];
}

/** Activities that were named both times, each alone and their mean. */
function activityChanges(baseline: Outcome, now: Outcome): OutcomeChange[] {
  const pairs = (baseline.activities ?? []).flatMap(({ name, score }) => {
    const later = now.activities?.find((activity) => activity.name === name);
    return later ? [{ name, before: score, after: later.score }] : [];
  });
  const change = (measure: string, before: number, after: number, real: number): OutcomeChange => ({
    measure,
    scale: [0, 10],
    baseline: before,
    now: after,
    same: [before - real, before + real],
    reading: readChange(before, after, real),
    mark: 'Stratford 1995, from memory: 2 for the mean, 3 for one',
  });
  return [
    ...pairs.map(({ name, before, after }) => change(name, before, after, ACTIVITY_REAL_CHANGE)),
    ...(pairs.length > 1
      ? [
          change(
            'Own activities, mean',
            mean(pairs.map(({ before }) => before)),
            mean(pairs.map(({ after }) => after)),
            ACTIVITIES_REAL_CHANGE,
          ),
        ]
      : []),
  ];
}

function questionnaireChanges(baseline: Outcome, now: Outcome): OutcomeChange[] {
  return (baseline.questionnaires ?? []).flatMap((before): OutcomeChange[] => {
    const after = now.questionnaires?.find(({ name }) => name === before.name);
    if (!after) return [];
    const real = after.realChange ?? before.realChange;
    const way = before.moreIsBetter ? 1 : -1;
    return [
      {
        measure: before.name,
        scale: null,
        baseline: before.total,
        now: after.total,
        same: real === undefined ? null : [before.total - real, before.total + real],
        reading: real === undefined ? 'not judged' : readChange(way * before.total, way * after.total, real),
        mark:
          real === undefined
            ? 'nobody stated how large a real change is'
            : 'as published, stated by the clinic',
      },
    ];
  });
}

/** A number of the gait is beyond the measurement’s own error or it is not: which way is better is not for a table to say. */
function gaitChanges(baseline: Outcome, now: Outcome): OutcomeChange[] {
  return (baseline.gait ?? []).flatMap((before): OutcomeChange[] => {
    const after = now.gait?.find(({ measure, side }) => measure === before.measure && side === before.side);
    if (!after) return [];
    const real = realDifferenceOf(before.measure);
    const reading = {
      'beyond error': 'changed',
      'within error': 'no real change',
      'error unknown': 'not judged',
    } as const;
    return [
      {
        measure: gaitName(before),
        scale: null,
        baseline: before.value,
        now: after.value,
        same: real ? [before.value - real.least, before.value + real.least] : null,
        reading: reading[readDifference(before.measure, after.value - before.value)],
        mark: real
          ? `${real.least} is the measurement’s own error (${real.says}); better or worse is yours to say`
          : 'the measurement’s own error is not stated',
      },
    ];
  });
}

/** Baseline against now, measure by measure; what was not taken both times is not compared. */
export const compareOutcomes = (baseline: Outcome, now: Outcome): OutcomeChange[] => [
  ...comfortChanges(baseline, now),
  ...painChange(baseline, now),
  ...activityChanges(baseline, now),
  ...gaitChanges(baseline, now),
  ...questionnaireChanges(baseline, now),
];

/** Signs after which nothing else counts: open skin, or a fall. */
export const alarmsOf = ({ falls, ...seen }: Omit<Outcome, 'on'>): string[] => [
  ...(skinSignsOf(seen).includes('ulcer') ? ['Open skin: stop wearing it, and have it seen.'] : []),
  ...(falls !== undefined && falls > 0
    ? [`${falls === 1 ? 'A fall' : `${falls} falls`} since the last time: look at grip, fit and balance.`]
    : []),
];

/** What comes next where something is worse (handbook 09). */
export const NEXT_STEPS = {
  refit: 'Refit the pair',
  loosen: 'Loosen a rule, with a reason',
  'other-school': 'Try another school of prescribing',
  refer: 'Refer',
} as const;
export type NextStep = keyof typeof NEXT_STEPS;

/** Steps to offer, the nearest first; none where nothing is worse. */
export function nextSteps(changes: readonly OutcomeChange[], alarms: readonly string[]): NextStep[] {
  if (alarms.length > 0) return ['refer', 'refit'];
  const worse = changes.filter(({ reading }) => reading === 'worse').map(({ measure }) => measure);
  if (worse.length === 0) return [];
  // Comfort alone is a matter of the fit; pain or what a person can do asks more.
  const ofComfort = new Set(['Comfort', ...keysOf(COMFORT_ZONES).map(zoneMeasure)]);
  return worse.every((measure) => ofComfort.has(measure))
    ? ['refit', 'loosen', 'other-school']
    : ['refit', 'refer', 'loosen', 'other-school'];
}
