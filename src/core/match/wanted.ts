import type { ShoeModel } from '../catalogue/model';
import type { Candidate, Candidates } from './candidates';
import { WORTH_TRYING } from './propose';
import type { Excluded } from './rank';

/** What becomes of the shoe that the patient wants. */
export type Wanted =
  | { answer: 'good'; place: number; of: number }
  /** It may be tried; what it lacks is in the reasons. */
  | { answer: 'behind'; place: number; of: number; shortBy: number }
  | { answer: 'no'; because: string[] };

/**
 * Why a wanted model may be had, or why not.
 *
 * @param found what of the catalogue is usable, breaks a limit, or is not made in the size
 */
export function answerToWish(
  model: ShoeModel,
  { usable, noSize, excluded }: Candidates & { excluded: readonly Excluded[] },
): Wanted {
  const at = usable.findIndex((entry) => entry.model.id === model.id);
  if (at >= 0) return placed(usable, at);
  const broken = excluded.find(({ id }) => id === model.id);
  if (broken) return { answer: 'no', because: broken.by.map(({ sentence }) => sentence) };
  const unsized = noSize.find((entry) => entry.model.id === model.id);
  return {
    answer: 'no',
    because: [unsized?.message ?? 'It is no longer to be had, or made for other sizes.'],
  };
}

function placed(usable: readonly Candidate[], at: number): Wanted {
  const shortBy = usable[0]!.entry.score - usable[at]!.entry.score;
  const place = { place: at + 1, of: usable.length };
  return shortBy <= WORTH_TRYING ? { answer: 'good', ...place } : { answer: 'behind', ...place, shortBy };
}
