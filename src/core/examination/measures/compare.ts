import { SIDES, type Side } from '../../findings/finding-kinds';
import type { FootFindingId } from '../../findings/findings';
import { type ClinicalPicture, type Findings, numberAt } from '../../findings/picture';
import { type DifferenceReading, readDifference } from '../real-difference';

/** One measured value on a day. */
export interface DatedValue {
  on: string;
  value: number;
}

export interface ComparedMeasure {
  id: FootFindingId;
  /** Every value over the visits, oldest first, today’s last. */
  course: Record<Side, DatedValue[]>;
  now: Record<Side, number | null>;
  /** Left less right. */
  sides: { difference: number; reading: DifferenceReading } | null;
  /** Today less the value before, by side. */
  change: Record<Side, { difference: number; since: string; reading: DifferenceReading } | null>;
}

/** A measure laid beside the other foot and beside earlier visits, read against the measurement’s own error. */
export function compareMeasure(
  id: FootFindingId,
  picture: ClinicalPicture,
  today: string,
  earlier: readonly { on: string; findings: Findings }[],
): ComparedMeasure {
  const now = { left: numberAt(picture, id, 'left'), right: numberAt(picture, id, 'right') };
  const course: Record<Side, DatedValue[]> = { left: [], right: [] };
  const change: ComparedMeasure['change'] = { left: null, right: null };
  for (const side of SIDES) {
    for (const visit of earlier) {
      const value = visit.findings[side]?.[id];
      if (typeof value === 'number') course[side].push({ on: visit.on, value });
    }
    const before = course[side].at(-1);
    const value = now[side];
    if (value === null) continue;
    course[side].push({ on: today, value });
    if (!before) continue;
    const difference = value - before.value;
    change[side] = { difference, since: before.on, reading: readDifference(id, difference) };
  }
  const sides =
    now.left === null || now.right === null
      ? null
      : { difference: now.left - now.right, reading: readDifference(id, now.left - now.right) };
  return { id, course, now, sides, change };
}
