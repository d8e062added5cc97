import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import { awakeAt } from './awake';
import { inOrder, type SwellingReading } from './course';
import { dayCourse, gainUntilEvening, type Sure } from './day-course';

const sure = ({ mm, within }: Sure): string => `${Math.round(mm)} ± ${Math.max(1, Math.round(within))} mm`;
/** Whether a change is more than its error: less is not said. */
const isSure = ({ mm, within }: Sure): boolean => Math.abs(mm) > within;
/** Below this a week adds nothing that anybody could act on, mm. Ours. */
const WEEK_MM = 0.5;

/** What the girths of one side say of its day and its weeks, figure-of-eight. */
export function courseLines(readings: readonly SwellingReading[], side: Side): string[] {
  const course = dayCourse(readings, side, 'figureOfEight');
  const last = inOrder(readings).findLast((reading) => reading[side]?.figureOfEight !== undefined);
  if (!course || !last) return [];
  const day = last.at.slice(0, 10);
  const { perWeek, compression, treatment } = course;
  const rises = isSure(perWeek) && Math.abs(perWeek.mm) >= WEEK_MM;
  const parts = [`a day adds ${sure(course.swing)}`];
  if (rises)
    parts.push(
      `each week ${perWeek.mm > 0 ? 'adds' : 'takes off'} ${sure({ ...perWeek, mm: Math.abs(perWeek.mm) })}`,
    );
  if (compression && isSure(compression))
    parts.push(`compression takes off ${sure({ ...compression, mm: -compression.mm })}`);
  if (treatment && isSure(treatment))
    parts.push(`treatment takes off ${sure({ ...treatment, mm: -treatment.mm })} on its day`);
  const gain = gainUntilEvening(course, day, awakeAt(last));
  if (gain.mm >= 1) parts.push(`from the last reading to the evening about ${sure(gain)} more`);
  return [`${side[0]!.toUpperCase()}${side.slice(1)}: ${parts.join('; ')}.`];
}

const LATE_WEEK = 28;

/** What else moves swelling in this person: to be read beside the course. */
export function contextLines({ body }: Pick<ClinicalPicture, 'body'>): string[] {
  const has = (condition: string) =>
    body.conditions !== NOT_EXAMINED && body.conditions.some((one) => one === condition);
  const lines: string[] = [];
  if (has('pregnancy')) {
    const weeks = body.pregnancyWeeks;
    lines.push(
      weeks === NOT_EXAMINED
        ? 'Pregnancy: ask for the week; swelling rises toward the birth.'
        : `Week ${weeks} of pregnancy${weeks >= LATE_WEEK ? ': size for more than today' : ''}. Sudden swelling of hands or face, headache or sight: to the maternity unit at once.`,
    );
  }
  if (has('renal-failure'))
    lines.push(
      'Kidney disease: legs follow the dialysis. Say at each girth whether it was before or after; size for before.',
    );
  if (has('heart-failure'))
    lines.push(
      'Heart failure: both legs fill toward the evening; size for then. Girths that rise over a few days, with weight or breathlessness: to the physician the same day, no shoe first.',
    );
  if (has('lymphoedema'))
    lines.push('Lymphoedema: measure and fit over the compression that is worn by day.');
  return lines;
}
