import { atRiskCategory } from '../examination/at-risk-category';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { type Findings, NOT_EXAMINED, type Picture } from '../findings/picture';
import { keysOf } from '../tables/keys-of';
import { type Activity, SERVES, SURFACES_OF, type Use, usesServing } from './serves';

/** One pair that is asked for: the purposes that it can serve together. */
export interface AskedPair {
  /** The first of its activities; names the pair within its visit. */
  id: Activity;
  activities: readonly Activity[];
  /** `road running and walking`. */
  label: string;
  /** Why it is a pair of its own beside the others, or asked for at all; empty where there is one pair. */
  because: string;
}

const ACTIVITIES = keysOf(FINDINGS.activities.options);
const nameOf = (activity: Activity): string => FINDINGS.activities.options[activity];

/** A use must serve each purpose of a pair at least so well for the purposes to share it. Ours. */
const SHARED = 0.6;

/** How well a use serves the worst served of some purposes. */
const servesAll = (use: Use, activities: readonly Activity[]): number =>
  Math.min(...activities.map((activity) => SERVES[activity][use] ?? 0));

const canShare = (activities: readonly Activity[]): boolean =>
  // A therapeutic shoe serves much, but is only for whom a finding asks for it.
  usesServing(activities[0]!).some((use) => use !== 'therapeutic' && servesAll(use, activities) >= SHARED);

/** Purposes that an ordinary day is covered by. */
const EVERY_DAY: readonly Activity[] = ['everyday', 'walking', 'standing-work', 'protective-work'];

/** An at-risk foot, or one that nobody tested in somebody who has diabetes or neuropathy: unknown is not normal. */
const isAtRisk = (picture: Picture): boolean => {
  const { conditions } = picture.body;
  const mayBe =
    conditions !== NOT_EXAMINED && conditions.some((entry) => entry === 'diabetes' || entry === 'neuropathy');
  return SIDES.some((side) => {
    const answer = atRiskCategory(picture, side);
    const { sensation } = picture[side];
    return (
      sensation === 'lost' || (mayBe && sensation === NOT_EXAMINED) || (answer.known && answer.category >= 1)
    );
  });
};

/**
 * The pairs that a patient needs for what the shoes are for: purposes share a pair where one kind of shoe serves them
 * all, and each that excludes the others has its own. Empty while nobody has said what the shoes are for.
 */
export function pairsAskedFor(picture: Picture): AskedPair[] {
  const said = picture.body.activities;
  if (said === NOT_EXAMINED || said.length === 0) return [];
  // An at-risk foot is in a fitting shoe all day: a dress pair alone leaves the rest of the day uncovered.
  const uncovered =
    said.includes('dress') && !said.some((activity) => EVERY_DAY.includes(activity)) && isAtRisk(picture);
  const asked = uncovered ? [...said, 'everyday' as const] : said;
  const groups: Activity[][] = [];
  for (const activity of ACTIVITIES.filter((entry) => asked.includes(entry))) {
    const group = groups.find((entry) => canShare([...entry, activity]));
    if (group) group.push(activity);
    else groups.push([activity]);
  }
  return groups.map((activities): AskedPair => {
    const label = activities.map(nameOf).join(' and ');
    const because =
      groups.length === 1
        ? ''
        : uncovered && activities.includes('everyday')
          ? 'An at-risk foot needs its own pair for the rest of the day.'
          : 'No shoe for the other purposes serves this one.';
    return { id: activities[0]!, activities, label, because };
  });
}

/** The pair under work: the one that was picked, else the first; null while no purpose is known. */
export const pairAt = (pairs: readonly AskedPair[], picked: string | undefined): AskedPair | null =>
  pairs.find(({ id }) => id === picked) ?? pairs[0] ?? null;

/**
 * What is known, as it concerns one pair: its purposes, and the grounds on which it is worn. A ground that belongs to
 * another pair alone is left to that pair.
 */
export function findingsForPair(
  findings: Findings,
  pair: AskedPair | null,
  pairs: readonly AskedPair[],
): Findings {
  if (!pair || pairs.length === 1) return findings;
  const surfaces = findings.body?.surfaces;
  const of = (entry: AskedPair) => entry.activities.flatMap((activity) => SURFACES_OF[activity]);
  const own = new Set(of(pair));
  const others = new Set(pairs.filter((entry) => entry !== pair).flatMap(of));
  return {
    ...findings,
    body: {
      ...findings.body,
      activities: [...pair.activities],
      ...(surfaces
        ? { surfaces: surfaces.filter((surface) => own.has(surface) || !others.has(surface)) }
        : {}),
    },
  };
}
