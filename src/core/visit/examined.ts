import { ageOn, dayOf } from '../calendar/days';
import { deriveFindings } from '../examination/derive';
import { FINDING_STEPS } from '../findings/finding-kinds';
import type { SizingGroup } from '../findings/findings';
import { mergeFindings } from '../findings/merge';
import {
  type ClinicalPicture,
  type EnteredPicture,
  enteredPicture,
  type Findings,
} from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import { findingsOfBefore } from '../history/before';
import type { HouseRules } from '../knowledge/house-rules';
import type { Rule } from '../knowledge/rule';
import type { SchoolChoice } from '../knowledge/schools';
import type { Specification } from '../prescribe/engine/specification';
import type { LimbRecord } from '../prosthesis/limb-record';
import { type AskedPair, findingsForPair, pairAt, pairsAskedFor } from '../purpose/pairs';
import type { Activity } from '../purpose/serves';
import { hasAtRiskFoot, type SuggestedWarning, suggestedWarnings } from '../safety/suggested-warnings';
import { type OpenWarning, openWarnings } from '../safety/warning-signs';
import type { LifeSchool } from '../wear/life-schools';
import { findingsOfOldPairs, type OldPair, type VerdictContext } from '../wear/old-pair';
import type { VisitContents } from './contents';
import { findingsOfUses } from './from-uses';

/** What is known of a visit beside what its steps hold. */
export interface VisitFacts {
  startedAt: string;
  patient: { bornOn: string; sizingGroup: SizingGroup; school: SchoolChoice | null };
  clinic: { school: SchoolChoice; lifeSchool: LifeSchool };
  /** The record of the prosthetic side; null where there is none. */
  limb: LimbRecord | null;
  /** What still holds from an earlier visit. */
  carried: { findings: Findings } | null;
  /** The clinic's departures from the shipped knowledge: those of today, or of the day of issue. */
  house: HouseRules;
  /** What was issued at this visit, one for each pair; it reads as it was issued, whatever the rules are today. */
  issued: readonly IssuedPair[];
}

/** What was issued for one pair. */
export interface IssuedPair {
  /** What the pair is for; null where the visit asked for one pair only. */
  purpose: Activity | null;
  specification: Specification;
  /** The rules of its edition, where they are no longer those that ship. */
  rules: readonly Rule[] | null;
}

/** What a reading was made from, kept with it so that the next one can tell what changed. */
export interface VisitInputs {
  facts: VisitFacts;
  examined: readonly Findings[];
  decided: readonly unknown[];
  pair: readonly unknown[];
  signs: readonly unknown[];
}

/** What is known of a visit before any rule is asked. */
export interface ExaminedVisit {
  inputs: VisitInputs;
  /** The pairs that are asked for, and the one under work; null while nobody has said what the shoes are for. */
  pairs: readonly AskedPair[];
  pair: AskedPair | null;
  /** What was issued for the pair under work. */
  issued: IssuedPair | null;
  /** Record, what carries over and every step, merged. */
  whole: Findings;
  /** The same, as it concerns this pair: what is kept when it is issued. */
  findings: Findings;
  /** The same as a whole picture, before and after deriving. */
  entered: EnteredPicture;
  picture: ClinicalPicture;
  /** Signs that the findings point at, and those that are not answered. */
  warnings: { suggested: SuggestedWarning[]; open: OpenWarning[] };
  /** The pair with the verdict “chosen”. */
  chosen: TryOn | null;
}

/** What a person’s record says on the day a visit began. */
export const recordFindings = ({
  startedAt,
  patient,
}: Pick<VisitFacts, 'startedAt' | 'patient'>): Findings => ({
  body: { ageYears: ageOn(patient.bornOn, dayOf(startedAt)), sizingGroup: patient.sizingGroup },
});

/** Findings of a visit's own steps in the order of work; what follows from the pairs named in the history comes first. */
export const findingsOfSteps = (contents: VisitContents): Findings[] => [
  ...(contents.ask?.before ? [findingsOfBefore(contents.ask.before)] : []),
  ...FINDING_STEPS.flatMap((step) => contents[step]?.findings ?? []),
];

/** What was issued for a pair; a visit that asked for one pair names no purpose. */
export const issuedFor = <I extends IssuedPair>(issued: readonly I[], pair: AskedPair | null): I | null =>
  issued.find(({ purpose }) => purpose === null || purpose === pair?.id) ?? null;

/** Pairs that are asked for and were neither handed over nor ordered yet. */
export const pairsLeft = (pairs: readonly AskedPair[], issued: readonly IssuedPair[]): AskedPair[] =>
  pairs.filter((pair) => !issuedFor(issued, pair));

const marksOf = ({ ask, feet }: VisitContents) => [...(ask?.marks ?? []), ...(feet?.marks ?? [])];

export const chosenTryOn = (contents: VisitContents): TryOn | null =>
  contents['try-on']?.tryOns?.find((tryOn) => tryOn.verdict === 'chosen') ?? null;

