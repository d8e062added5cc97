import { type CarryAnswer, carrySet } from './carry';
import { learnDayCurve, type PlyAt } from './day-curve';
import { dayOfEntry, hourOfEntry, inOrderOfDay, type SockEntry } from './sock-log';
import { bestStacks, MOST_PLY, type SockKind } from './sock-stack';

export interface SockDayInput {
  entries: readonly SockEntry[];
  drawer: readonly SockKind[];
  /** Only socks with a hole can be worn; null where nobody said how the prosthesis is held. */
  needsHole: boolean | null;
  /** Skin of the limb that is broken or sore, or a warning sign that nobody has dealt with. */
  hasWarning: boolean;
  /** Day on which the socket was made. */
  socketOn: string | null;
  /** Local moment. */
  now: string;
}

/** What to do now. `stop`: no advice on ply but to stop and be seen. */
export type SockStep =
  | { kind: 'stop'; because: 'pain' | 'warning' }
  | { kind: 'add' | 'take-off'; by: number; to: number; socks: number[] | null }
  | { kind: 'none-left' }
  | { kind: 'stay' }
  | { kind: 'no-look' };

export interface SockDay {
  step: SockStep;
  /** Ply that is on, by the latest look of today. */
  worn: number | null;
  /** Rest of the day by the hour; empty where too little is known. */
  curve: PlyAt[];
  /** Whole plies between which the rest of the day lies eight times of ten. */
  range: { from: number; to: number } | null;
  carry: CarryAnswer | null;
}

/** A change is one to three ply at a time (handbook 06). */
const MOST_AT_ONCE = 3;
/** The day is foretold until then, or so many hours on for whoever is up late. */
const NIGHT = 22;
const HOURS_AHEAD = 2;
/** An older look says nothing of now. Ours. */
const LOOK_LASTS_HOURS = 3;

/**
 * The socks of today: what to change now, what the rest of the day will ask for, and what to take along. Pain, broken skin and warning
 * signs leave only stop and be seen (handbook 06).
 */
export function sockDay(input: SockDayInput): SockDay {
  const { drawer, now, socketOn } = input;
  const entries = inOrderOfDay(input.entries, { now, socketOn });
  const latest = entries.at(-1);
  const today = dayOfEntry({ at: now });
  const ofToday = latest && dayOfEntry(latest) === today ? latest : undefined;
  const worn = ofToday?.ply ?? null;
  if (input.hasWarning || latest?.feel === 'pain')
    return {
      step: { kind: 'stop', because: latest?.feel === 'pain' ? 'pain' : 'warning' },
      worn,
      curve: [],
      range: null,
      carry: null,
    };
  const curve = restOfDay(entries, now, ofToday);
  const range =
    curve.length === 0
      ? null
      : {
          from: Math.round(Math.min(...curve.map(({ low }) => low))),
          to: Math.min(MOST_PLY, Math.round(Math.max(...curve.map(({ high }) => high)))),
        };
  const needsHole = input.needsHole ?? false;
  const usable = drawer.filter(({ hole }) => hole || !needsHole);
  const step = stepNow(ofToday, curve[0], now, usable);
  const on =
    step.kind === 'add' || step.kind === 'take-off' ? step.to : (worn ?? Math.round(curve[0]?.mean ?? 0));
  const carried = range && carrySet({ drawer, worn: stackFor(usable, on) ?? [], range, needsHole });
  return { step, worn, curve, range, carry: carried?.ok ? carried.value : null };
}

function restOfDay(entries: readonly SockEntry[], now: string, ofToday: SockEntry | undefined): PlyAt[] {
  const learned = learnDayCurve(entries);
  if (!learned) return [];
  const from = hourOfEntry({ at: now });
  const until = Math.max(NIGHT, Math.min(24, from + HOURS_AHEAD));
  const hours = [from];
  for (let hour = Math.floor(from) + 1; hour <= until; hour += 1) hours.push(hour);
  return learned.at(dayOfEntry({ at: now }), hours, ofToday?.tags ?? []);
}

const stackFor = (usable: readonly SockKind[], ply: number): number[] | null =>
  bestStacks(usable, MOST_PLY)[ply] ?? null;

function stepNow(
  look: SockEntry | undefined,
  soon: PlyAt | undefined,
  now: string,
  usable: readonly SockKind[],
): SockStep {
  if (!look) return { kind: 'no-look' };
  const change = changeOf(look, soon, now);
  if (change === 0) return { kind: 'stay' };
  if (change < 0 && look.ply === 0) return { kind: 'none-left' };
  const to = Math.min(MOST_PLY, Math.max(0, look.ply + change));
  if (to === look.ply) return { kind: 'stay' };
  return {
    kind: change > 0 ? 'add' : 'take-off',
    by: Math.abs(to - look.ply),
    to,
    socks: stackFor(usable, to),
  };
}

/** Ply to add, less than none to take off: what was felt says which way, what was learned how far. */
function changeOf({ ply, feel, at }: SockEntry, soon: PlyAt | undefined, now: string): number {
  const learned = soon ? Math.round(soon.mean - ply) : 0;
  switch (feel) {
    case 'loose':
    case 'pistoning':
      return Math.min(MOST_AT_ONCE, Math.max(1, learned));
    case 'tight':
      return Math.max(-MOST_AT_ONCE, Math.min(-1, learned));
    default: {
      // What was right a while ago stays so unless the day surely asks for another number by now.
      const isOld = hourOfEntry({ at: now }) - hourOfEntry({ at }) >= LOOK_LASTS_HOURS;
      const isSure = soon !== undefined && (soon.low > ply + 0.5 || soon.high < ply - 0.5);
      return isOld && isSure ? Math.max(-MOST_AT_ONCE, Math.min(MOST_AT_ONCE, learned)) : 0;
    }
  }
}
