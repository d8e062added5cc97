import type { EvidenceGrade, School, Strength } from '../knowledge/rule';
import type { SchoolChoice } from '../knowledge/schools';
import type { Side } from '../picture/finding-kinds';
import type { FindingId } from '../picture/findings';
import type { FeatureId, FeatureValue } from '../shoe/features';

/** A band on a numeric feature; an open end reaches the end of the axis. */
export interface Band {
  from: number;
  to: number;
}

/** What one rule wants of one feature, with its amounts filled in from the picture. */
export type Want =
  | { band: Band; reach: number }
  | { prefer: readonly string[] }
  | { avoid: readonly string[] };

/** One rule's pull on one target. */
export interface Push {
  rule: string;
  sides: Side[];
  strength: Strength;
  /** Strength in numbers after the school's share; 0 for a limit, which does not pull but excludes. */
  weight: number;
  want: Want;
  /** Where the target would be without this push: how far it moved things. */
  without: FeatureValue | null;
  /** The clinician's reason, when this push has been set aside. */
  setAside?: string;
  because: string;
  finding: string;
  evidence: EvidenceGrade;
  schools: readonly School[];
  sources: readonly string[];
  contested: boolean;
  caution?: string;
}

interface TargetBase {
  feature: FeatureId;
  /** 0 … 1: how much weight stands behind the target. */
  firmness: number;
  /** 0 … 1: how far the pushes sit from what they want, in shares of their reach, by weight. */
  tension: number;
  /** Total utility at the best value, 0 … 1. */
  utility: number;
  pushes: Push[];
}

export interface NumericTarget extends TargetBase {
  kind: 'band';
  best: number;
  band: Band;
  /** What the limits leave; null when there is none. */
  limit: Band | null;
}

export interface ChoiceTarget extends TargetBase {
  kind: 'options';
  best: string;
  options: string[];
  /** Options that a limit rules out. */
  excluded: string[];
}

export type Target = NumericTarget | ChoiceTarget;

/** Limits that cannot all hold: the smallest such set. Nothing is issued until one is set aside with a reason. */
export interface Deadlock {
  feature: FeatureId;
  rules: string[];
  message: string;
}

/** An examination nobody has done, and what hangs on it. */
export interface OpenQuestion {
  finding: FindingId;
  sides: Side[];
  rules: string[];
  /** Sum of the weights of rules that wait for it. */
  weight: number;
}

/** A clinician's decision to set a push aside; the reason is kept with the specification. */
export interface SetAside {
  rule: string;
  feature: FeatureId;
  reason: string;
}

/** The shoe being prescribed: resolved, never looked up, with every reason. */
export interface Specification {
  knowledge: string;
  school: SchoolChoice;
  targets: Target[];
  deadlocks: Deadlock[];
  open: OpenQuestion[];
  cautions: string[];
}
