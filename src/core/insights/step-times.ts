import { quantileSorted } from 'simple-statistics';
import { SAVED_STEPS, type SavedStep } from '../visit/steps';

/** How long a step was open before somebody at one visit. */
export interface StepTime {
  step: SavedStep;
  seconds: number;
}

export interface StepTimes {
  step: SavedStep;
  visits: number;
  /** Minutes: half of the visits took less; the middle half lies between the other two. */
  median: number;
  from: number;
  to: number;
}

const minutes = (seconds: number): number => Math.round(seconds / 6) / 10;

/**
 * How long each step of a visit takes, in the order of the visit.
 *
 * @param least visits that a figure rests on
 */
export function stepTimesOf(times: readonly StepTime[], least: number): StepTimes[] {
  return SAVED_STEPS.flatMap((step): StepTimes[] => {
    const taken = times
      .flatMap((time) => (time.step === step ? [time.seconds] : []))
      .toSorted((a, b) => a - b);
    if (taken.length < least) return [];
    const at = (share: number) => minutes(quantileSorted(taken, share));
    return [{ step, visits: taken.length, median: at(0.5), from: at(0.25), to: at(0.75) }];
  });
}
