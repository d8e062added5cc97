import type { Side } from '../../findings/finding-kinds';
import type { FindingId } from '../../findings/findings';
import type { EvidenceGrade, School, Strength } from '../../knowledge/rule';
import type { SchoolChoice } from '../../knowledge/schools';
import type { FeatureId, FeatureValue } from '../../shoe/features';
import type { Room } from '../../shoe/room';

/** A band on a numeric feature; an open end reaches the end of the axis. */
export interface Band {
  from: number;
  to: number;
}

/** What one rule wants of one feature, with its amounts filled in from the picture: a utility over the scale. */
export type Want =
  | { band: Band; reach: number }
  | { curve: readonly (readonly [value: number, utility: number])[] }
  | { prefer: readonly string[] }
  | { worth: Readonly<Record<string, number>> }
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
  /** Rules that say otherwise of the same finding. */
  contestedBy: readonly string[];
  caution?: string;
}

/** An amount that a speaking rule asks for and nobody took: it says that, but not how much. */
export interface Awaited {
  rule: string;
  /** What has to be found out. */
  amount: FindingId;
  sides: Side[];
  strength: Strength;
  /** The rule's finding, in words. */
  finding: string;
}

/** What a target costs beyond one of its ends: the push that loses most there, or the limit that forbids it. */
export interface EndCost {
  rule: string;
  finding: string;
  limit: boolean;
}

/** Another place where the target could be put, and what that costs. */
export interface Alternative {
  value: FeatureValue;
  /** A peak of the summed utility of its own, or else the place that the outvoted pushes ask for. */
  peak: boolean;
  /** Total utility there, 0 … 1, beside `utility` of the target. */
  utility: number;
  /** Pushes that would be served and now are not. */
  serves: string[];
  /** Pushes that would lose, each with the share of its marks that it loses. */
  costs: { rule: string; loses: number }[];
}

/** What the rules said, where a clinician decided otherwise. */
export type Ruled = { best: number; band: Band } | { best: string; options: string[] };

export type DecisionKind = 'pin' | 'loosen' | 'overrule';

/** A clinician's word on a target: hold a value, widen the band, or put another in its place. */
export interface Decision {
  feature: FeatureId;
  /** Of a feature that each foot has for itself. */
  side?: Side;
  kind: DecisionKind;
  /** A numeric feature's band; a pin has both ends alike. */
  band?: Band;
  /** A choice's options; a pin has one. */
  options?: string[];
  reason: string;
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
  /** Amounts without which the target is not whole; empty when nothing is missing. */
  awaits: Awaited[];
  alternatives: Alternative[];
  /** Set where the clinician decided; `refused` says why a decision could not be followed. */
  decision?: { kind: DecisionKind; reason: string; ruled: Ruled | null; refused?: string };
}

export interface NumericTarget extends TargetBase {
  kind: 'band';
  best: number;
  band: Band;
  /** What the limits leave; null when there is none. */
  limit: Band | null;
  /** What going beyond either end costs; null at an end of the scale. */
  ends: { low: EndCost | null; high: EndCost | null };
}

export interface ChoiceTarget extends TargetBase {
  kind: 'options';
  best: string;
  options: string[];
  /** Options that a limit rules out. */
  excluded: string[];
}

export type Target = NumericTarget | ChoiceTarget;

/** Limits that cannot all hold. Nothing is issued until one of each set is set aside with a reason. */
export interface Deadlock {
  feature: FeatureId;
  side?: Side;
  /** Every smallest set of rules that cannot hold together; leaving any one of a set out resolves that set. */
  sets: string[][];
  /** The first of them. */
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
  /** A rule speaks already and lacks only this amount. */
  lacksAmount: boolean;
}

/** A clinician's decision to set a push aside; the reason is kept with the specification. */
export interface SetAside {
  rule: string;
  feature: FeatureId;
  reason: string;
}

/** Pushes of a target that nobody set aside. */
export const activePushes = ({ pushes }: Pick<Target, 'pushes'>): Push[] =>
  pushes.filter((push) => push.setAside === undefined);

/** The shoe being prescribed: resolved, never looked up, with every reason. */
export interface Specification {
  /** Edition of the rules that made it. */
  knowledge: string;
  school: SchoolChoice;
  /** The clinic's usual room in front of the toes, mm, where it is another than common practice. */
  usualRoom?: Room | undefined;
  /** What both shoes of the pair have alike. */
  targets: Target[];
  /** What each foot has for itself: lifts, insert, pad. */
  feet: Record<Side, Target[]>;
  deadlocks: Deadlock[];
  open: OpenQuestion[];
  cautions: string[];
}
