import { SIDES, type Side } from '../../findings/finding-kinds';
import { definitionOf, FINDING_IDS, type FindingId, type FootFindingId } from '../../findings/findings';
import { type ClinicalPicture, greaterOf, numberAt } from '../../findings/picture';
import type { Amount, Rule, Strength, Wish } from '../../knowledge/rule';
import { type SchoolChoice, shareOf } from '../../knowledge/schools';
import { memoize } from '../../memo/memoize';
import { axisOf, type NumericFeature } from '../../shoe/feature-kinds';
import { type FeatureId, featureOf } from '../../shoe/features';
import { evaluate } from './evaluate';
import { readsBodyOnly, rulesInOrder } from './rule-index';
import type { OpenQuestion, Push, SetAside, Want } from './specification';

/** Strength words in numbers: each step doubles. A limit does not pull; it excludes. */
export const WEIGHT: Record<Strength, number> = { limit: 0, strong: 4, moderate: 2, slight: 1 };

function amount(value: Amount, picture: ClinicalPicture): number | null {
  if (typeof value === 'number') return value;
  const base =
    definitionOf(value.finding).scope === 'body'
      ? numberAt(picture, value.finding, 'left')
      : greaterOf(picture, value.finding as FootFindingId);
  return base === null ? null : base + (value.plus ?? 0);
}

/** What a wish wants when nothing in it depends on the picture, else null; made once. */
const fixedWant = memoize((wish: Wish): Want | null => {
  if ('prefer' in wish) return { prefer: wish.prefer };
  if ('avoid' in wish) return { avoid: wish.avoid };
  if ('worth' in wish) return { worth: wish.worth };
  if ('curve' in wish) return { curve: wish.curve };
  const feature = featureOf(wish.feature);
  if (feature.kind === 'choice' || typeof wish.atLeast === 'object' || typeof wish.atMost === 'object')
    return null;
  return bandWanted(feature, wish, wish.atLeast, wish.atMost);
});

/** A band between two ends, an open one reaching the end of the scale. */
function bandWanted(
  feature: NumericFeature,
  { reach }: { reach?: number },
  atLeast: number | undefined,
  atMost: number | undefined,
): Want {
  const axis = axisOf(feature);
  const inside = (value: number) => Math.min(axis.to, Math.max(axis.from, value));
  return {
    band: { from: inside(atLeast ?? axis.from), to: inside(atMost ?? axis.to) },
    reach: reach ?? feature.reach,
  };
}

/** A wish with its amounts filled in, or null when an amount it needs was not examined. */
function wantOf(wish: Wish, picture: ClinicalPicture): Want | null {
  const fixed = fixedWant(wish);
  if (fixed || !('atLeast' in wish || 'atMost' in wish)) return fixed;
  const feature = featureOf(wish.feature);
  if (feature.kind === 'choice') return null;
  const [from, to] = [wish.atLeast, wish.atMost].map((end) =>
    end === undefined ? undefined : amount(end, picture),
  );
  return from === null || to === null ? null : bandWanted(feature, wish, from, to);
}

/** What a waiting limit counts for, next to strong rules at 4: it would exclude. */
const WAITING_LIMIT = 8;

const heaviestWish = (rule: Rule): number =>
  Math.max(...rule.wishes.map((wish) => WEIGHT[wish.strength ?? rule.strength] || WAITING_LIMIT));

/** Sides on which a rule says yes, and those on which it cannot say. */
export function askRule(rule: Rule, picture: ClinicalPicture): { yes: Side[]; unknown: Side[] } {
  // What reads nothing of a foot answers the same for both.
  if (readsBodyOnly(rule)) {
    const answer = evaluate(rule.when, picture, 'left');
    return { yes: answer === 'yes' ? [...SIDES] : [], unknown: answer === 'unknown' ? [...SIDES] : [] };
  }
  const yes: Side[] = [];
  const unknown: Side[] = [];
  for (const side of SIDES) {
    const answer = evaluate(rule.when, picture, side);
    if (answer === 'yes') yes.push(side);
    else if (answer === 'unknown') unknown.push(side);
  }
  return { yes, unknown };
}

/** What a rule that says yes pushes, wish by wish. */
export function pushesOf(
  rule: Rule,
  sides: Side[],
  share: number,
  picture: ClinicalPicture,
  setAside: readonly SetAside[],
): [FeatureId, Push][] {
  const pushes: [FeatureId, Push][] = [];
  for (const wish of rule.wishes) {
    const want = wantOf(wish, picture);
    if (!want) continue;
    const strength = wish.strength ?? rule.strength;
    const aside = setAside.find((entry) => entry.rule === rule.id && entry.feature === wish.feature);
    const push: Push = {
      rule: rule.id,
      sides,
      strength,
      weight: WEIGHT[strength] * share,
      want,
      without: null,
      because: rule.because,
      finding: rule.finding,
      evidence: rule.evidence,
      schools: rule.schools,
      sources: rule.sources,
      contestedBy: rule.contestedBy ?? [],
    };
    if (aside) push.setAside = aside.reason;
    if (rule.caution) push.caution = rule.caution;
    pushes.push([wish.feature, push]);
  }
  return pushes;
}

export interface Gathered {
  pushes: Map<FeatureId, Push[]>;
  open: OpenQuestion[];
  cautions: string[];
}

/**
 * Asks every rule of the chosen school about both sides. Rules that say yes push; rules that cannot say
 * because of missing findings become open questions. The order of rules is irrelevant: pushes are sorted.
 */
export function gather(
  picture: ClinicalPicture,
  rules: readonly Rule[],
  school: SchoolChoice,
  setAside: readonly SetAside[],
): Gathered {
  const pushes = new Map<FeatureId, Push[]>();
  const questions = new Map<FindingId, { sides: Set<Side>; rules: string[]; weight: number }>();
  const cautions = new Set<string>();
  for (const rule of rulesInOrder(rules)) {
    const share = shareOf(rule, school);
    if (share === 0) continue;
    const { yes, unknown } = askRule(rule, picture);
    if (unknown.length > 0) noteMissing(rule, unknown, share, picture, questions);
    if (yes.length === 0) continue;
    if (rule.caution) cautions.add(rule.caution);
    for (const [feature, push] of pushesOf(rule, yes, share, picture, setAside)) {
      const there = pushes.get(feature);
      if (there) there.push(push);
      else pushes.set(feature, [push]);
    }
  }
  const open = [...questions]
    .map(([finding, question]) => ({
      finding,
      sides: SIDES.filter((side) => question.sides.has(side)),
      rules: question.rules,
      weight: question.weight,
    }))
    .sort((a, b) => b.weight - a.weight || FINDING_IDS.indexOf(a.finding) - FINDING_IDS.indexOf(b.finding));
  return { pushes, open, cautions: [...cautions].sort() };
}

function noteMissing(
  rule: Rule,
  unknown: readonly Side[],
  share: number,
  picture: ClinicalPicture,
  questions: Map<FindingId, { sides: Set<Side>; rules: string[]; weight: number }>,
): void {
  const heaviest = heaviestWish(rule) * share;
  const noted = new Set<FindingId>();
  for (const side of unknown) {
    const lacking = new Set<FindingId>();
    evaluate(rule.when, picture, side, lacking);
    for (const id of lacking) {
      const question = questions.get(id) ?? { sides: new Set<Side>(), rules: [], weight: 0 };
      question.sides.add(side);
      if (!noted.has(id)) {
        question.rules.push(rule.id);
        question.weight += heaviest;
        noted.add(id);
      }
      questions.set(id, question);
    }
  }
}
