import { keysOf } from '../tables/keys-of';
import { ASK_FINDINGS } from './catalogue/ask';
import { BEFORE_FINDINGS } from './catalogue/before';
import { DERIVED_FINDINGS } from './catalogue/derived';
import { FEET_FINDINGS } from './catalogue/feet';
import { HABIT_FINDINGS } from './catalogue/habits';
import { LOAD_FINDINGS } from './catalogue/load';
import { MOVE_FINDINGS } from './catalogue/move';
import { OLD_PAIR_FINDINGS } from './catalogue/old-pair';
import { RECORD_FINDINGS } from './catalogue/record';
import { TRAINING_FINDINGS } from './catalogue/training';
import { WARMTH_FINDINGS } from './catalogue/warmth';
import type {
  ChoiceFinding,
  FindingDefinition,
  NumberFinding,
  SetFinding,
  TextFinding,
} from './finding-kinds';

/**
 * Every finding a clinical picture can hold, in the order of work. Forms, schemas, rules and the API all derive
 * from these tables. Plausible ranges are common practice; the adult foot ranges leave room for children.
 */
export const FINDINGS = {
  ...RECORD_FINDINGS,
  ...ASK_FINDINGS,
  ...TRAINING_FINDINGS,
  ...HABIT_FINDINGS,
  ...BEFORE_FINDINGS,
  ...OLD_PAIR_FINDINGS,
  ...FEET_FINDINGS,
  ...WARMTH_FINDINGS,
  ...LOAD_FINDINGS,
  ...MOVE_FINDINGS,
  ...DERIVED_FINDINGS,
} as const satisfies Record<string, FindingDefinition>;

export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = keysOf(FINDINGS);

/** The definition under its general type, for code that walks the table. */
export const definitionOf = (id: FindingId): FindingDefinition => FINDINGS[id];

export const isFindingId = (id: string): id is FindingId => Object.hasOwn(FINDINGS, id);

/** Name of a finding where space is short. */
export const shortLabelOf = (id: FindingId): string => definitionOf(id).short ?? definitionOf(id).label;

/** What is examined to know a finding that is never entered; empty for all others. */
export const examinedFor = (id: FindingId): readonly FindingId[] =>
  (definitionOf(id).examinedBy ?? []).filter(isFindingId);

type ValueOfDefinition<D> =
  D extends ChoiceFinding<infer O>
    ? O
    : D extends SetFinding<infer O>
      ? O[]
      : D extends NumberFinding
        ? number
        : D extends TextFinding
          ? string
          : never;

/** What a finding holds once examined. */
export type FindingValue<K extends FindingId> = ValueOfDefinition<(typeof FINDINGS)[K]>;
export type AnyFindingValue = number | string | string[];

/** A value as what it is, or undefined where it is of another kind or not examined. */
export const numberIn = (value: AnyFindingValue | undefined): number | undefined =>
  typeof value === 'number' ? value : undefined;
export const textIn = (value: AnyFindingValue | undefined): string | undefined =>
  typeof value === 'string' ? value : undefined;
export const optionsIn = (value: AnyFindingValue | undefined): string[] | undefined =>
  Array.isArray(value) ? value : undefined;

/** Whose sizes a person wears. */
export type SizingGroup = FindingValue<'sizingGroup'>;

type IdsOfScope<S> = { [K in FindingId]: (typeof FINDINGS)[K]['scope'] extends S ? K : never }[FindingId];
type IdsOfKind<K> = { [I in FindingId]: (typeof FINDINGS)[I]['kind'] extends K ? I : never }[FindingId];
export type NumberFindingId = IdsOfKind<'number'>;
export const isNumberFinding = (id: FindingId): id is NumberFindingId => definitionOf(id).kind === 'number';
export type BodyFindingId = IdsOfScope<'body'>;
export type FootFindingId = IdsOfScope<'foot'>;
