import {
  chanceOf,
  FITS_WEARER,
  type FitsWearer,
  type Hypothesis,
  SIGNS,
  type SignAnswers,
  type SignId,
  type SignStrengths,
} from '../signs/signs';
import { keysOf } from '../tables/keys-of';

/** The six things that a pair can be. */
export const HYPOTHESES: readonly Hypothesis[] = [true, false].flatMap((isSpent) =>
  keysOf(FITS_WEARER).map((fits) => ({ isSpent, fits })),
);

/** How wearers and pairs go together before anybody looks at a pair. Ours. */
export const PRIOR_FIT: Readonly<Record<FitsWearer, number>> = { suits: 0.7, soft: 0.2, loose: 0.1 };

export interface Verdict {
  /** Chance that the pair is used up. */
  spent: number;
  /** Chances of how it suits; together 1. */
  fits: Readonly<Record<FitsWearer, number>>;
  /** Before anything was looked at: by use and age alone. */
  priorSpent: number;
  /** The sign that moved each answer most, and which way; null where none was looked at. */
  movedSpent: { sign: SignId; toward: boolean } | null;
  movedFit: { sign: SignId; toward: FitsWearer } | null;
  /** The sign not looked at yet that would tell most, by expected information a second of looking; null where all were. */
  next: SignId | null;
}

type Posterior = readonly number[];

const normalised = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  return weights.map((weight) => weight / sum);
};

/** Chance of each of the six before looking: how far its life is used, by how such pairs suit. */
const priorOf = (spent: number, fit: Readonly<Record<FitsWearer, number>>): Posterior =>
  HYPOTHESES.map(({ isSpent, fits }) => (isSpent ? spent : 1 - spent) * fit[fits]);

const updated = (posterior: Posterior, sign: SignId, value: string, strengths: SignStrengths): Posterior =>
  normalised(posterior.map((weight, at) => weight * chanceOf(sign, value, HYPOTHESES[at]!, strengths)));

const spentIn = (posterior: Posterior): number =>
  posterior.reduce((sum, weight, at) => sum + (HYPOTHESES[at]!.isSpent ? weight : 0), 0);

const fitIn = (posterior: Posterior, fits: FitsWearer): number =>
  posterior.reduce((sum, weight, at) => sum + (HYPOTHESES[at]!.fits === fits ? weight : 0), 0);

const entropy = (posterior: Posterior): number =>
  -posterior.reduce((sum, weight) => sum + (weight > 0 ? weight * Math.log2(weight) : 0), 0);

/** What looking at a sign would tell on average, bits. */
function expectedBits(posterior: Posterior, sign: SignId, strengths: SignStrengths): number {
  const before = entropy(posterior);
  return Object.keys(SIGNS[sign].options).reduce((sum, value) => {
    const chance = posterior.reduce(
      (all, weight, at) => all + weight * chanceOf(sign, value, HYPOTHESES[at]!, strengths),
      0,
    );
    return chance > 0 ? sum + chance * (before - entropy(updated(posterior, sign, value, strengths))) : sum;
  }, 0);
}

const log = (chance: number): number => Math.log(Math.max(1e-12, chance) / Math.max(1e-12, 1 - chance));

/**
 * Whether a pair is spent and whether it suits, as two answers: it may be spent *and* its model right. Bayes over six
 * hypotheses with the signs independent of each other given what the pair is.
 *
 * @param priorSpent chance that a pair with this use and age is used up, before anybody looks at it
 * @param strengths how strongly the clinic takes each sign
 */
