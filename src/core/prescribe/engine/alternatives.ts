import type { FeatureValue } from '../../shoe/features';
import type { Settled } from './settle';
import type { Alternative, Push } from './specification';
import { utilityAt } from './utility';

/** A second peak counts from this share of the best total, and must stand this share of the weight above the valley. */
const WORTH_A_LOOK = 0.5;
const PROMINENCE = 0.04;
/** A push is served where it gets at least this much of its marks. */
const SERVED = 0.95;
const MOST = 2;

/** Places of peaks of the summed utility other than the best one, highest first. */
function otherPeaks({ total, inside, bestAt, weight }: Settled): number[] {
  const peaks: number[] = [];
  for (let at = 0; at < total.length; at += 1) {
    if (inside[at] === 0 || at === bestAt || total[at]! < WORTH_A_LOOK * total[bestAt]!) continue;
    const [low, high] = at < bestAt ? [at, bestAt] : [bestAt, at];
    let valley = Number.POSITIVE_INFINITY;
    for (let between = low; between <= high; between += 1) valley = Math.min(valley, total[between]!);
    if (total[at]! - valley < PROMINENCE * weight) continue;
    const higher = (to: number) =>
      to >= 0 && to < total.length && inside[to] === 1 && total[to]! > total[at]!;
    // Only the first place of a plateau stands for it.
    const again = at > 0 && inside[at - 1] === 1 && total[at - 1]! === total[at]!;
    if (!higher(at - 1) && !higher(at + 1) && !again) peaks.push(at);
  }
  return peaks.sort((a, b) => total[b]! - total[a]!);
}

/** On a scale: the places that the pushes pulling down, and those pulling up, would choose for themselves. */
function ends({ pulls, columns, inside, bestAt, values, total }: Settled): number[] {
  const best = Number(values.list[bestAt]);
  const outvoted = pulls.flatMap((push, index) =>
    utilityAt(push.want, best) < SERVED ? [{ weight: push.weight, own: columns[index]!.own }] : [],
  );
  const toward = (step: -1 | 1): number | null => {
    const group = outvoted.filter(({ own }) => (own[bestAt + step] ?? -1) > own[bestAt]!);
    if (group.length === 0) return null;
    let place = bestAt;
    const sumAt = (at: number) => group.reduce((all, { weight, own }) => all + weight * own[at]!, 0);
    let highest = sumAt(bestAt);
    for (let at = bestAt + step; at >= 0 && at < total.length; at += step) {
      if (inside[at] === 0) continue;
      const sum = sumAt(at);
      if (sum > highest + 1e-9) [highest, place] = [sum, at];
    }
    return place === bestAt ? null : place;
  };
  return [toward(-1), toward(1)].filter((at) => at !== null);
}

/** Among options: those that some outvoted push would rather have. */
function otherOptions({ total, inside, bestAt, pulls, values }: Settled): number[] {
  const better = (at: number) =>
    pulls.some(
      (push) =>
        utilityAt(push.want, values.list[at]!) >= SERVED &&
        utilityAt(push.want, values.list[bestAt]!) < SERVED,
    );
  return [...total.keys()]
    .filter(
      (at) => at !== bestAt && inside[at] === 1 && total[at]! >= WORTH_A_LOOK * total[bestAt]! && better(at),
    )
    .sort((a, b) => total[b]! - total[a]!);
}

function alternativeAt(settled: Settled, at: number, peak: boolean): Alternative {
  const { pulls, total, weight, values, bestAt } = settled;
  const value: FeatureValue = values.list[at]!;
  const best = values.list[bestAt]!;
  const loses = (push: Push) => utilityAt(push.want, best) - utilityAt(push.want, value);
  return {
    value,
    peak,
    utility: weight === 0 ? 1 : total[at]! / weight,
    serves: pulls
      .filter((push) => utilityAt(push.want, value) >= SERVED && utilityAt(push.want, best) < SERVED)
      .map((push) => push.rule),
    costs: pulls
      .filter((push) => loses(push) > 0.05)
      .map((push) => ({ rule: push.rule, loses: loses(push) }))
      .sort((a, b) => b.loses - a.loses),
  };
}

/**
 * Other resolutions of a target whose pushes pull apart: true second peaks of the summed utility first; where the
 * sum has one peak only (a compromise), what each outvoted group asks for. Each with what it costs.
 */
export function alternativesOf(settled: Settled): Alternative[] {
  if (settled.pulls.length < 2) return [];
  if (typeof settled.best === 'string')
    return otherOptions(settled)
      .slice(0, MOST)
      .map((at) => alternativeAt(settled, at, true));
  const peaks = otherPeaks(settled);
  const places = peaks.length > 0 ? peaks : ends(settled);
  return places.slice(0, MOST).map((at) => alternativeAt(settled, at, peaks.length > 0));
}
