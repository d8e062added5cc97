import { DAYS_PER_MONTH, DAYS_PER_YEAR, daysBetween, type IsoDay } from '../calendar/days';
import { SIDES, type Side } from '../findings/finding-kinds';
import { type ClinicalPicture, type Findings, NOT_EXAMINED } from '../findings/picture';
import type { FEATURES, FeatureValues } from '../shoe/features';
import type { SignAnswers, SignStrengths } from '../signs/signs';
import { isKeyOf } from '../tables/keys-of';
import { agesOnTheShelf, CLOCK_OF_USE, priorLifeOf, SHELF_YEARS, type Use, usedUpAfter } from './clocks';
import type { LifeSchool } from './life-schools';
import type { Midsole } from './midsole';
import type { SoleMark } from './sole-marks';
import { isTakenForSpent, takenToFit, type Verdict, verdictOf } from './verdict';
import { SMOOTH_PATCH_MM2, type WearMap } from './wear-map';

/** How much of its use was errands: distance that nobody counts. */
export const ERRANDS = { none: 'none', some: 'some', much: 'much' } as const;
export type Errands = keyof typeof ERRANDS;
/** What they add to what was counted. Ours. */
const ERRANDS_ADD: Readonly<Record<Errands, number>> = { none: 1, some: 1.15, much: 1.35 };

export const INSERTS = { none: 'none', insole: 'loose insole', orthosis: 'orthosis' } as const;
export type HeelKind = keyof (typeof FEATURES)['heelKind']['options'];

/** A pair that the patient brought. */
export interface OldPair {
  id: string;
  title: string;
  /** Of the catalogue. */
  model?: string | undefined;
  /** Handed over by this clinic. */
  pair?: string | undefined;
  use: Use;
  /** Did most of the miles. */
  isMain?: boolean | undefined;
  madeOn?: IsoDay | undefined;
  boughtOn?: IsoDay | undefined;
  firstWornOn?: IsoDay | undefined;
  /** In the unit of its clock. */
  amount?: number | undefined;
  errands?: Errands | undefined;
  /** Stood in its box: stiff and unworn. */
  isUnworn?: boolean | undefined;
  /** What lay in it beside its own insole. */
  insert?: keyof typeof INSERTS | undefined;
  isInsoleGlued?: boolean | undefined;
  isBackless?: boolean | undefined;
  heelKind?: HeelKind | undefined;
  heelHeightMm?: number | undefined;
  /** Smooth patch of a slip-rated sole, mm². */
  smoothPatchMm2?: number | undefined;
  signs?: SignAnswers | undefined;
  wear?: WearMap | undefined;
  midsole?: Midsole | undefined;
  soleMarks?: SoleMark[] | undefined;
  values?: FeatureValues | undefined;
}

/** What else a verdict rests on. */
export interface VerdictContext {
  on: IsoDay;
  school: LifeSchool;
  /** What the patient says a week brings, km; counts where nobody knows how far the pair went. */
  weeklyKm?: number | null;
  /** How strongly the clinic takes each sign. */
  strengths?: SignStrengths | undefined;
}

/** Where neither use nor age is known: people bring pairs that they doubt. Ours. */
const UNKNOWN_USE = 0.4;

/** How much a pair was used, in the unit of its clock, and where that comes from; null where nothing says it. */
export function usedOf(
  { use, amount, errands = 'none', firstWornOn, isUnworn }: OldPair,
  { on, weeklyKm }: VerdictContext,
): { amount: number; from: 'said' | 'estimated' } | null {
  if (isUnworn) return { amount: 0, from: 'said' };
  if (amount !== undefined) return { amount: amount * ERRANDS_ADD[errands], from: 'said' };
  if (CLOCK_OF_USE[use] !== 'km' || firstWornOn === undefined || !weeklyKm) return null;
  const weeks = Math.max(0, daysBetween(firstWornOn, on)) / 7;
  return { amount: weeks * weeklyKm * ERRANDS_ADD[errands], from: 'estimated' };
}

/**
 * Chance that a pair is used up by its use and its age alone: the share of such pairs that would be, by whichever of the two has
 * gone further.
 */
export function priorSpentOf(pair: OldPair, context: VerdictContext): number {
  const { life } = priorLifeOf(pair.use, context.school);
  const used = usedOf(pair, context);
  const since = pair.madeOn ?? pair.boughtOn ?? pair.firstWornOn;
  const years = since === undefined ? null : daysBetween(since, context.on) / DAYS_PER_YEAR;
  const byAge = years !== null && agesOnTheShelf(pair.use) ? usedUpAfter(SHELF_YEARS, years) : 0;
  if (used === null) return since === undefined ? UNKNOWN_USE : Math.max(UNKNOWN_USE / 2, byAge);
  return Math.max(usedUpAfter(life, used.amount), byAge);
}

/** How much of the middle life of such pairs the main pair that was brought has used; null where nobody can say. */
export function shareOfLife(pairs: readonly OldPair[], context: VerdictContext): number | null {
  const main = mainPair(pairs);
  const used = main && usedOf(main, context);
  return main && used ? used.amount / priorLifeOf(main.use, context.school).life.median : null;
}

/** A slip-rated sole with too large a smooth patch is at its end whatever its foam does. */
export const isWornSmooth = ({ smoothPatchMm2, values }: OldPair): boolean =>
  values?.tread === 'slip-rated' && (smoothPatchMm2 ?? 0) > SMOOTH_PATCH_MM2;

/** Signs that speak of this pair: a backless one has no counter to break and no lining to rub through. */
function speakingSigns({ signs = {}, isBackless }: OldPair): SignAnswers {
  if (!isBackless) return signs;
  const { counter: _, lining: __, ...rest } = signs;
  return rest;
}

