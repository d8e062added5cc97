import type { Rule } from '../knowledge/rule';
import { shareOf } from '../knowledge/schools';
import { type ClinicalPicture, NOT_EXAMINED, withoutFinding } from '../picture/clinical-picture';
import { DERIVED_FROM, deriveFindings } from '../picture/derive';
import { SIDES, type Side } from '../picture/finding-kinds';
import { definitionOf, FINDING_IDS, type FindingId } from '../picture/findings';
import { axisOf } from '../shoe/feature-kinds';
import { type FeatureId, type FeatureValue, featureOf, isPerFoot } from '../shoe/features';
import type { Choosing } from './choosing';
import { askRule, pushesOf } from './gather';
import { indexOf } from './rule-index';
import { bandOf, isAcceptable, type Settled, settle } from './settle';
import type { Push } from './specification';
import { valuesOf } from './utility';

/** How far one target would move under another picture. */
export interface Shift {
  feature: FeatureId;
  side?: Side;
  /** 0 … 1 for a moved target, in shares of its reach times firmness; 1 for a limit that comes or goes. */
  moves: number;
  /** Where the target would be; null when nothing would ask for it. */
  value: FeatureValue | null;
}

/** A place on the specification: a feature of the pair, or of one foot. */
interface Place {
  feature: FeatureId;
  side?: Side;
}

const placesOf = (feature: FeatureId): Place[] =>
  isPerFoot(feature) ? SIDES.map((side) => ({ feature, side })) : [{ feature }];

/** What of a settled target is compared: its best value, the ends it accepts, what its limits leave. */
interface Rest {
  best: FeatureValue;
  ends: readonly number[];
  options: ReadonlySet<string> | null;
  firmness: number;
  allowed: string;
}

function restOf(settled: Settled): Rest {
  const choice = typeof settled.best === 'string';
  const band = choice ? null : bandOf(settled);
  return {
    best: settled.best,
    ends: band ? [band.from, band.to] : [],
    options: choice
      ? new Set(settled.values.list.filter((_, at) => isAcceptable(settled, at)).map(String))
      : null,
    firmness: settled.firmness,
    allowed: settled.limits.length === 0 || settled.contradicting ? '' : settled.inside.join(''),
  };
}

/** A feature that nothing asks for: the usual shoe, everything accepted. */
function nothing(feature: FeatureId): Rest {
  const definition = featureOf(feature);
  const list = valuesOf(definition).list;
  return {
    best: definition.usual,
    ends: definition.kind === 'choice' ? [] : [axisOf(definition).from, axisOf(definition).to],
    options: definition.kind === 'choice' ? new Set(list.map(String)) : null,
    firmness: 0,
    allowed: '',
  };
}

/** What it counts when only the first choice among acceptable options moves. */
const TIE_MOVED = 0.1;

/** Distance of two rests, 0 … 1: how far best value and ends move in shares of the reach, by the firmer of both. */
function distanceOf(feature: FeatureId, a: Rest, b: Rest): number {
  if (a.allowed !== b.allowed) return 1;
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

/**
 * A picture resolved once, ready to be asked what would be otherwise. Only rules that read a changed finding are
 * asked again, and only the features they push are settled again.
 */
export class Variation {
  private readonly index;
  private readonly base: ClinicalPicture;
  private readonly school;
  private readonly setAside;
  /** Pushes by rule, for rules that say yes. */
  private readonly said = new Map<string, [FeatureId, Push][]>();
  private readonly rests = new Map<string, Rest>();

  constructor(
    private readonly picture: ClinicalPicture,
    options: Choosing,
  ) {
    this.school = options.school ?? 'balanced';
    this.setAside = options.setAside ?? [];
    this.index = indexOf(options.knowledge.rules);
    this.base = deriveFindings(picture);
    for (const rule of this.index.inOrder) {
      const pushes = this.ask(rule, this.base);
      if (pushes.length > 0) this.said.set(rule.id, pushes);
    }
  }

  private ask(rule: Rule, picture: ClinicalPicture): [FeatureId, Push][] {
    const share = shareOf(rule, this.school);
    if (share === 0) return [];
    const { yes } = askRule(rule, picture);
    return yes.length === 0 ? [] : pushesOf(rule, yes, share, picture, this.setAside);
  }

  private rest({ feature, side }: Place, pushes: readonly Push[]): Rest {
    const own = side ? pushes.filter((push) => push.sides.includes(side)) : pushes;
    return own.length === 0 ? nothing(feature) : restOf(settle(feature, own));
  }

  private baseRest(place: Place): Rest {
    const key = `${place.feature} ${place.side ?? ''}`;
    const before = this.rests.get(key);
    if (before) return before;
    const rest = this.rest(place, this.pushesFor(place.feature, new Map()));
    this.rests.set(key, rest);
    return rest;
  }

  /** Pushes on a feature, with some rules' answers replaced. */
  private pushesFor(feature: FeatureId, instead: ReadonlyMap<string, [FeatureId, Push][]>): Push[] {
    return (this.index.byFeature.get(feature) ?? []).flatMap((rule) =>
      (instead.get(rule.id) ?? this.said.get(rule.id) ?? []).flatMap(([of, push]) =>
        of === feature ? [push] : [],
      ),
    );
  }

  /** Findings that read otherwise once everything has been derived. */
  private changed(other: ClinicalPicture): FindingId[] {
    return FINDING_IDS.filter((id) => {
      const places = definitionOf(id).scope === 'body' ? (['body'] as const) : SIDES;
      return places.some(
        (place) =>
          (this.base[place] as Record<string, unknown>)[id] !== (other[place] as Record<string, unknown>)[id],
      );
    });
  }

  /** Which targets would move, and where to, if the picture were another. */
  shifts(picture: ClinicalPicture): Shift[] {
    return this.shiftsTo(deriveFindings(picture));
  }

  /** Which targets would move if nobody had taken one finding. */
  shiftsWithout(finding: FindingId): Shift[] {
    if (DERIVED_FROM.has(finding)) return this.shifts(withoutFinding(this.picture, finding));
    if (!this.index.byFinding.has(finding)) return [];
    const nothing = { [finding]: NOT_EXAMINED };
    return this.shiftsWith(
      definitionOf(finding).scope === 'body' ? { body: nothing } : { left: nothing, right: nothing },
    );
  }

  /** The same with some findings of the derived picture replaced, whether they are taken or follow from others. */
  shiftsWith(values: Partial<Record<'body' | Side, Record<string, unknown>>>): Shift[] {
    const { base } = this;
    return this.shiftsTo({
      ...base,
      body: { ...base.body, ...values.body },
      left: { ...base.left, ...values.left },
      right: { ...base.right, ...values.right },
    });
  }

  private shiftsTo(other: ClinicalPicture): Shift[] {
    const rules = new Set(this.changed(other).flatMap((id) => this.index.byFinding.get(id) ?? []));
    const instead = new Map<string, [FeatureId, Push][]>();
    const features = new Set<FeatureId>();
    for (const rule of rules) {
      const now = this.ask(rule, other);
      const before = this.said.get(rule.id) ?? [];
      if (now.length === 0 && before.length === 0) continue;
      instead.set(rule.id, now);
      for (const [feature] of [...now, ...before]) features.add(feature);
    }
    return [...features].flatMap(placesOf).flatMap((place) => {
      const { feature } = place;
      const pushes = this.pushesFor(feature, instead);
      const rest = this.rest(place, pushes);
      const moves = distanceOf(feature, this.baseRest(place), rest);
      return moves > 1e-6 ? [{ ...place, moves, value: rest.firmness === 0 ? null : rest.best }] : [];
    });
  }
}
