import { normalBelow } from './normal';

/** Something that lasts: how long, and whether it ended or was only followed so far. */
export interface Lasting {
  time: number;
  ended: boolean;
}

export interface SurvivalStep {
  time: number;
  /** Followed until just before. */
  atRisk: number;
  ended: number;
  /** Share that lasts beyond this time, and its standard error (Greenwood M, 1926). */
  share: number;
  standardError: number;
}

/**
 * How long things last where some are still followed (Kaplan EL, Meier P, J Am Stat Assoc 1958;53:457–481): a step at each time at
 * which something ended. What is followed to a time at which another ends is still at risk there.
 */
export function kaplanMeier(lastings: readonly Lasting[]): SurvivalStep[] {
  const steps: SurvivalStep[] = [];
  let share = 1;
  let greenwood = 0;
  for (const { time, atRisk, ended } of endsOf(lastings)) {
    share *= 1 - ended / atRisk;
    greenwood += atRisk > ended ? ended / (atRisk * (atRisk - ended)) : 0;
    steps.push({ time, atRisk, ended, share, standardError: share * Math.sqrt(greenwood) });
  }
  return steps;
}

/** Each time at which something ended, rising, with how many were followed until just before and how many ended. */
function endsOf(lastings: readonly Lasting[]): { time: number; atRisk: number; ended: number }[] {
  const isInOrder = lastings.every(({ time }, at) => at === 0 || lastings[at - 1]!.time <= time);
  const inOrder = isInOrder ? lastings : lastings.toSorted((a, b) => a.time - b.time);
  const ends: { time: number; atRisk: number; ended: number }[] = [];
  for (let at = 0; at < inOrder.length; ) {
    const { time } = inOrder[at]!;
    const atRisk = inOrder.length - at;
    let ended = 0;
    for (; at < inOrder.length && inOrder[at]!.time === time; at += 1) ended += Number(inOrder[at]!.ended);
    if (ended > 0) ends.push({ time, atRisk, ended });
  }
  return ends;
}

/** The time by which half have ended; null where more than half still last. */
export const medianOf = (steps: readonly SurvivalStep[]): number | null =>
  steps.find(({ share }) => share <= 0.5)?.time ?? null;

export interface LogRank {
  /** Ends that were seen and that were to be expected were all groups alike, for each group. */
  groups: { observed: number; expected: number }[];
  /** With one degree of freedom. */
  chiSquare: number;
  /** How often groups that last alike would differ by so much. */
  pValue: number;
}

/** Whether two groups last alike (Mantel N, Cancer Chemother Rep 1966;50:163–170). */
export function logRank(first: readonly Lasting[], second: readonly Lasting[]): LogRank {
  let observed = 0;
  let expected = 0;
  let variance = 0;
  const all = [...first, ...second];
  const firstInOrder = first.toSorted((a, b) => a.time - b.time);
  const endedFirst = new Map(endsOf(first).map(({ time, ended }) => [time, ended]));
  let gone = 0;
  for (const { time, atRisk, ended } of endsOf(all)) {
    while (gone < firstInOrder.length && firstInOrder[gone]!.time < time) gone += 1;
    const inFirst = firstInOrder.length - gone;
    observed += endedFirst.get(time) ?? 0;
    expected += (ended * inFirst) / atRisk;
    if (atRisk > 1)
      variance += (ended * (inFirst / atRisk) * (1 - inFirst / atRisk) * (atRisk - ended)) / (atRisk - 1);
  }
  const chiSquare = variance === 0 ? 0 : (observed - expected) ** 2 / variance;
  const total = all.filter(({ ended }) => ended).length;
  return {
    groups: [
      { observed, expected },
      { observed: total - observed, expected: total - expected },
    ],
    chiSquare,
    pValue: 2 * (1 - normalBelow(Math.sqrt(chiSquare))),
  };
}
