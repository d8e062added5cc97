import { fail, ok, type Result } from '@/core/result/result';
import type { Track, TrackPoint } from '@/core/tracks/track';
import { sportOf } from './sport';
import { numberIn, readTags, secondsIn } from './xml';

interface Reading {
  sport: string;
  metres: number;
  points: TrackPoint[];
}

/** What a tag says of a point. */
function intoPoint(point: TrackPoint, tag: string, value: string): void {
  if (tag === 'Time') point.at = secondsIn(value);
  if (tag === 'LatitudeDegrees') point.lat = numberIn(value);
  if (tag === 'LongitudeDegrees') point.lon = numberIn(value);
  if (tag === 'AltitudeMeters') point.ele = numberIn(value);
  if (tag === 'Cadence' || tag === 'RunCadence') point.cadence = numberIn(value);
}

/** Activities of a Training Center file, each with its laps as one. */
export function readTcx(text: string, name: string): Result<Track[]> {
  const activities: Reading[] = [];
  let activity: Reading | null = null;
  let point: TrackPoint | null = null;
  const read = readTags(text, name, {
    open: (tag, attributes) => {
      if (tag === 'Activity') {
        activity = { sport: attributes.Sport ?? '', metres: 0, points: [] };
        activities.push(activity);
      }
      if (tag === 'Trackpoint') point = { at: null, lat: null, lon: null, ele: null, cadence: null };
    },
    close: (tag, value) => {
      if (tag === 'Activity') activity = null;
      else if (tag === 'Trackpoint' && activity && point) {
        activity.points.push(point);
        point = null;
      } else if (point) intoPoint(point, tag, value);
      // Outside of its points it is the distance of a lap.
      else if (tag === 'DistanceMeters' && activity) activity.metres += numberIn(value) ?? 0;
    },
  });
  if (!read.ok) return read;
  if (activities.length === 0) return fail('empty', `${name} holds no activity.`);
  return ok(
    activities.map(({ sport, metres, points }, at) => ({
      name: activities.length === 1 ? name : `${name}, activity ${at + 1}`,
      sport: sportOf(sport),
      isTrail: false,
      points,
      deviceKm: metres > 0 ? metres / 1000 : null,
    })),
  );
}
