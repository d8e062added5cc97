import { addDays, type IsoDay } from '@/core/calendar/days';
import { noise } from './noise';

export interface StepFeedSettings {
  seed: number;
  days: number;
  /** Steps of a usual day. */
  steps: number;
}

/** What a step counter says of the days up to one: a table of days and steps. */
export function stepFeed({ seed, days, steps }: StepFeedSettings, until: IsoDay): string {
  const { normal } = noise(seed);
  const rows = Array.from({ length: days }, (_, at) => {
    const share = 1 + 0.25 * normal();
    return `${addDays(until, at + 1 - days)},${Math.max(0, Math.round(steps * share))}`;
  });
  return ['day,steps', ...rows].join('\n');
}
