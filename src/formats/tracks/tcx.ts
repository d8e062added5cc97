import { fail, ok, type Result } from '@/core/result/result';
import type { Track, TrackPoint } from '@/core/tracks/track';
import { sportOf } from './sport';
import { first, numberAt, readXml, secondsAt, textAt, under } from './xml';

const pointOf = (node: unknown): TrackPoint => ({
  at: secondsAt(node, 'Time'),
  lat: numberAt(node, 'Position', 'LatitudeDegrees'),
  lon: numberAt(node, 'Position', 'LongitudeDegrees'),
  ele: numberAt(node, 'AltitudeMeters'),
  cadence: numberAt(node, 'Extensions', 'TPX', 'RunCadence') ?? numberAt(node, 'Cadence'),
});

/** Activities of a Training Center file, each with its laps as one. */
export function readTcx(text: string, name: string): Result<Track[]> {
  const tree = readXml(text, name);
  if (!tree.ok) return tree;
  const activities = under(first(tree.value, 'TrainingCenterDatabase', 'Activities'), 'Activity');
  if (activities.length === 0) return fail('empty', `${name} holds no activity.`);
  return ok(
    activities.map((activity, at) => {
      const laps = under(activity, 'Lap');
      const metres = laps.reduce<number>((sum, lap) => sum + (numberAt(lap, 'DistanceMeters') ?? 0), 0);
      return {
        name: activities.length === 1 ? name : `${name}, activity ${at + 1}`,
        sport: sportOf(textAt(activity, 'Sport')),
        isTrail: false,
        points: laps.flatMap((lap) =>
          under(lap, 'Track').flatMap((track) => under(track, 'Trackpoint').map(pointOf)),
        ),
        deviceKm: metres > 0 ? metres / 1000 : null,
      };
    }),
  );
}
