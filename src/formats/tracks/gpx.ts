import { fail, ok, type Result } from '@/core/result/result';
import type { Track, TrackPoint } from '@/core/tracks/track';
import { sportOf } from './sport';
import { numberAt, readXml, secondsAt, textAt, under } from './xml';

const pointOf = (node: unknown): TrackPoint => ({
  at: secondsAt(node, 'time'),
  lat: numberAt(node, 'lat'),
  lon: numberAt(node, 'lon'),
  ele: numberAt(node, 'ele'),
  cadence: numberAt(node, 'extensions', 'TrackPointExtension', 'cad'),
});

/** Tracks of a GPX 1.0 or 1.1 file. */
export function readGpx(text: string, name: string): Result<Track[]> {
  const tree = readXml(text, name);
  if (!tree.ok) return tree;
  const tracks = under(tree.value, 'gpx').flatMap((gpx) => under(gpx, 'trk'));
  if (tracks.length === 0) return fail('empty', `${name} holds no track.`);
  return ok(
    tracks.map((track, at) => ({
      name: tracks.length === 1 ? name : `${name}, track ${at + 1}`,
      sport: sportOf(textAt(track, 'type')),
      isTrail: /trail/i.test(textAt(track, 'type') ?? ''),
      points: under(track, 'trkseg').flatMap((segment) => under(segment, 'trkpt').map(pointOf)),
      deviceKm: null,
    })),
  );
}