/**
 * The half of a reading that needs no rule: what was found, what derives from it, which pairs are asked for, which
 * warning signs are open. A screen has it before the rules have arrived.
 *
 * @param before an earlier reading of the same visit; see {@link keptFrom}
 */
export function readExamined(
  facts: VisitFacts,
  contents: VisitContents,
  before?: ExaminedVisit,
): ExaminedVisit {
  const inputs = inputsOf(facts, contents);
  const about =
    keptFrom(before, inputs, 'facts', 'examined', 'pair') ??
    pictureOf(facts, inputs.examined, contents.reason?.pair);
  const { whole, pairs, pair, issued, findings, entered, picture } = about;
  return {
    inputs,
    whole,
    pairs,
    pair,
    issued,
    findings,
    entered,
    picture,
    warnings:
      keptFrom(before, inputs, 'facts', 'examined', 'signs', 'pair')?.warnings ??
      warningsOf(picture, contents),
    chosen: chosenTryOn(contents),
  };
}

/** An earlier reading, where none of the named inputs changed since: its parts stay the same objects. */
export function keptFrom<R extends ExaminedVisit>(
  before: R | undefined,
  inputs: VisitInputs,
  ...names: (keyof VisitInputs)[]
): R | undefined {
  return before && names.every((name) => sameInput(before.inputs[name], inputs[name])) ? before : undefined;
}

function inputsOf(facts: VisitFacts, contents: VisitContents): VisitInputs {
  const { reason, warnings, ask, feet } = contents;
  return {
    facts,
    // What was entered at a question comes after, and counts before, what follows from uses and events.
    examined: [
      ...(ask ? [findingsOfUses(ask, facts.startedAt)] : []),
      ...oldPairFindings(facts, contents),
      ...findingsOfSteps(contents),
    ],
    decided: [reason?.school, reason?.setAside, reason?.decisions],
    pair: [reason?.pair],
    signs: [warnings, ask?.marks, feet?.marks],
  };
}

/** What follows from the pairs that were brought, read as on the day of the visit. */
function oldPairFindings(facts: VisitFacts, contents: VisitContents): Findings[] {
  const pairs = contents['old-pair']?.pairs;
  return pairs ? [fromOldPairs(pairs, verdictContext(facts, contents))] : [];
}

const sameContext = (a: VerdictContext, b: VerdictContext): boolean =>
  a.on === b.on && a.school === b.school && a.weeklyKm === b.weeklyKm && a.strengths === b.strengths;
const oldPairs = new WeakMap<readonly OldPair[], { context: VerdictContext; findings: Findings }>();

/** Made once for the same pairs in the same context, so that nothing redraws for a new copy of the same. */
function fromOldPairs(pairs: readonly OldPair[], context: VerdictContext): Findings {
  const before = oldPairs.get(pairs);
  if (before && sameContext(before.context, context)) return before.findings;
  const findings = findingsOfOldPairs(pairs, context);
  oldPairs.set(pairs, { context, findings });
  return findings;
}

/** On what day and under which camp a pair that was brought is judged, and what a week brings. */
export function verdictContext(
  { startedAt, clinic, house }: Pick<VisitFacts, 'startedAt' | 'clinic' | 'house'>,
  { ask }: VisitContents,
): VerdictContext {
  const said =
    ask?.findings.body?.weeklyDistance ?? (ask && findingsOfUses(ask, startedAt).body?.weeklyDistance);
  return {
    on: dayOf(startedAt),
    school: clinic.lifeSchool,
    weeklyKm: said ?? null,
    strengths: house.settings.signStrengths,
  };
}

const sameInput = (a: VisitInputs[keyof VisitInputs], b: VisitInputs[keyof VisitInputs]): boolean =>
  Array.isArray(a) && Array.isArray(b)
    ? a.length === b.length && a.every((entry, at) => entry === b[at])
    : a === b;

function pictureOf(facts: VisitFacts, examined: readonly Findings[], picked: Activity | undefined) {
  const whole = mergeFindings([recordFindings(facts), facts.carried?.findings ?? {}, ...examined]);
  const pairs = pairsAskedFor(enteredPicture(whole));
  const pair = pairAt(pairs, picked);
  const findings = findingsForPair(whole, pair, pairs);
  const entered = enteredPicture(findings);
  return {
    whole,
    pairs,
    pair,
    issued: issuedFor(facts.issued, pair),
    findings,
    entered,
    picture: deriveFindings(entered),
  };
}

function warningsOf(picture: ClinicalPicture, contents: VisitContents): ExaminedVisit['warnings'] {
  const check = contents.warnings ?? {};
  const suggested = suggestedWarnings(picture, { marks: marksOf(contents), ankle: check.ankle });
  return { suggested, open: openWarnings(check, suggested, hasAtRiskFoot(picture)) };
}
