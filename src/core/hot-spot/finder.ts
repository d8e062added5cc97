import { keysOf } from '../tables/keys-of';
import {
  ADVICE,
  AT_PLACE,
  CAUSES,
  type Cause,
  LOG_ODDS_OF_A_MARK,
  type Remedy,
  type SpotPlace,
} from './causes';
import { QUESTION_TABLE, type QuestionId, type SpotAnswers } from './questions';

const ALL_CAUSES = keysOf(CAUSES);
const ALL_QUESTIONS = keysOf(QUESTION_TABLE);

/** Chance of each answer to a question where a cause is the one. */
const chances = new Map<string, Readonly<Record<string, number>>>();
function chancesOf(question: QuestionId, cause: Cause): Readonly<Record<string, number>> {
  const key = `${question} ${cause}`;
  const known = chances.get(key);
  if (known) return known;
  const weights = Object.entries(QUESTION_TABLE[question].options).map(
    ([option, { usual, marks }]) =>
      [option, usual * Math.exp(LOG_ODDS_OF_A_MARK * (marks[cause] ?? 0))] as const,
  );
  const sum = weights.reduce((all, [, weight]) => all + weight, 0);
  const made = Object.fromEntries(weights.map(([option, weight]) => [option, weight / sum]));
  chances.set(key, made);
  return made;
}

export const chanceOfAnswer = (question: QuestionId, option: string, cause: Cause): number =>
  chancesOf(question, cause)[option] ?? 0;

type Posterior = ReadonlyMap<Cause, number>;

function normalised(weights: readonly (readonly [Cause, number])[]): Posterior {
  const sum = weights.reduce((all, [, weight]) => all + weight, 0);
  return new Map(weights.map(([cause, weight]) => [cause, weight / sum]));
}

/** How likely each cause is at a place before anything is asked. */
export const priorAt = (place: SpotPlace): Posterior =>
  normalised(
    ALL_CAUSES.map((cause) => [cause, Math.exp(LOG_ODDS_OF_A_MARK * (AT_PLACE[place][cause] ?? 0))] as const),
  );

const updated = (posterior: Posterior, question: QuestionId, option: string): Posterior =>
  normalised(
    [...posterior].map(
      ([cause, chance]) => [cause, chance * chanceOfAnswer(question, option, cause)] as const,
    ),
  );

const entropy = (posterior: Posterior): number => {
  let sum = 0;
  for (const chance of posterior.values()) if (chance > 0) sum -= chance * Math.log2(chance);
  return sum;
};

/** What a question would tell on average, bits. */
function expectedBits(posterior: Posterior, question: QuestionId): number {
  const before = entropy(posterior);
  return Object.keys(QUESTION_TABLE[question].options).reduce((bits, option) => {
    let chance = 0;
    for (const [cause, weight] of posterior) chance += weight * chanceOfAnswer(question, option, cause);
    return chance > 0 ? bits + chance * (before - entropy(updated(posterior, question, option))) : bits;
  }, 0);
}

export interface RankedCause {
  cause: Cause;
  chance: number;
  remedies: readonly Remedy[];
  confirm: string;
}

export interface SpotReading {
  /** The likeliest first. */
  ranked: RankedCause[];
  /** What to ask next, by expected information a second; null where nothing more would tell. */
  next: QuestionId | null;
}

/** From here nothing more is asked. Ours. */
export const SURE_ENOUGH = 0.8;
/** A question that would tell less than this, bits, is not worth asking. Ours. */
const LEAST_BITS = 0.07;

/**
 * What leads to a blister or a hot spot, from where it sits and from what was answered; each answer counts for every cause
 * by one table of marks, as if the answers were independent given the cause.
 *
 * @example readSpot('heel-back', { heel: 'lifts' }).ranked[0]!.cause // 'heel-slips'
 */
export function readSpot(place: SpotPlace, answers: SpotAnswers): SpotReading {
  const answered = ALL_QUESTIONS.flatMap((question) => {
    const option: string | undefined = answers[question];
    return option === undefined ? [] : [{ question, option }];
  });
  const posterior = answered.reduce(
    (chances, { question, option }) => updated(chances, question, option),
    priorAt(place),
  );
  const ranked = [...posterior]
    .map(([cause, chance]) => ({ cause, chance, ...ADVICE[cause] }))
    .toSorted((a, b) => b.chance - a.chance);
  const open = ALL_QUESTIONS.filter((question) => answers[question] === undefined)
    .map((question) => ({ question, bits: expectedBits(posterior, question) }))
    .filter(({ bits }) => bits >= LEAST_BITS)
    .toSorted(
      (a, b) => b.bits / QUESTION_TABLE[b.question].seconds - a.bits / QUESTION_TABLE[a.question].seconds,
    );
  return { ranked, next: ranked[0]!.chance >= SURE_ENOUGH ? null : (open[0]?.question ?? null) };
}
