import type { Unit } from '../units/parse';

/** Steps of a visit in which findings are taken, in the order in which a practitioner works. */
export const FINDING_STEPS = ['ask', 'old-pair', 'feet', 'load', 'move'] as const;
export type FindingStep = (typeof FINDING_STEPS)[number];

/** Whether a finding is recorded once, or for each foot. */
export type Scope = 'body' | 'foot';
export type Side = 'left' | 'right';
export const SIDES = ['left', 'right'] as const;

/** How the body was held while a finding was taken, where it changes the value. */
export type Position = 'standing' | 'seated' | 'unloaded' | 'lying' | 'walking' | 'running';

/** Options of every question that is answered with yes or no. */
export const YES_NO = { no: 'no', yes: 'yes' } as const;

/** What a finding could be, in the terms of its kind. */
type PriorValues =
  | { shares: Readonly<Record<string, number>> }
  | { mean: number; sd: number }
  /** Each option of a set is present with this share. */
  | { each: number }
  | { between: readonly [number, number] }
  /** All that is plausible, alike. */
  | { flat: true };

/**
 * What a finding could be before anybody takes it. Only used to rank what is worth finding out next, never to fill
 * in. `from` names the source (recalled) or says that it is an assumption.
 */
export type Prior = { from: string } & PriorValues;

/** What of a person changes how common a finding is. */
export interface PriorKnowledge {
  older: boolean;
  /** Diabetes, neuropathy or end-stage renal disease. */
  atRisk: boolean;
}

/**
 * Everything there is to say of a finding. Bands and measuring errors stand in `examination/bands.ts` and
 * `examination/real-difference.ts`, which do not compile without a line for each number.
 */
export interface FindingAbout {
  /** null: not entered in a step, but taken from the patient's record or derived. */
  step: FindingStep | null;
  /** Where it is asked, though it has no field of its own. */
  askedIn?: FindingStep;
  /** Name where space is short; the label where absent. */
  short?: string;
  /** How it is taken, in a few words. */
  how?: string;
  position?: Position;
  /** Seconds that taking it takes, both feet where it has two. Common practice; a clinic's own pace differs. */
  seconds: number;
  /** Holds at later visits until somebody says otherwise. */
  carries: boolean;
  prior: Prior | ((known: PriorKnowledge) => Prior);
  /** `rules`, or what else reads it, or why it is only recorded. */
  readBy: string;
  /** Findings that it follows from; where it can also be entered, what was entered counts first. */
  derivedFrom?: readonly string[];
  /** What is examined to know it, where it is never entered. */
  examinedBy?: readonly string[];
  /** The answer on one foot is the opposite of the other's. */
  oppositeOnOtherFoot?: true;
}

interface Described extends FindingAbout {
  scope: Scope;
  /** Field-standard name. */
  label: string;
}

export interface NumberFinding extends Described {
  kind: 'number';
  unit: Unit;
  /** Outside this the form asks “sure?”. */
  plausible: readonly [number, number];
  /** Outside this the value is refused. */
  possible: readonly [number, number];
  whole?: boolean;
  /** A short run of whole steps, chosen and not typed. */
  steps?: boolean;
}

export interface ChoiceFinding<O extends string = string> extends Described {
  kind: 'choice';
  options: Readonly<Record<O, string>>;
}

export interface SetFinding<O extends string = string> extends Described {
  kind: 'set';
  options: Readonly<Record<O, string>>;
}

export interface TextFinding extends Described {
  kind: 'text';
  longest: number;
}

export type FindingDefinition = NumberFinding | ChoiceFinding | SetFinding | TextFinding;

type About<S extends Scope> = FindingAbout & { scope: S };

export const number = <S extends Scope>(
  label: string,
  unit: Unit,
  plausible: readonly [number, number],
  possible: readonly [number, number],
  about: About<S> & { whole?: boolean; steps?: boolean },
): NumberFinding & { scope: S } => ({ kind: 'number', label, unit, plausible, possible, ...about });

export const choice = <O extends string, S extends Scope>(
  label: string,
  options: Readonly<Record<O, string>>,
  about: About<S>,
): ChoiceFinding<O> & { scope: S } => ({ kind: 'choice', label, options, ...about });

export const set = <O extends string, S extends Scope>(
  label: string,
  options: Readonly<Record<O, string>>,
  about: About<S>,
): SetFinding<O> & { scope: S } => ({ kind: 'set', label, options, ...about });

export const text = <S extends Scope>(
  label: string,
  longest: number,
  about: About<S>,
): TextFinding & { scope: S } => ({ kind: 'text', label, longest, ...about });

/** A number that is asked for beside the findings, with what it may be. */
export type NumberQuestion = Pick<
  NumberFinding,
  'label' | 'unit' | 'plausible' | 'possible' | 'whole' | 'how'
>;

export const numberQuestion = (
  label: string,
  unit: NumberFinding['unit'],
  possible: readonly [number, number],
  { plausible = possible, whole = false }: { plausible?: readonly [number, number]; whole?: boolean } = {},
): NumberQuestion => ({ label, unit, plausible, possible, whole });
