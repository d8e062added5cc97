import type { IsoDay } from '../calendar/days';
import { keysOf } from '../tables/keys-of';

/** How the socket feels over the socks that are on. */
export const SOCK_FEELS = {
  right: 'right',
  loose: 'loose',
  pistoning: 'pistoning',
  tight: 'tight',
  pain: 'pain',
} as const;
export type SockFeel = keyof typeof SOCK_FEELS;

/** What makes a limb swell or shrink on a day. */
export const SOCK_TAGS = {
  salt: 'salty meal',
  heat: 'heat',
  'long-walk': 'long walk',
  illness: 'illness',
} as const;
export type SockTag = keyof typeof SOCK_TAGS;
export const SOCK_TAG_IDS = keysOf(SOCK_TAGS);

/** One look at the socks of a day. */
export interface SockEntry {
  /** Local moment, `2030-06-15T17:30`. */
  at: string;
  ply: number;
  /** Absent in what was noted before it was asked. */
  feel?: SockFeel | undefined;
  tags?: readonly SockTag[] | undefined;
}

export const dayOfEntry = ({ at }: Pick<SockEntry, 'at'>): IsoDay => at.slice(0, 10);
/** Hours since midnight. */
export const hourOfEntry = ({ at }: Pick<SockEntry, 'at'>): number =>
  Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60;

/**
 * Entries in the order of their moments, whatever the order in which they came; those that a later one of the same minute corrects are
 * left out, and so is what lies after `now` or before the socket was made.
 */
export function inOrderOfDay<E extends SockEntry>(
  entries: readonly E[],
  { now, socketOn = null }: { now: string; socketOn?: IsoDay | null },
): E[] {
  const byMoment = new Map<string, E>();
  for (const entry of entries)
    if (entry.at <= now && (socketOn === null || dayOfEntry(entry) >= socketOn))
      byMoment.set(entry.at, entry);
  return [...byMoment.values()].toSorted((a, b) => (a.at < b.at ? -1 : 1));
}

/**
 * What an entry says of the ply that the limb needs, with its variance; null where it says nothing of volume. A socket that is right
 * needs what is on to within a rounding; loose and tight, one more or less; pistoning, more than that. Ours.
 */
export function needSaidBy({ ply, feel }: SockEntry): { ply: number; variance: number } | null {
  switch (feel) {
    case undefined:
    case 'right':
      return { ply, variance: 0.25 };
    case 'loose':
      return { ply: ply + 1.2, variance: 0.4 };
    case 'pistoning':
      return { ply: ply + 2.2, variance: 1 };
    case 'tight':
      return { ply: Math.max(0, ply - 1.2), variance: 0.4 };
    case 'pain':
      return null;
  }
}
