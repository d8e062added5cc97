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

/** Chances in the order of all causes. */
type Posterior = readonly number[];

/** For each answer to a question, its chance where each cause is the one. */
type AnswerChances = ReadonlyMap<string, Posterior>;

const CHANCES: ReadonlyMap<QuestionId, AnswerChances> = new Map(
  ALL_QUESTIONS.map((question) => {
    const options = Object.entries(QUESTION_TABLE[question].options);
    const byCause = ALL_CAUSES.map((cause) => {
      const weights = options.map(
        ([, { usual, marks }]) => usual * Math.exp(LOG_ODDS_OF_A_MARK * (marks[cause] ?? 0)),
      );
      const sum = weights.reduce((all, weight) => all + weight, 0);
      return weights.map((weight) => weight / sum);
    });
    return [question, new Map(options.map(([option], at) => [option, byCause.map((one) => one[at]!)]))];
  }),
);

const NEVER: Posterior = ALL_CAUSES.map(() => 0);
const chancesOf = (question: QuestionId, option: string): Posterior =>
  CHANCES.get(question)?.get(option) ?? NEVER;

export const chanceOfAnswer = (question: QuestionId, option: string, cause: Cause): number =>
  chancesOf(question, option)[ALL_CAUSES.indexOf(cause)]!;

function normalised(weights: Posterior): Posterior {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  return weights.map((weight) => weight / sum);
}

const PRIORS: ReadonlyMap<SpotPlace, Posterior> = new Map(
  keysOf(AT_PLACE).map((place) => [
    place,
    normalised(ALL_CAUSES.map((cause) => Math.exp(LOG_ODDS_OF_A_MARK * (AT_PLACE[place][cause] ?? 0)))),
  ]),
);

/** How likely each cause is at a place before anything is asked. */
export const priorAt = (place: SpotPlace): ReadonlyMap<Cause, number> =>
  new Map(ALL_CAUSES.map((cause, at) => [cause, PRIORS.get(place)![at]!]));

function updated(posterior: Posterior, question: QuestionId, option: string): Posterior {
  const chances = chancesOf(question, option);
  return normalised(posterior.map((chance, at) => chance * chances[at]!));
}

const entropy = (posterior: Posterior): number => {
  let sum = 0;
  for (const chance of posterior) if (chance > 0) sum -= chance * Math.log2(chance);
  return sum;
};

/** What a question would tell on average, bits. */
function expectedBits(posterior: Posterior, question: QuestionId): number {
  const before = entropy(posterior);
  let bits = 0;
  for (const [option, chances] of CHANCES.get(question)!) {
    const chance = posterior.reduce((all, weight, at) => all + weight * chances[at]!, 0);
    if (chance > 0) bits += chance * (before - entropy(updated(posterior, question, option)));
  }
  return bits;
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
    PRIORS.get(place)!,
  );
  const ranked = ALL_CAUSES.map((cause, at) => ({
    cause,
    chance: posterior[at]!,
    ...ADVICE[cause],
  })).toSorted((a, b) => b.chance - a.chance);
  const open = ALL_QUESTIONS.filter((question) => answers[question] === undefined)
    .map((question) => ({ question, bits: expectedBits(posterior, question) }))
    .filter(({ bits }) => bits >= LEAST_BITS)
    .toSorted(
      (a, b) => b.bits / QUESTION_TABLE[b.question].seconds - a.bits / QUESTION_TABLE[a.question].seconds,
    );
  return { ranked, next: ranked[0]!.chance >= SURE_ENOUGH ? null : (open[0]?.question ?? null) };
}
