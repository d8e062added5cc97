import type { View } from '../body-map/sites';
import { SIDES, type Side } from '../findings/finding-kinds';
import type { PushOff } from './push-off';

/** One shoe on one foot, standing, laced for the patient. Everything may be missing. */
export interface FootFit {
  /** Room beyond the longest toe, standing, sock and insert in. */
  roomMm?: number;
  widthFit?: 'tight' | 'right' | 'loose';
  depth?: 'tight' | 'right' | 'loose';
  heelSlip?: 'none' | 'slight' | 'clear';
  /** Held over the instep when it is laced. */
  midfootHold?: 'held' | 'loose';
  collar?: 'clear' | 'presses';
  archFeel?: 'right' | 'presses' | 'missing';
  instep?: 'right' | 'presses';
  bend?: 'under-ball' | 'too-far-back';
  /** The last part that leaves the ground, in this shoe. */
  pushOff?: PushOff;
}

/** A place where the shoe makes itself felt. */
export const POINT_KINDS = { presses: 'presses', rubs: 'rubs', gapes: 'gapes' } as const;
export type PointKind = keyof typeof POINT_KINDS;

export interface PressurePoint {
  id: string;
  side: Side;
  view: View;
  site: string;
  x: number;
  y: number;
  kind: PointKind;
}

/** What is tried with the shoes on; the patient's own use decides which. */
export const TASKS = {
  walk: 'walk',
  uphill: 'uphill, tip-toe',
  stairs: 'stairs',
  run: 'run',
  squat: 'squat',
  'side-step': 'side-step',
} as const;
export type Task = keyof typeof TASKS;
export type TaskResult = 'good' | 'fair' | 'poor';

/** Where comfort is asked for beside the whole. */
export const COMFORT_ZONES = { heel: 'heel', arch: 'arch', ball: 'ball', toes: 'toes' } as const;
export type ComfortZone = keyof typeof COMFORT_ZONES;

/** What a wearer says of a pair, and the way it asks to go. */
export const FEELS = {
  'too-firm': { label: 'too firm', axis: 'firmness', way: -1 },
  'too-soft': { label: 'too soft', axis: 'firmness', way: 1 },
  'too-much': { label: 'too much shoe', axis: 'weight', way: -1 },
  'too-little': { label: 'too little hold', axis: 'structure', way: 1 },
  'too-stiff': { label: 'too stiff', axis: 'stiffness', way: -1 },
  'too-high': { label: 'too high', axis: 'height', way: -1 },
} as const;
export type Feel = keyof typeof FEELS;

/** What the observer saw against barefoot. */
export type Seen = 'moves-less' | 'same' | 'moves-more';

/** What was felt in one size. */
export interface FeltFit {
  left?: FootFit;
  right?: FootFit;
  points?: PressurePoint[];
  tasks?: Partial<Record<Task, TaskResult>>;
  /** How it moves against barefoot: walking, and at speed. */
  seen?: Seen;
  seenFast?: Seen;
  comfort?: number;
  /** The same question after the last pair: the order biases. */
  comfortAgain?: number;
  zones?: Partial<Record<ComfortZone, number>>;
  feels?: Feel[];
  verdict?: 'chosen' | 'possible' | 'rejected';
  /** Why. */
  because?: string;
  /** Local moment of its first rating. */
  triedAt?: string | undefined;
}

/** In which sizes a pair was tried; the right's width only where it differs. */
export interface TriedSizes {
  sizeLeft?: number | undefined;
  sizeRight?: number | undefined;
  width?: string | undefined;
  widthRight?: string | undefined;
}

/** One pair on the patient's feet, as the fitter records it. */
export interface TryOn extends FeltFit, TriedSizes {
  model: string;
  insert?: 'none' | 'own' | 'flat';
  words?: string;
  /** As its box says. */
  batch?: string;
  madeOn?: string;
  /** What was felt in other sizes of it. */
  earlier?: EarlierFit[];
}

/** A fit in a size that was left again. */
export type EarlierFit = TriedSizes & FeltFit;

/** The comfort that counts: the mean where it was asked twice. */
export const comfortOf = ({
  comfort,
  comfortAgain,
}: Pick<TryOn, 'comfort' | 'comfortAgain'>): number | null =>
  comfort === undefined ? null : comfortAgain === undefined ? comfort : (comfort + comfortAgain) / 2;

const SLIP = ['none', 'slight', 'clear'] as const;

/** The worse of both feet. */
export function heelSlipOf(tryOn: TryOn): FootFit['heelSlip'] {
  const slips = SIDES.flatMap((side) => tryOn[side]?.heelSlip ?? []);
  return slips.toSorted((a, b) => SLIP.indexOf(b) - SLIP.indexOf(a))[0];
}

/** Ratings drift within a fitting: the first pair asked again, less what it got at first. Null until it was asked again. */
export const orderDrift = (first: TryOn | undefined): number | null =>
  first?.comfort === undefined || first.comfortAgain === undefined
    ? null
    : first.comfortAgain - first.comfort;

/** What counts as a real difference of comfort out of 100. Source: Mills 2010, from memory. */
export const REAL_COMFORT = 10;
