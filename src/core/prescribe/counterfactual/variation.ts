import { DERIVED_FROM, type Draft, deriveFindings, deriveInto, draftOf } from '../../examination/derive';
import type { Side } from '../../findings/finding-kinds';
import {
  type AnyFindingValue,
  definitionOf,
  examinedFor,
  FINDING_IDS,
  type FindingId,
} from '../../findings/findings';
import {
  type ClinicalPicture,
  type EnteredPicture,
  type FindingPlace,
  NOT_EXAMINED,
  type NotExamined,
  type Picture,
  PLACES,
  placesOf,
  valueAt,
} from '../../findings/picture';
import type { Rule } from '../../knowledge/rule';
import { shareOf } from '../../knowledge/schools';
import { axisOf } from '../../shoe/feature-kinds';
import { type FeatureId, type FeatureValue, featureOf } from '../../shoe/features';
import { askRule, pushesOf } from '../engine/gather';
import type { ReasoningOptions } from '../engine/reasoning-options';
import { placeKey, placesOfFeature, pushesAt, type TargetPlace } from '../engine/resolve-feature';
import { indexOf } from '../engine/rule-index';
import { bandOf, isAcceptable, type Settled, settle } from '../engine/settle';
import type { Push } from '../engine/specification';
import { valuesOf } from '../engine/utility';

/** How far one target would move under another picture. */
export interface Shift {
  feature: FeatureId;
  side?: Side;
  /** 0 … 1 for a moved target, in shares of its reach times firmness; 1 for a limit that comes or goes. */
  moves: number;
  /** Where the target would be; null when nothing would ask for it. */
  value: FeatureValue | null;
}

/** What of a settled target is compared: its best value, the ends it accepts, what its limits leave. */
interface RestingState {
  best: FeatureValue;
  ends: readonly number[];
  options: ReadonlySet<string> | null;
  firmness: number;
  /** Places that its limits leave; null where there are none, or where they contradict each other. */
  allowed: Uint8Array | null;
}

function restingState(settled: Settled): RestingState {
  const choice = typeof settled.best === 'string';
  const band = choice ? null : bandOf(settled);
  return {
    best: settled.best,
    ends: band ? [band.from, band.to] : [],
    options: choice
      ? new Set(settled.values.list.filter((_, at) => isAcceptable(settled, at)).map(String))
      : null,
    firmness: settled.firmness,
    allowed: settled.limits.length === 0 || settled.contradicting ? null : settled.inside,
  };
}

/** A feature that nothing asks for: the usual shoe, everything accepted. */
function unaskedState(feature: FeatureId): RestingState {
  const definition = featureOf(feature);
  const list = valuesOf(definition).list;
  return {
    best: definition.usual,
    ends: definition.kind === 'choice' ? [] : [axisOf(definition).from, axisOf(definition).to],
    options: definition.kind === 'choice' ? new Set(list.map(String)) : null,
    firmness: 0,
    allowed: null,
  };
}

const leaveTheSame = (a: Uint8Array | null, b: Uint8Array | null): boolean =>
  a === b || (a !== null && b !== null && a.every((value, at) => value === b[at]));

/** What it counts when only the first choice among acceptable options moves. */
const TIE_MOVED = 0.1;

/** Distance of two rests, 0 … 1: how far best value and ends move in shares of the reach, by the firmer of both. */
function distanceOf(feature: FeatureId, a: RestingState, b: RestingState): number {
  if (!leaveTheSame(a.allowed, b.allowed)) return 1;
  const firmness = Math.max(a.firmness, b.firmness);
  const definition = featureOf(feature);
  if (definition.kind === 'choice') {
    const union = new Set([...a.options!, ...b.options!]);
    const common = [...a.options!].filter((option) => b.options!.has(option)).length;
    // Another best among the same options is a small move, not none.
    const other = a.best === b.best ? 0 : TIE_MOVED;
    return firmness * Math.max(1 - common / union.size, other);
  }
  const best = Math.abs(Number(a.best) - Number(b.best));
  const ends = a.ends.reduce((sum, end, at) => sum + Math.abs(end - b.ends[at]!), 0) / 2;
  return firmness * Math.min(1, Math.max(best, ends / 2) / definition.reach);
}

type Pushes = readonly [FeatureId, Push][];
const NONE: Pushes = [];

/** Findings that some other finding leads to. */
const FOLLOWING = FINDING_IDS.filter((id) => (definitionOf(id).derivedFrom ?? []).length > 0);
const withWhatFollows = (finding: FindingId): readonly FindingId[] =>
  DERIVED_FROM.has(finding) ? [finding, ...FOLLOWING] : [finding];

/** Values of some findings, each at its place. */
export type PlacedValues = Partial<
  Record<FindingPlace, Readonly<Record<string, AnyFindingValue | NotExamined>>>
>;

/** A picture of its own with the parts that are written into, and what it is written back to. */
const drafted = <P extends Picture>(picture: P) => {
  const draft = draftOf(picture);
  return { draft, picture: { ...picture, ...draft }, as: picture };
};

/** Writes values, each at its place. */
function write(draft: Draft, values: PlacedValues): void {
  for (const place of PLACES) if (values[place]) Object.assign(draft[place], values[place]);
}

/** Takes some findings back to what they were. */
function takeBack({ draft, as }: { draft: Draft; as: Picture }, ids: readonly FindingId[]): void {
  for (const id of ids)
    for (const place of placesOf(id)) {
      const part: Record<string, unknown> = draft[place];
      part[id] = valueAt(as, place, id);
    }
}

