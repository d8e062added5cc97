import type { Unit } from '../units/parse';

/** Steps of a visit in the order in which a practitioner works. */
export const VISIT_STEPS = [
  'ask',
  'old-pair',
  'feet',
  'load',
  'move',
  'reason',
  'candidates',
  'try-on',
  'hand-over',
] as const;
export type VisitStep = (typeof VISIT_STEPS)[number];
export type FindingStep = 'ask' | 'old-pair' | 'feet' | 'load' | 'move';

/** Whether a finding is recorded once, or for each foot. */
export type Scope = 'body' | 'foot';
export type Side = 'left' | 'right';
export const SIDES = ['left', 'right'] as const;

/** How the body was held while a finding was taken, where it changes the value. */
export type Position = 'standing' | 'seated' | 'unloaded' | 'lying' | 'walking' | 'running';

/** Options of every question that is answered with yes or no. */
export const YES_NO = { no: 'no', yes: 'yes' } as const;

interface Described {
  scope: Scope;
  /** Field-standard name. */
  label: string;
  /** How it is taken, in a few words. */
  how?: string;
  position?: Position;
  /** null: not entered in a step, but taken from the patient's record or derived. */
  step: FindingStep | null;
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

type Rest<S extends Scope> = { scope: S; step: FindingStep | null; how?: string; position?: Position };

export const number = <S extends Scope>(
  label: string,
  unit: Unit,
  plausible: readonly [number, number],
  possible: readonly [number, number],
  rest: Rest<S> & { whole?: boolean; steps?: boolean },
): NumberFinding & { scope: S } => ({ kind: 'number', label, unit, plausible, possible, ...rest });

export const choice = <O extends string, S extends Scope>(
  label: string,
  options: Readonly<Record<O, string>>,
  rest: Rest<S>,
): ChoiceFinding<O> & { scope: S } => ({ kind: 'choice', label, options, ...rest });

export const set = <O extends string, S extends Scope>(
  label: string,
  options: Readonly<Record<O, string>>,
  rest: Rest<S>,
): SetFinding<O> & { scope: S } => ({ kind: 'set', label, options, ...rest });

export const text = <S extends Scope>(
  label: string,
  longest: number,
  rest: Rest<S>,
): TextFinding & { scope: S } => ({ kind: 'text', label, longest, ...rest });

/** A number that is asked for beside the findings, with what it may be. */
export const numberField = (
  label: string,
  unit: NumberFinding['unit'],
  possible: [number, number],
  { plausible = possible, whole = false }: { plausible?: [number, number]; whole?: boolean } = {},
): NumberFinding => number(label, unit, plausible, possible, { scope: 'body', step: null, whole });
