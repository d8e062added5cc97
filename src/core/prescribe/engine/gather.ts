import { SIDES, type Side } from '../../findings/finding-kinds';
import { FINDING_IDS, type FindingId } from '../../findings/findings';
import { type ClinicalPicture, numberAt } from '../../findings/picture';
import type { Amount, Rule, Strength, Wish } from '../../knowledge/rule';
import { type SchoolChoice, shareOf } from '../../knowledge/schools';
import { memoize } from '../../memo/memoize';
import { axisOf, type NumericFeature } from '../../shoe/feature-kinds';
import { type FeatureId, featureOf } from '../../shoe/features';
import { degreeOf, evaluate } from './evaluate';
import { readsBodyOnly, rulesInOrder } from './rule-index';
import type { Awaited, OpenQuestion, Push, SetAside, Want } from './specification';
import { onLine } from './utility';

/** Strength words in numbers: each step doubles. A limit does not pull; it excludes. */
export const WEIGHT: Record<Strength, number> = { limit: 0, strong: 4, moderate: 2, slight: 1 };

/** The greatest value of an amount over the sides on which its rule speaks; null where nobody took it. */
function amount(value: Amount, sides: readonly Side[], picture: ClinicalPicture): number | null {
  if (typeof value === 'number') return value;
  const known = sides.flatMap((side) => numberAt(picture, value.finding, side) ?? []);
  if (known.length === 0) return null;
  const greatest = Math.max(...known);
  return 'along' in value ? onLine(value.along, greatest) : greatest + (value.plus ?? 0);
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

/**
 * A band between two ends, an open one reaching the end of the scale. One that lies wholly beyond the scale stays
 * there, so that nothing on the scale satisfies it; its meaning is not clipped to the scale's end.
 */
function bandWanted(
  feature: NumericFeature,
  { reach }: { reach?: number },
  atLeast: number | undefined,
  atMost: number | undefined,
): Want {
  const axis = axisOf(feature);
  const from = Math.max(axis.from, atLeast ?? axis.from);
  const to = Math.min(axis.to, atMost ?? axis.to);
  const band =
    from <= to ? { from, to } : { from: atLeast ?? atMost ?? axis.from, to: atMost ?? atLeast ?? axis.to };
  return { band, reach: reach ?? feature.reach };
}

/** A wish with its amounts filled in, or null when an amount it needs was not examined. */
function wantOf(wish: Wish, sides: readonly Side[], picture: ClinicalPicture): Want | null {
  const fixed = fixedWant(wish);
  if (fixed || !('atLeast' in wish || 'atMost' in wish)) return fixed;
  const feature = featureOf(wish.feature);
  if (feature.kind === 'choice') return null;
  const [from, to] = [wish.atLeast, wish.atMost].map((end) =>
    end === undefined ? undefined : amount(end, sides, picture),
  );
  return from === null || to === null ? null : bandWanted(feature, wish, from, to);
}

/** What a waiting limit counts for, next to strong rules at 4: it would exclude. */
const WAITING_LIMIT = 8;

const heaviestWish = (rule: Rule): number =>
  Math.max(...rule.wishes.map((wish) => WEIGHT[wish.strength ?? rule.strength] || WAITING_LIMIT));

/** Sides on which a rule says yes, how far it holds there at most, and those on which it cannot say. */
export function askRule(
  rule: Rule,
  picture: ClinicalPicture,
): { yes: Side[]; degree: number; unknown: Side[] } {
  const yes: Side[] = [];
  const unknown: Side[] = [];
  let degree = 0;
  // What reads nothing of a foot answers the same for both.
  const asked = readsBodyOnly(rule) ? ONE_SIDE : SIDES;
  for (const side of asked) {
    const holds = degreeOf(rule.when, picture, side);
    if (holds === null) unknown.push(side);
    else if (holds > 0) {
      yes.push(side);
      degree = Math.max(degree, holds);
    }
  }
  if (asked === SIDES) return { yes, degree, unknown };
  const onBoth = (of: Side[]): Side[] => (of.length > 0 ? [...SIDES] : []);
  return { yes: onBoth(yes), degree, unknown: onBoth(unknown) };
}

const ONE_SIDE: readonly Side[] = ['left'];

/** What a rule that holds in part wants: its band has come so far on its way from a usual shoe. */
function inPart(id: FeatureId, want: Want, degree: number): Want {
  const feature = featureOf(id);
  if (!('band' in want) || feature.kind === 'choice') return want;
  const { usual } = feature;
  const { from, to } = want.band;
  const toward = (end: number) => usual + degree * (end - usual);
  return {
    ...want,
    band: { from: from > usual ? toward(from) : from, to: to < usual ? toward(to) : to },
  };
}

/** What a rule that says yes pushes, wish by wish, and how far: by its school's share, and by how far it holds. */
export function pushesOf(
  rule: Rule,
  sides: Side[],
  { share, degree }: { share: number; degree: number },
  picture: ClinicalPicture,
  setAside: readonly SetAside[],
): [FeatureId, Push][] {
  const pushes: [FeatureId, Push][] = [];
  for (const wish of rule.wishes) {
    const whole = wantOf(wish, sides, picture);
    if (!whole) continue;
    const want = degree < 1 ? inPart(wish.feature, whole, degree) : whole;
    const strength = wish.strength ?? rule.strength;
    const aside = setAside.find((entry) => entry.rule === rule.id && entry.feature === wish.feature);
    const push: Push = {
      rule: rule.id,
      sides,
      strength,
      weight: WEIGHT[strength] * share * degree,
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

/** Wishes of a rule that take an amount from the picture, with the findings they take. */
const amountsOf = memoize((rule: Rule): { feature: FeatureId; strength: Strength; amounts: FindingId[] }[] =>
  rule.wishes.flatMap((wish) => {
    if (!('atLeast' in wish || 'atMost' in wish)) return [];
    const amounts = [wish.atLeast, wish.atMost].flatMap((end) =>
      typeof end === 'object' ? [end.finding] : [],
    );
    const strength = wish.strength ?? rule.strength;
    return amounts.length === 0 ? [] : [{ feature: wish.feature, strength, amounts: [...new Set(amounts)] }];
  }),
);

/** What a speaking rule wants of a feature but cannot say how much of, for want of an amount. */
export function awaitedOf(
  rule: Rule,
  sides: readonly Side[],
  picture: ClinicalPicture,
  setAside: readonly SetAside[],
): [FeatureId, Awaited][] {
  return amountsOf(rule).flatMap(({ feature, strength, amounts }) => {
    if (setAside.some((entry) => entry.rule === rule.id && entry.feature === feature)) return [];
    return amounts.flatMap((amount): [FeatureId, Awaited][] => {
      const lacking = sides.filter((side) => numberAt(picture, amount, side) === null);
      const { id, finding } = rule;
      return lacking.length === 0 ? [] : [[feature, { rule: id, amount, sides: lacking, strength, finding }]];
    });
  });
}

export interface Gathered {
  pushes: Map<FeatureId, Push[]>;
  /** Amounts that speaking rules lack, by the feature they speak of. */
  awaits: Map<FeatureId, Awaited[]>;
  open: OpenQuestion[];
  cautions: string[];
}

/** What waits for one finding while rules are asked. */
interface Question {
  sides: Set<Side>;
  rules: string[];
  weight: number;
  lacksAmount: boolean;
}

/** Adds to the list under a key. */
export const append = <K, V>(map: Map<K, V[]>, key: K, value: V): void => {
  const there = map.get(key);
  if (there) there.push(value);
  else map.set(key, [value]);
};

/**
 * Asks every rule of the chosen school about both sides. Rules that say yes push; rules that cannot say because of
 * missing findings become open questions, and so do amounts that a speaking rule lacks. The order of rules is
 * irrelevant: pushes are sorted.
 */
export function gather(
  picture: ClinicalPicture,
  rules: readonly Rule[],
  school: SchoolChoice,
  setAside: readonly SetAside[],
): Gathered {
  const pushes = new Map<FeatureId, Push[]>();
  const awaits = new Map<FeatureId, Awaited[]>();
  const questions = new Map<FindingId, Question>();
  const cautions = new Set<string>();
  for (const rule of rulesInOrder(rules)) {
    const share = shareOf(rule, school);
    if (share === 0) continue;
    const { yes, degree, unknown } = askRule(rule, picture);
    if (unknown.length > 0) noteMissing(rule, unknown, share, picture, questions);
    if (yes.length === 0) continue;
    if (rule.caution) cautions.add(rule.caution);
    for (const [feature, push] of pushesOf(rule, yes, { share, degree }, picture, setAside))
      append(pushes, feature, push);
    for (const [feature, awaited] of awaitedOf(rule, yes, picture, setAside)) {
      append(awaits, feature, awaited);
      noteAmount(awaited, share, questions);
    }
  }
  return { pushes, awaits, open: inOrder(questions), cautions: [...cautions].sort() };
}

/** What a speaking rule lacks comes first, then what most hangs on. */
const inOrder = (questions: ReadonlyMap<FindingId, Question>): OpenQuestion[] =>
  [...questions]
    .map(([finding, { sides, ...question }]) => ({
      finding,
      sides: SIDES.filter((side) => sides.has(side)),
      ...question,
    }))
    .sort(
      (a, b) =>
        Number(b.lacksAmount) - Number(a.lacksAmount) ||
        b.weight - a.weight ||
        FINDING_IDS.indexOf(a.finding) - FINDING_IDS.indexOf(b.finding),
    );

function questionOn(finding: FindingId, questions: Map<FindingId, Question>): Question {
  const there = questions.get(finding);
  if (there) return there;
  const question: Question = { sides: new Set(), rules: [], weight: 0, lacksAmount: false };
  questions.set(finding, question);
  return question;
}

function noteAmount(
  { rule, amount, sides, strength }: Awaited,
  share: number,
  questions: Map<FindingId, Question>,
): void {
  const question = questionOn(amount, questions);
  question.lacksAmount = true;
  for (const side of sides) question.sides.add(side);
  if (question.rules.includes(rule)) return;
  question.rules.push(rule);
  question.weight += (WEIGHT[strength] || WAITING_LIMIT) * share;
}

function noteMissing(
  rule: Rule,
  unknown: readonly Side[],
  share: number,
  picture: ClinicalPicture,
  questions: Map<FindingId, Question>,
): void {
  const heaviest = heaviestWish(rule) * share;
  const noted = new Set<FindingId>();
  for (const side of unknown) {
    const lacking = new Set<FindingId>();
    evaluate(rule.when, picture, side, lacking);
    for (const id of lacking) {
      const question = questionOn(id, questions);
      question.sides.add(side);
      if (noted.has(id)) continue;
      question.rules.push(rule.id);
      question.weight += heaviest;
      noted.add(id);
    }
  }
}
