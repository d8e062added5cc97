import { groupBy } from '../../tables/group-by';
import { keysOf } from '../../tables/keys-of';
import { reproducibility } from './heel-angle';
import { BAREFOOT, type ClipTag, type GaitReading, sameClip } from './readings';

/** What two clips differ in. */
export const COMPARISONS = {
  tired: 'tired against fresh',
  shoe: 'shoe against shoe',
  speed: 'fast against slow',
} as const;
export type Comparison = keyof typeof COMPARISONS;

export interface GaitDifference {
  kind: Comparison;
  side: GaitReading['side'];
  from: ClipTag;
  to: ClipTag;
  /** Peak of the second less peak of the first, degrees. */
  byDeg: number;
  /** Differences under this may be the hand's and the marks': 95 of 100 lie within it, degrees. */
  errorDeg: number;
  isSeen: boolean;
}

/** Standard deviation of one placing where nobody placed a frame twice, degrees: the eye does not see 5°, so two placings may be that far apart. */
const USUAL_SD = 5 / (1.96 * Math.SQRT2);
/** Less than this nobody places, however often a frame is repeated: half a degree is kept. Ours. */
const LEAST_SD = 0.5;
/** Marks on a shoe move 2–4° more than those on skin. From memory, check. */
const ON_A_SHOE_DEG = 3;

/** Placings of one foot in one clip brought together. */
interface Peak {
  tag: ClipTag;
  side: GaitReading['side'];
  mean: number;
  count: number;
}

/** Standard deviation of a placing, pooled over all frames that were placed more than once, degrees. */
export function placingSd(readings: readonly GaitReading[]): number {
  const frames = groupBy(readings, ({ side, event, frame, ...tag }) =>
    [side, event, frame, tag.condition, tag.activity, tag.speedKmh, tag.minutes].join('|'),
  );
  let sum = 0;
  let freedom = 0;
  for (const placed of frames.values()) {
    const { sd, count } = reproducibility(placed.map(({ angleDeg }) => angleDeg));
    if (sd === null) continue;
    sum += sd ** 2 * (count - 1);
    freedom += count - 1;
  }
  return freedom === 0 ? USUAL_SD : Math.max(LEAST_SD, Math.sqrt(sum / freedom));
}

function peaksOf(readings: readonly GaitReading[]): Peak[] {
  const peaks: Peak[] = [];
  for (const reading of readings) {
    if (reading.event !== 'peak') continue;
    const { side, angleDeg } = reading;
    const known = peaks.find((peak) => peak.side === side && sameClip(peak.tag, reading));
    if (known) {
      known.mean += (angleDeg - known.mean) / (known.count + 1);
      known.count += 1;
    } else {
      const { condition, activity, speedKmh, minutes } = reading;
      peaks.push({ tag: { condition, activity, speedKmh, minutes }, side, mean: angleDeg, count: 1 });
    }
  }
  return peaks;
}

/** Which one thing two clips of a foot differ in; null where it is none or more than one. */
function comparisonOf(a: ClipTag, b: ClipTag): Comparison | null {
  const shoe = a.condition !== b.condition;
  const tired = (a.minutes ?? 0) !== (b.minutes ?? 0);
  const speed = a.activity !== b.activity || a.speedKmh !== b.speedKmh;
  if (Number(shoe) + Number(tired) + Number(speed) !== 1) return null;
  return shoe ? 'shoe' : tired ? 'tired' : 'speed';
}

const PACE = { walk: 0, run: 1 } as const;

/** The clip that the other is held against: barefoot, fresh, slow. */
const comesFirst = (a: ClipTag, b: ClipTag): boolean =>
  (a.minutes ?? 0) !== (b.minutes ?? 0)
    ? (a.minutes ?? 0) < (b.minutes ?? 0)
    : a.activity !== b.activity
      ? PACE[a.activity] < PACE[b.activity]
      : a.speedKmh !== b.speedKmh
        ? (a.speedKmh ?? 0) < (b.speedKmh ?? 0)
        : a.condition === BAREFOOT || (b.condition !== BAREFOOT && a.condition < b.condition);

/**
 * Clips of the same foot that differ in one thing, held against each other: fresh and tired, slow and fast, each shoe with each
 * other. A difference within its error is none that was seen.
 */
export function gaitDifferences(readings: readonly GaitReading[]): GaitDifference[] {
  const sd = placingSd(readings);
  const peaks = peaksOf(readings);
  const found = peaks.flatMap((first, at) =>
    peaks.slice(at + 1).flatMap((second): GaitDifference[] => {
      const kind = first.side === second.side ? comparisonOf(first.tag, second.tag) : null;
      if (kind === null) return [];
      const [from, to] = comesFirst(first.tag, second.tag) ? [first, second] : [second, first];
      const placing = 1.96 * sd * Math.sqrt(1 / from.count + 1 / to.count);
      const onShoe =
        (from.tag.condition === BAREFOOT) !== (to.tag.condition === BAREFOOT) ? ON_A_SHOE_DEG : 0;
      const errorDeg = Math.hypot(placing, onShoe);
      const byDeg = to.mean - from.mean;
      return [
        {
          kind,
          side: from.side,
          from: from.tag,
          to: to.tag,
          byDeg,
          errorDeg,
          isSeen: Math.abs(byDeg) > errorDeg,
        },
      ];
    }),
  );
  const order = keysOf(COMPARISONS);
  return found.toSorted(
    (a, b) => order.indexOf(a.kind) - order.indexOf(b.kind) || (a.side < b.side ? -1 : 1),
  );
}

/** How it went in a clip: `running 11 km/h, after 20 min`. */
export const paceInWords = ({ activity, speedKmh, minutes }: Omit<ClipTag, 'condition'>): string =>
  [
    `${activity === 'run' ? 'running' : 'walking'}${speedKmh === undefined ? '' : ` ${speedKmh} km/h`}`,
    minutes === undefined || minutes === 0 ? '' : `after ${minutes} min`,
  ]
    .filter(Boolean)
    .join(', ');

/** A clip in a few words: `Pair A, running 11 km/h, after 20 min`. */
export const clipInWords = (tag: ClipTag): string => `${tag.condition}, ${paceInWords(tag)}`;

/** What a difference says: `no difference seen (1° ± 5°)`, or how far it moves. */
export function differenceInWords({ byDeg, errorDeg, isSeen }: GaitDifference): string {
  const degrees = (value: number) => `${String(Math.round(Math.abs(value) * 2) / 2)}°`;
  const error = `± ${degrees(errorDeg)}`;
  if (!isSeen) return `no difference seen (${byDeg < 0 ? '−' : ''}${degrees(byDeg)} ${error})`;
  return `turns ${degrees(byDeg)} ${byDeg > 0 ? 'further out' : 'less far out'} (${error})`;
}
