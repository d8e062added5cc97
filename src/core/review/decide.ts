import type { BreakInState } from '../break-in/answers';
import { type BreakInInput, breakInState } from '../break-in/plan';
import { addDays, type IsoDay } from '../calendar/days';
import {
  alarmsOf,
  compareOutcomes,
  nextSteps,
  type Outcome,
  type OutcomeChange,
  skinSignsOf,
} from '../outcomes/outcome';
import type { SignStrengths } from '../signs/signs';
import { usedUpAfter } from '../wear/clocks';
import type { WearForecast } from '../wear/forecast';
import { distributionOf } from '../wear/life-schools';
import { isTakenForSpent, type Verdict, verdictInWords, verdictOf } from '../wear/verdict';
import { CHANGES, type Review, type ReviewDecision, warningInWords } from './review';

/** What is known of a pair before it is reviewed. */
export interface ReviewedPair {
  /** Its first measures; null where nothing was measured at the hand-over. */
  baseline: Outcome | null;
  forecast: WearForecast;
  strengths: SignStrengths | undefined;
  /** Answers of its break-in; null where none was planned. */
  breakIn: Pick<BreakInInput, 'answers' | 'plan' | 'stoppedOn'> | null;
}

/** A review as far as it is filled in. */
export type ReviewDraft = Partial<Review> & Pick<Review, 'on'>;

export interface ReviewReading {
  changes: OutcomeChange[];
  alarms: string[];
  verdict: Verdict;
  breakIn: BreakInState | null;
  /** What the findings ask for, and why; `keep` with no reason where nothing speaks against it. */
  asks: { decision: ReviewDecision; because: string }[];
  suggestion: ReviewDecision;
}

/** From the most to the least pressing. */
const PRESSING: readonly ReviewDecision[] = ['refer', 'next', 'refit', 'keep'];

/** Reads a review: what changed for the better and the worse, whether the pair is used up, and what that asks for. */
export function readReview(pair: ReviewedPair, draft: ReviewDraft): ReviewReading {
  const { on, measures = {}, warnings = [], changed = [], inspection = {}, since = 0, outing } = draft;
  const now: Outcome = { on, ...measures };
  const changes = pair.baseline ? compareOutcomes(pair.baseline, now) : [];
  const alarms = alarmsOf(now);
  const { forecast, breakIn } = pair;
  const used = (forecast.used ?? 0) + since;
  const verdict = verdictOf(
    inspection.signs ?? {},
    usedUpAfter(distributionOf(forecast.life), used),
    pair.strengths,
  );
  const before = breakIn?.answers ?? [];
  const answers = outing ? [...before.filter((answer) => answer.on !== on), { on, ...outing }] : before;
  const state = breakIn ? breakInState({ ...breakIn, answers }) : null;
  const worse = nextSteps(changes, []);
  const asks: ReviewReading['asks'] = [
    ...warnings.map((sign) => ({
      decision: 'refer' as const,
      because: `${warningInWords(sign)}: referred before anything else.`,
    })),
    ...alarms.map((because) => ({ decision: 'refer' as const, because })),
    ...(isTakenForSpent(verdict) ? [{ decision: 'next' as const, because: verdictInWords(verdict)[0] }] : []),
    ...changed.map((change) => ({ decision: CHANGES[change].asks, because: CHANGES[change].because })),
    ...(state === 'stop' || state === 'refit'
      ? [
          {
            decision: 'refit' as const,
            because:
              state === 'stop'
                ? 'It was stopped, by an outing or at a review.'
                : 'Three sore outings in a row in its break-in.',
          },
        ]
      : []),
    ...(worse.length > 0
      ? [
          {
            decision: 'refit' as const,
            because: `Worse than at the start: ${changes
              .filter(({ reading }) => reading === 'worse')
              .map(({ measure }) => measure.toLowerCase())
              .join(', ')}.`,
          },
        ]
      : []),
  ];
  const suggestion = PRESSING.find((decision) => asks.some((ask) => ask.decision === decision)) ?? 'keep';
  return { changes, alarms, verdict, breakIn: state, asks, suggestion };
}

/** A sentence at the field that it concerns. */
export interface ReviewProblem {
  path: 'decision' | 'because' | 'to' | 'again' | 'measures' | 'outing';
  message: string;
}

const LEAST_WORDS = 3;

/** Days after which a pair is seen again where nobody names a day: after a refit, and to hear back of a referral. Ours. */
const AGAIN_DAYS = { refit: 14, refer: 7 } as const;
/** A pair is seen again within a year. Ours. */
const LONGEST_DAYS = 400;

/** Whether a foot may go on in the pair at all: open skin and warning signs are referred first. */
export const mustRefer = ({ warnings = [], measures = {} }: ReviewDraft): boolean =>
  warnings.length > 0 || skinSignsOf(measures).includes('ulcer');

/** What stands in the way of a review; empty when it can be kept. */
export function reviewProblems(pair: ReviewedPair, review: Review): ReviewProblem[] {
  const { decision, because = '', to = '', again, on, measures, outing } = review;
  const reading = readReview(pair, review);
  const isTold = because.trim().length >= LEAST_WORDS;
  const problems: ReviewProblem[] = [];
  if (Object.values(measures).every((value) => value === undefined))
    problems.push({ path: 'measures', message: 'Ask at least one measure: comfort is the quickest.' });
  if (mustRefer(review) && decision !== 'refer')
    problems.push({
      path: 'decision',
      message: 'A warning sign or open skin is referred first: the pair is not worn until it was seen.',
    });
  if (decision === 'refer' && to.trim().length < LEAST_WORDS)
    problems.push({ path: 'to', message: 'Write to whom, and how soon.' });
  if (decision === 'refit' && !isTold)
    problems.push({ path: 'because', message: 'Write what was changed on the pair, or is to be.' });
  if (decision === 'keep' && reading.suggestion !== 'keep' && !isTold)
    problems.push({ path: 'because', message: 'Write why it is kept although something is against it.' });
  if (outing && !pair.breakIn)
    problems.push({ path: 'outing', message: 'No break-in was planned for this pair.' });
  if (again !== undefined && (again <= on || again > addDays(on, LONGEST_DAYS)))
    problems.push({ path: 'again', message: 'Name a day after the review, within a year or so.' });
  return problems;
}

/** When a pair is seen again: the day that was named, else a short while after a refit or a referral, else as outcomes are due. */
export function againOn(
  { decision, on, again }: Pick<Review, 'decision' | 'on' | 'again'>,
  dueOn: IsoDay,
): IsoDay | null {
  if (decision === 'next') return null;
  return again ?? (decision === 'keep' ? dueOn : addDays(on, AGAIN_DAYS[decision]));
}
