import { median } from 'simple-statistics';
import { fail, ok, type Result } from '../result/result';
import type { Outing, OutingNote, Track, TrackPoint } from './track';

/** Mean radius of the earth, m (IUGG 1980, from memory). */
const EARTH_M = 6_371_008.8;
/** Faster than this, m/s, is a jump of the position, a car or a ferry. Ours: the fastest sprint is near 12. */
const FASTEST = 12.5;
/** A pause of the position from here on is said, s. Ours. */
const GAP_SECONDS = 60;
/** A height counts as climbed once it lies so much higher, m: less is the noise of the device. Ours. */
const CLIMB_M = 4;
/** Climb on a kilometre from which a way is taken for one off the road, m. Ours. */
const HILLY_M = 35;
/** Before that no such device existed: 2000-01-01. */
const FIRST_SECOND = 946_684_800;
const DAY_SECONDS = 86_400;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

interface Fix {
  at: number | null;
  lat: number;
  lon: number;
  ele: number | null;
}

/** Metres between two places over the sphere (haversine). */
export function metresBetween(a: { lat: number; lon: number }, b: { lat: number; lon: number }): number {
  const h =
    Math.sin(radians(b.lat - a.lat) / 2) ** 2 +
    Math.cos(radians(a.lat)) * Math.cos(radians(b.lat)) * Math.sin(radians(b.lon - a.lon) / 2) ** 2;
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
}

const isPlace = ({ lat, lon }: TrackPoint): boolean =>
  lat !== null &&
  lon !== null &&
  Math.abs(lat) <= 90 &&
  Math.abs(lon) <= 180 &&
  // Where a device has no fix yet it writes the middle of the chart.
  !(lat === 0 && lon === 0);

/** Points in the order of time, without those at which the clock went back. */
function inTime(points: readonly TrackPoint[]): { kept: TrackPoint[]; dropped: number } {
  let last = Number.NEGATIVE_INFINITY;
  const kept = points.filter(({ at }) => {
    if (at === null) return true;
    if (at < last) return false;
    last = at;
    return true;
  });
  return { kept, dropped: points.length - kept.length };
}

interface Length {
  metres: number;
  tooFast: number;
  gap: number;
}

/** How far it is from fix to fix; what is faster than anybody runs is not counted. */
function lengthOf(fixes: readonly Fix[]): Length {
  const sum: Length = { metres: 0, tooFast: 0, gap: 0 };
  let last = fixes[0];
  for (const fix of fixes.slice(1)) {
    if (!last) break;
    const metres = metresBetween(last, fix);
    const seconds = last.at !== null && fix.at !== null ? fix.at - last.at : null;
    last = fix;
    if (seconds !== null && metres > FASTEST * Math.max(1, seconds)) {
      sum.tooFast += metres;
      continue;
    }
    if (seconds !== null && seconds >= GAP_SECONDS) sum.gap += metres;
    sum.metres += metres;
  }
  return sum;
}

/** Metres climbed, the noise of the heights left out; null where there are no heights. */
function ascentOf(fixes: readonly Fix[]): number | null {
  const heights = fixes.flatMap(({ ele }) => ele ?? []);
  if (heights.length < 2) return null;
  let climbed = 0;
  let low = heights[0]!;
  for (const height of heights) {
    if (height - low >= CLIMB_M) {
      climbed += height - low;
      low = height;
    } else if (height < low) low = height;
  }
  return Math.round(climbed);
}

/**
 * A track as an outing: how far, when, how steep, at which cadence.
 *
 * @param now seconds since 1970: a clock that is ahead of it was wrong
 */
export function measureTrack(track: Track, now: number): Result<Outing> {
  const { kept, dropped } = inTime(track.points);
  const placed = kept.filter(isPlace);
  const fixes = placed.flatMap(({ at, lat, lon, ele }) =>
    lat === null || lon === null ? [] : [{ at, lat, lon, ele }],
  );
  const times = kept.flatMap(({ at }) => at ?? []);
  const [from] = times;
  const to = times.at(-1);
  const length = lengthOf(fixes);
  // A file without places, or with places for the lesser part of it, is as long as its device says.
  const isByDevice = track.deviceKm !== null && fixes.length < Math.max(2, kept.length / 2);
  if (!isByDevice && fixes.length < 2)
    return fail('no-positions', `${track.name}: no positions and no distance are in it.`);
  const km = isByDevice && track.deviceKm !== null ? track.deviceKm : length.metres / 1000;
  const ascentM = ascentOf(fixes);
  const cadences = kept.flatMap(({ cadence }) => (cadence !== null && cadence > 0 ? [cadence] : []));
  const isDated = from !== undefined && to !== undefined && from >= FIRST_SECOND && to <= now + DAY_SECONDS;
  const notes: OutingNote[] = [
    ...(isDated ? [] : [{ kind: 'no-day' } as const]),
    ...(isByDevice ? [{ kind: 'device-distance' } as const] : []),
    ...(dropped > 0 ? [{ kind: 'clock-went-back', points: dropped } as const] : []),
    ...(!isByDevice && kept.length > placed.length
      ? [{ kind: 'no-position', points: kept.length - placed.length } as const]
      : []),
    ...(!isByDevice && length.tooFast >= 1
      ? [{ kind: 'too-fast', metres: Math.round(length.tooFast) } as const]
      : []),
    ...(!isByDevice && length.gap >= 1 ? [{ kind: 'gap', metres: Math.round(length.gap) } as const] : []),
  ];
  return ok({
    name: track.name,
    sport: track.sport,
    from: isDated ? from : null,
    to: isDated ? to : null,
    km,
    ascentM,
    cadence: cadences.length > 0 ? Math.round(median(cadences)) : null,
    surface: track.isTrail || (ascentM !== null && km > 0 && ascentM / km >= HILLY_M) ? 'trail' : 'road',
    notes,
  });
}
