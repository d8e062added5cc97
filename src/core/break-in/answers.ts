import type { IsoDay } from '../calendar/days';

export const FELT = { fine: 'fine', mild: 'a little sore', severe: 'very sore' } as const;
export type Felt = keyof typeof FELT;

/** What the wearer says of one outing in the new pair. */
export interface OutingAnswer {
  on: IsoDay;
  felt: Felt;
  /** It changed how they walk or run. */
  gaitChanged?: boolean | undefined;
  /** Red marks that stayed, of a foot that is looked at each time. */
  marks?: boolean | undefined;
  /** A clinician looked at what it did, and the pair may go on. */
  isSeen?: boolean | undefined;
}

/** Mild discomfort may be given so many outings in a row (handbook 07, common practice). */
const MILD_OUTINGS = 3;

/** `going`: on with the plan. `refit`: come in. `stop`: stop wearing it now, and come in or call. */
export type BreakInState = 'going' | 'refit' | 'stop';

/**
 * What the answers make of the plan: three mild ones in a row ask for a refit, until one is fine again; a severe one or a changed gait
 * stops at once; a foot at risk stops at the first mark or soreness. What a clinician looked at no longer stands in the way.
 */
export function stateOf(answers: readonly OutingAnswer[], stopsAtFirst: boolean): BreakInState {
  const inOrder = answers.toSorted((a, b) => (a.on < b.on ? -1 : 1));
  let mild = 0;
  for (const { felt, gaitChanged, marks, isSeen } of inOrder) {
    if (isSeen) {
      mild = 0;
      continue;
    }
    if (felt === 'severe' || gaitChanged || (stopsAtFirst && (marks || felt === 'mild'))) return 'stop';
    mild = felt === 'mild' || marks ? mild + 1 : 0;
  }
  return mild >= MILD_OUTINGS ? 'refit' : 'going';
}

/** Outings that did not go well move the plan by as many outings. */
export const outingsToRepeat = (answers: readonly OutingAnswer[]): number =>
  answers.filter(({ felt, marks }) => felt !== 'fine' || marks).length;
