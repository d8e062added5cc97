import { SIDES, type Side } from '../../findings/finding-kinds';
import type { FootFindingId } from '../../findings/findings';
import { groupBy } from '../../tables/group-by';
import type { Activity } from './camera';
import { type HeelLines, toHalfDegree } from './heel-angle';

/** Frames that are placed. The roll is held against standing on that one leg; a frame on both feet is kept apart. */
export const GAIT_EVENTS = {
  stance: 'standing, one leg',
  bothFeet: 'standing, both feet',
  touchdown: 'touchdown',
  peak: 'peak',
} as const;
export type GaitEvent = keyof typeof GAIT_EVENTS;

/** What was on the feet where nothing was. */
export const BAREFOOT = 'barefoot';

/** Under what a clip was taken. */
export interface ClipTag {
  /** `barefoot`, or what was on the feet. */
  condition: string;
  activity: Activity;
  speedKmh?: number | undefined;
  /** Minutes that were walked or run before; none is fresh. */
  minutes?: number | undefined;
}

/** Whether two readings come from clips of one kind. */
export const sameClip = (a: ClipTag, b: ClipTag): boolean =>
  a.condition === b.condition &&
  a.activity === b.activity &&
  a.speedKmh === b.speedKmh &&
  (a.minutes ?? 0) === (b.minutes ?? 0);

/** One placing of leg and heel line on one frame. */
export interface GaitReading extends ClipTag {
  side: Side;
  event: GaitEvent;
  angleDeg: number;
  frame: number;
  lines: HeelLines;
}

export interface GaitSummary extends ClipTag {
  side: Side;
  /** Standing on this leg alone. */
  stanceDeg: number | null;
  /** Standing on both feet: nothing is held against it. */
  bothFeetDeg: number | null;
  touchdownDeg: number | null;
  peakDeg: number | null;
  /** Peak less touchdown. */
  excursionDeg: number | null;
  /** Peak less standing on this leg: does it move more than when standing? */
  beyondStanceDeg: number | null;
  /** Peak here less peak barefoot, same side and activity. */
  againstBarefootDeg: number | null;
  placings: number;
}

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
const less = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a - b);

/** Readings brought together by side and by clip. No angle carries a verdict. */
export function summariseGait(readings: readonly GaitReading[]): GaitSummary[] {
  const groups = groupBy(readings, ({ condition, activity, side, speedKmh, minutes = 0 }) =>
    [condition, activity, side, speedKmh, minutes].join('|'),
  );
  const summaries = [...groups.values()].map((group): GaitSummary => {
    const { side, condition, activity, speedKmh, minutes } = group[0]!;
    const of = (event: GaitEvent) =>
      mean(group.filter((reading) => reading.event === event).map((reading) => reading.angleDeg));
    // Standing is standing, whatever is done afterwards.
    const standing = (event: 'stance' | 'bothFeet') =>
      mean(
        readings
          .filter((other) => other.event === event && other.side === side && other.condition === condition)
          .map((other) => other.angleDeg),
      );
    const stanceDeg = standing('stance');
    const peakDeg = of('peak');
    return {
      side,
      condition,
      activity,
      ...(speedKmh === undefined ? {} : { speedKmh }),
      ...(minutes === undefined ? {} : { minutes }),
      stanceDeg,
      bothFeetDeg: standing('bothFeet'),
      touchdownDeg: of('touchdown'),
      peakDeg,
      excursionDeg: less(peakDeg, of('touchdown')),
      beyondStanceDeg: less(peakDeg, stanceDeg),
      againstBarefootDeg: null,
      placings: group.length,
    };
  });
  for (const summary of summaries) {
    if (summary.condition === BAREFOOT) continue;
    const bare = summaries.find(
      (other) => other.side === summary.side && sameClip(other, { ...summary, condition: BAREFOOT }),
    );
    summary.againstBarefootDeg = less(summary.peakDeg, bare?.peakDeg ?? null);
  }
  return summaries.toSorted(
    (a, b) =>
      Number(b.condition === BAREFOOT) - Number(a.condition === BAREFOOT) ||
      a.condition.localeCompare(b.condition) ||
      a.activity.localeCompare(b.activity) * -1 ||
      a.side.localeCompare(b.side),
  );
}

/** Half the readable difference by eye, degrees: differences under this are not called changes. Common practice. */
export const LEAST_SEEN_DEG = 5;

/** One sentence: the number, the change, and whether it goes with symptoms. Never a label. */
export function gaitSentence(summary: GaitSummary, achesThisSide: boolean): string {
  const degrees = (value: number) => `${String(toHalfDegree(value)).replace('-', '−')}°`;
  const parts: string[] = [];
  if (summary.peakDeg !== null) parts.push(`peak ${degrees(summary.peakDeg)}`);
  if (summary.beyondStanceDeg !== null)
    parts.push(
      Math.abs(summary.beyondStanceDeg) < LEAST_SEEN_DEG
        ? `moves no more than when standing on one leg (${degrees(summary.beyondStanceDeg)})`
        : `${degrees(summary.beyondStanceDeg)} beyond standing on one leg`,
    );
  if (summary.againstBarefootDeg !== null)
    parts.push(
      Math.abs(summary.againstBarefootDeg) < LEAST_SEEN_DEG
        ? `no readable change against barefoot (${degrees(summary.againstBarefootDeg)})`
        : `${degrees(summary.againstBarefootDeg)} against barefoot`,
    );
  if (parts.length === 0) return 'Place lines on a peak frame.';
  parts.push(achesThisSide ? 'aches on this side' : 'no aches recorded on this side');
  return `${parts.join('; ')}.`;
}

/** Findings that gait readings speak for. */
export const GAIT_FINDINGS = [
  'heelAngleStance',
  'heelAngleBothFeet',
  'heelAngleWalk',
  'heelAngleRun',
  'heelExcursionWalk',
  'heelExcursionRun',
] as const satisfies readonly FootFindingId[];

/**
 * What barefoot readings say in the vocabulary of findings, to half a degree: of several clips the freshest, and of those the
 * slowest. A side without barefoot readings is not spoken for: what was typed for it stays.
 */
export function gaitFindings(
  readings: readonly GaitReading[],
): { side: Side; id: FootFindingId; value: number }[] {
  const bare = summariseGait(readings)
    .filter((entry) => entry.condition === BAREFOOT)
    .toSorted((a, b) => (a.minutes ?? 0) - (b.minutes ?? 0) || (a.speedKmh ?? 0) - (b.speedKmh ?? 0));
  return SIDES.flatMap((side) => {
    const of = (activity: Activity) =>
      bare.find((entry) => entry.side === side && entry.activity === activity);
    const [walk, run] = [of('walk'), of('run')];
    const rows: [FootFindingId, number | null | undefined][] = [
      ['heelAngleStance', walk?.stanceDeg ?? run?.stanceDeg],
      ['heelAngleBothFeet', walk?.bothFeetDeg ?? run?.bothFeetDeg],
      ['heelAngleWalk', walk?.peakDeg],
      ['heelAngleRun', run?.peakDeg],
      ['heelExcursionWalk', walk?.excursionDeg],
      ['heelExcursionRun', run?.excursionDeg],
    ];
    return rows.flatMap(([id, value]) =>
      value === undefined || value === null ? [] : [{ side, id, value: toHalfDegree(value) }],
    );
  });
}