/**
 * A picture resolved once, ready to be asked what would be otherwise. Only rules that read a changed finding are
 * asked again, and only the features they push are settled again.
 */
export class Variation {
  private readonly index;
  /** The picture with everything that follows from it. */
  readonly base: ClinicalPicture;
  private readonly school;
  private readonly setAside;
  /** Pushes by rule, for rules that say yes. */
  private readonly pushesByRule = new Map<Rule, Pushes>();
  private readonly rests = new Map<string, RestingState>();
  /** The picture and its base, to be varied in place and taken back: two hundred findings are not copied for each that is varied. */
  private readonly entered;
  private readonly derived;

  constructor(picture: EnteredPicture, options: ReasoningOptions) {
    this.school = options.school ?? 'balanced';
    this.setAside = options.setAside ?? [];
    this.index = indexOf(options.knowledge.rules);
    this.base = deriveFindings(picture);
    this.entered = drafted(picture);
    this.derived = drafted(this.base);
    for (const rule of this.index.inOrder) {
      const pushes = this.ask(rule, this.base);
      if (pushes.length > 0) this.pushesByRule.set(rule, pushes);
    }
  }

  private ask(rule: Rule, picture: ClinicalPicture): Pushes {
    const share = shareOf(rule, this.school);
    if (share === 0) return NONE;
    const { yes, degree } = askRule(rule, picture);
    return yes.length === 0 ? NONE : pushesOf(rule, yes, { share, degree }, picture, this.setAside);
  }

  private rest(place: TargetPlace, pushes: readonly Push[]): RestingState {
    const { feature } = place;
    const own = pushesAt(place, pushes);
    return own.length === 0 ? unaskedState(feature) : restingState(settle(feature, own));
  }

  private baseRest(place: TargetPlace): RestingState {
    const key = placeKey(place);
    const before = this.rests.get(key);
    if (before) return before;
    const rest = this.rest(place, this.pushesFor(place.feature, new Map()));
    this.rests.set(key, rest);
    return rest;
  }

  /** Pushes on a feature, with some rules' answers replaced. */
  private pushesFor(feature: FeatureId, instead: ReadonlyMap<Rule, Pushes>): Push[] {
    const found: Push[] = [];
    for (const rule of this.index.byFeature.get(feature) ?? [])
      for (const [of, push] of instead.get(rule) ?? this.pushesByRule.get(rule) ?? NONE)
        if (of === feature) found.push(push);
    return found;
  }

  /** Those of some findings that read otherwise than in the base. */
  private changed(other: ClinicalPicture, among: readonly FindingId[]): FindingId[] {
    return among.filter((id) =>
      placesOf(id).some((place) => valueAt(this.base, place, id) !== valueAt(other, place, id)),
    );
  }

  /** Which targets would move, and where to, if the picture were another. */
  shifts(picture: EnteredPicture): Shift[] {
    return this.shiftsTo(deriveFindings(picture), FINDING_IDS);
  }

  /** Which targets would move if nobody had taken one finding. */
  shiftsWithout(finding: FindingId): Shift[] {
    const derives = DERIVED_FROM.has(finding);
    if (!derives && !this.index.byFinding.has(finding)) return [];
    const unexamined = { [finding]: NOT_EXAMINED };
    const values =
      definitionOf(finding).scope === 'body' ? { body: unexamined } : { left: unexamined, right: unexamined };
    return derives ? this.shiftsWhereEntered(finding, values) : this.shiftsWhere(finding, values);
  }

  /** Which targets would move if a finding that nobody has taken were so. One that follows from others is set itself. */
  shiftsIf(finding: FindingId, values: PlacedValues): Shift[] {
    return examinedFor(finding).length > 0
      ? this.shiftsWhere(finding, values)
      : this.shiftsWhereEntered(finding, values);
  }

  /** With a finding changed alone. */
  private shiftsWhere(finding: FindingId, values: PlacedValues): Shift[] {
    write(this.derived.draft, values);
    try {
      return this.shiftsTo(this.derived.picture, [finding]);
    } finally {
      takeBack(this.derived, [finding]);
    }
  }

  /** With a finding changed and everything that follows from it. */
  private shiftsWhereEntered(finding: FindingId, values: PlacedValues): Shift[] {
    const among = withWhatFollows(finding);
    write(this.entered.draft, values);
    write(this.derived.draft, values);
    try {
      deriveInto(this.entered.picture, this.derived.draft);
      return this.shiftsTo(this.derived.picture, among);
    } finally {
      takeBack(this.entered, [finding]);
      takeBack(this.derived, among);
    }
  }

  private shiftsTo(other: ClinicalPicture, among: readonly FindingId[]): Shift[] {
    const rules = new Set(this.changed(other, among).flatMap((id) => this.index.byFinding.get(id) ?? []));
    const instead = new Map<Rule, Pushes>();
    const features = new Set<FeatureId>();
    for (const rule of rules) {
      const now = this.ask(rule, other);
      const before = this.pushesByRule.get(rule) ?? NONE;
      if (now.length === 0 && before.length === 0) continue;
      instead.set(rule, now);
      for (const [feature] of [...now, ...before]) features.add(feature);
    }
    return [...features].flatMap(placesOfFeature).flatMap((place) => {
      const { feature } = place;
      const pushes = this.pushesFor(feature, instead);
      const rest = this.rest(place, pushes);
      const moves = distanceOf(feature, this.baseRest(place), rest);
      return moves > 1e-6 ? [{ ...place, moves, value: rest.firmness === 0 ? null : rest.best }] : [];
    });
  }
}