export function verdictOf(
  answers: SignAnswers,
  priorSpent: number,
  strengths: SignStrengths = {},
  fit = PRIOR_FIT,
): Verdict {
  const seen = keysOf(SIGNS).filter((sign) => answers[sign] !== undefined);
  const prior = priorOf(Math.min(0.999, Math.max(0.001, priorSpent)), fit);
  const after = (signs: readonly SignId[]) =>
    signs.reduce<Posterior>(
      (posterior, sign) => updated(posterior, sign, answers[sign]!, strengths),
      normalised(prior),
    );
  const posterior = after(seen);
  const without = seen.map((sign) => ({ sign, posterior: after(seen.filter((entry) => entry !== sign)) }));
  const fits = {
    suits: fitIn(posterior, 'suits'),
    soft: fitIn(posterior, 'soft'),
    loose: fitIn(posterior, 'loose'),
  };
  const likeliest = keysOf(fits).reduce((best, id) => (fits[id] > fits[best] ? id : best));
  const movedSpent = most(without, ({ posterior: rest }) => log(spentIn(posterior)) - log(spentIn(rest)));
  const movedFit = most(
    without,
    ({ posterior: rest }) => log(fitIn(posterior, likeliest)) - log(fitIn(rest, likeliest)),
  );
  const open = keysOf(SIGNS).filter((sign) => answers[sign] === undefined);
  const telling = open.map((sign) => ({
    sign,
    worth: expectedBits(posterior, sign, strengths) / SIGNS[sign].seconds,
  }));
  return {
    spent: spentIn(posterior),
    fits,
    priorSpent,
    movedSpent: movedSpent && { sign: movedSpent.sign, toward: movedSpent.by > 0 },
    movedFit: movedFit && movedFit.by > 0 ? { sign: movedFit.sign, toward: likeliest } : null,
    next:
      telling.reduce<(typeof telling)[number] | null>(
        (best, entry) => (best && best.worth >= entry.worth ? best : entry),
        null,
      )?.sign ?? null,
  };
}

function most<E extends { sign: SignId }>(entries: readonly E[], by: (entry: E) => number) {
  const moved = entries.map((entry) => ({ sign: entry.sign, by: by(entry) }));
  return moved.reduce<(typeof moved)[number] | null>(
    (best, entry) => (best && Math.abs(best.by) >= Math.abs(entry.by) ? best : entry),
    null,
  );
}

/** How many times likelier an answer is of a spent pair than of one with life left, however it suits. */
export function speaksForSpent(sign: SignId, value: string, strengths: SignStrengths = {}): number {
  const of = (isSpent: boolean) =>
    keysOf(FITS_WEARER).reduce(
      (sum, fits) => sum + PRIOR_FIT[fits] * chanceOf(sign, value, { isSpent, fits }, strengths),
      0,
    );
  return of(true) / of(false);
}

/** From here an answer is given without a reservation, and from here with one. Ours. */
const SURE = 0.85;
const LIKELY = 0.6;
/** What was seen must have made an answer likelier than it is of any pair by so much. Ours. */
const MOVED_BY = 0.05;

/** Whether a pair is taken for used up, for what is proposed next; null where nobody can tell. */
export const isTakenForSpent = ({ spent }: Pick<Verdict, 'spent'>): boolean | null =>
  spent >= LIKELY ? true : spent <= 1 - LIKELY ? false : null;

/** What a pair is taken for as to its wearer; null where nobody can tell. */
export function takenToFit({ fits }: Pick<Verdict, 'fits'>): FitsWearer | null {
  const best = keysOf(fits).reduce((likeliest, id) => (fits[id] > fits[likeliest] ? id : likeliest));
  // That most pairs suit is no finding about this one.
  const isMoved = fits[best] > PRIOR_FIT[best] + MOVED_BY;
  return fits[best] >= LIKELY && isMoved ? best : null;
}

const percent = (chance: number): string => `${Math.min(99, Math.max(1, Math.round(chance * 100)))} %`;

/**
 * Both answers in words.
 *
 * @example verdictInWords(verdict) // ['Probably spent (72 %).', 'It suits this wearer (88 %).']
 */
export function verdictInWords(verdict: Verdict): [spent: string, fits: string] {
  const { spent } = verdict;
  const of = percent(spent);
  const says =
    spent >= SURE
      ? `Spent (${of}).`
      : spent >= LIKELY
        ? `Probably spent (${of}).`
        : spent > 1 - LIKELY
          ? `Spent or not cannot be told yet (${of}).`
          : spent > 1 - SURE
            ? `Probably has life left (${percent(1 - spent)}).`
            : `Has life left (${percent(1 - spent)}).`;
  const fit = takenToFit(verdict);
  return [
    says,
    fit === null
      ? 'Whether it suits cannot be told yet.'
      : `${verdict.fits[fit] >= SURE ? 'It' : 'It probably'} ${fit === 'suits' ? 'suits this wearer' : `was ${FITS_WEARER[fit]}`} (${percent(verdict.fits[fit])}).`,
  ];
}
