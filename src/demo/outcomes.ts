import { addDays } from '@/core/calendar/days';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { gaitOf } from '@/core/outcomes/gait-number';
import { USUAL_SCHEDULE } from '@/core/outcomes/schedule';
import type { Measures } from '@/core/outcomes/schema';
import type { Persona } from './personas/persona';
import type { DemoLogEntry } from './use-of-a-pair';

/** Invented: how far an ache has gone by each time it is asked, and how well the stairs go. */
const PAIN_LEFT = [1, 0.8, 0.55, 0.4] as const;
const STAIRS = [4, 5, 7, 8] as const;
const STAIRS_FROM_AGE = 60;
const GAIT_GAIN = 2;

/** The comfort that was logged last by a day. */
const comfortBy = (log: readonly DemoLogEntry[], on: string): number | null =>
  log.findLast((entry) => entry.on <= on && entry.comfort !== null)?.comfort ?? null;

/**
 * What was measured of a demo pair at its hand-over and at two, six and twelve weeks, as far as that lies behind us. Every third
 * person missed the last time.
 */
export function outcomesOf(
  persona: Persona,
  startedOn: string,
  until: string,
  log: readonly DemoLogEntry[],
): { on: string; measures: Measures }[] {
  const { left, right } = persona.findings;
  const pain = Math.max(left?.worstPain ?? 0, right?.worstPain ?? 0);
  const gait = gaitOf(clinicalPicture(persona.findings));
  const weeks = [0, ...USUAL_SCHEDULE.weeks].slice(0, persona.age % 3 === 0 ? 3 : 4);
  return weeks.flatMap((week, at) => {
    const on = addDays(startedOn, week * 7);
    const comfort = comfortBy(log, on);
    if (on > until || comfort === null) return [];
    return [
      {
        on,
        measures: {
          comfort,
          ...(persona.age >= STAIRS_FROM_AGE
            ? {
                zones: {
                  heel: comfort,
                  arch: Math.min(100, comfort + 4),
                  ball: Math.max(0, comfort - 9),
                  toes: comfort,
                },
              }
            : {}),
          ...(at === 0 && gait.length > 0 ? { gait } : {}),
          ...(at === 3 && gait.length > 0
            ? { gait: gait.map((number) => ({ ...number, value: Math.max(0, number.value - GAIT_GAIN) })) }
            : {}),
          ...(pain > 0 ? { pain: Math.round(pain * PAIN_LEFT[at]!) } : {}),
          ...(persona.age >= STAIRS_FROM_AGE ? { activities: [{ name: 'stairs', score: STAIRS[at]! }] } : {}),
        },
      },
    ];
  });
}