/** Spent? and does it suit? of one pair that was brought. */
export const verdictOfPair = (pair: OldPair, context: VerdictContext): Verdict =>
  verdictOf(speakingSigns(pair), isWornSmooth(pair) ? 0.999 : priorSpentOf(pair, context), context.strengths);

/** From so long on, a pair that stood in its box is never called new, years: its foam is checked first. Ours. */
const LONG_STORED_YEARS = 2;

/** From here a heel is one that the calf has got used to, mm. Ours. */
const HIGH_HEEL_MM = 30;

/** What is said of a pair before its verdict: long stored foam, a smooth patch, use that was estimated. */
export function noticesOf(pair: OldPair, context: VerdictContext): string[] {
  const since = pair.madeOn ?? pair.boughtOn;
  const years = since === undefined ? 0 : daysBetween(since, context.on) / DAYS_PER_YEAR;
  return [
    ...(pair.isUnworn && agesOnTheShelf(pair.use) && years >= LONG_STORED_YEARS
      ? [
          `Unworn, but ${Math.round(years)} years old: foam ages in its box. Press it and fold it before anybody calls it new.`,
        ]
      : []),
    ...(isWornSmooth(pair)
      ? [`A smooth patch over ${SMOOTH_PATCH_MM2} mm²: this sole no longer grips, whatever its foam does.`]
      : []),
    ...(pair.insert === 'insole' || pair.insert === 'orthosis'
      ? ['Something lay in it: have it at hand, and try the next pair with it in.']
      : []),
    ...(pair.isInsoleGlued
      ? ['Its insole is glued in: what lies on top of it takes depth and lifts the heel out of the counter.']
      : []),
    ...(pair.isBackless
      ? ['Backless: the toes hold it on. How it fitted says little of a pair that holds the heel.']
      : []),
    ...((pair.heelHeightMm ?? 0) >= HIGH_HEEL_MM
      ? [`A heel of ${pair.heelHeightMm} mm: calves and heel cords are used to it, so come down in steps.`]
      : []),
    ...(usedOf(pair, context)?.from === 'estimated'
      ? ['Its distance is estimated from the week and its first day.']
      : []),
  ];
}

/** With an ache or a blister the pair that was worn is looked at before anything else. */
export const wantsOldPairFirst = (picture: Pick<ClinicalPicture, Side>): boolean =>
  SIDES.some((side) => {
    const { pain, skin } = picture[side];
    return (pain !== NOT_EXAMINED && pain.length > 0) || (skin !== NOT_EXAMINED && skin.includes('blister'));
  });

/** The pair that did most of the miles; the first where nobody said. */
export const mainPair = (pairs: readonly OldPair[]): OldPair | null =>
  pairs.find(({ isMain }) => isMain) ?? pairs[0] ?? null;

const CATEGORY = {
  neutral: 'neutral',
  structured: 'structured',
  stability: 'stability',
  'motion-control': 'stability',
  maximal: 'maximal',
  minimal: 'minimal',
} as const;

type Signs = NonNullable<NonNullable<Findings['body']>['oldPairSigns']>;

/** Signs of use in the words of the old pair’s findings. Inner creases after much use are age, and ask nothing of the next pair. */
function signsOf(pair: OldPair): Signs | undefined {
  const signs = speakingSigns(pair);
  const found: Signs = [];
  if (signs.creases === 'inner-early') found.push('midsole-creased');
  if (signs.fold === 'none') found.push('folds-flat');
  // An ache that began lately, in a pair that was good, is the pair's age; one from the start is the pair.
  if (signs.ache === 'since-new') found.push('new-aches');
  if (signs.counter === 'broken') found.push('counter-broken');
  if (signs.tilt === 'inner' || signs.tilt === 'outer') found.push('tilts');
  if (signs.through === 'yes') found.push('worn-through');
  if (signs.pattern === 'yes') found.push('pattern-worn');
  return Object.keys(signs).length > 0 ? found : undefined;
}

/** What follows from the pairs that were brought: age, use, drop, kind and signs of the one that did most of the miles, and both answers. */
export function findingsOfOldPairs(pairs: readonly OldPair[], context: VerdictContext): Findings {
  const main = mainPair(pairs);
  if (!main) return {};
  const { firstWornOn, values, use } = main;
  const used = usedOf(main, context);
  const verdict = verdictOfPair(main, context);
  const category = String(values?.category);
  // A heel that was measured tells what the foot stood on where no model says it.
  const drop = values?.drop ?? main.heelHeightMm;
  const signs = signsOf(main);
  const fits = takenToFit(verdict);
  const spent = isTakenForSpent(verdict);
  return {
    body: {
      ...(firstWornOn === undefined
        ? {}
        : {
            oldPairAge: Math.min(
              240,
              Math.max(0, Math.round(daysBetween(firstWornOn, context.on) / DAYS_PER_MONTH)),
            ),
          }),
      ...(used && CLOCK_OF_USE[use] === 'km'
        ? { oldPairDistance: Math.min(8000, Math.round(used.amount)) }
        : {}),
      ...(typeof drop === 'number' && drop <= 25 ? { oldPairDrop: drop } : {}),
      ...(isKeyOf(CATEGORY, category) ? { oldPairCategory: CATEGORY[category] } : {}),
      ...(signs ? { oldPairSigns: signs } : {}),
      // Without a sign nobody has looked at it: use alone says nothing of how it suits.
      ...(fits !== null && signs ? { oldPairVerdict: fits } : {}),
      ...(spent === null ? {} : { oldPairSpent: spent ? ('yes' as const) : ('no' as const) }),
    },
  };
}
