import { fail, ok, type Result } from '@/core/result/result';
import type { Track, TrackPoint } from '@/core/tracks/track';
import { sportOf } from './sport';
import { numberIn, readTags, secondsIn } from './xml';

interface Reading {
  type: string;
  points: TrackPoint[];
}

/** Tracks of a GPX 1.0 or 1.1 file. */
export function readGpx(text: string, name: string): Result<Track[]> {
  const tracks: Reading[] = [];
  let track: Reading | null = null;
  let point: TrackPoint | null = null;
  const read = readTags(text, name, {
    open: (tag, attributes) => {
      if (tag === 'trk') {
        track = { type: '', points: [] };
        tracks.push(track);
      }
      if (tag === 'trkpt')
        point = {
          at: null,
          lat: numberIn(attributes.lat),
          lon: numberIn(attributes.lon),
          ele: null,
          cadence: null,
        };
    },
    close: (tag, value) => {
      if (tag === 'trk') track = null;
      else if (tag === 'type' && track && !point) track.type = value.trim();
      else if (tag === 'trkpt' && track && point) {
        track.points.push(point);
        point = null;
      } else if (point) {
        if (tag === 'time') point.at = secondsIn(value);
        if (tag === 'ele') point.ele = numberIn(value);
        if (tag === 'cad') point.cadence = numberIn(value);
      }
    },
  });
  if (!read.ok) return read;
  if (tracks.length === 0) return fail('empty', `${name} holds no track.`);
  return ok(
    tracks.map(({ type, points }, at) => ({
      name: tracks.length === 1 ? name : `${name}, track ${at + 1}`,
      sport: sportOf(type),
      isTrail: /trail/i.test(type),
      points,
      deviceKm: null,
    })),
  );
}
