import { fail, type Result } from '@/core/result/result';
import { measureTrack } from '@/core/tracks/measure';
import type { Outing, Track } from '@/core/tracks/track';
import { ungzip } from './archive';
import { readFit } from './fit';
import { readGpx } from './gpx';
import { readOutingsCsv } from './outings-csv';
import { readTcx } from './tcx';

export interface ReadSettings {
  /** Seconds since 1970. */
  now: number;
  /** Length of a step, m; null where none was stated. */
  stepM: number | null;
}

const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

async function tracksOf(bytes: Uint8Array, name: string): Promise<Result<Track[]> | null> {
  if (/\.gpx$/i.test(name)) return readGpx(textOf(bytes), name);
  if (/\.tcx$/i.test(name)) return readTcx(textOf(bytes), name);
  if (/\.fit$/i.test(name)) return readFit(bytes, name);
  return null;
}

/** Outings of one file of whatever kind; each that cannot be measured is an error of its own. */
export async function readOutings(
  bytes: Uint8Array,
  name: string,
  { now, stepM }: ReadSettings,
): Promise<Result<Outing>[]> {
  if (/\.gz$/i.test(name)) {
    const plain = ungzip(bytes, name);
    return plain.ok ? readOutings(plain.value, name.replace(/\.gz$/i, ''), { now, stepM }) : [plain];
  }
  if (/\.csv$/i.test(name)) {
    const read = readOutingsCsv(textOf(bytes), name, stepM);
    return read.ok ? read.value.map((value) => ({ ok: true, value })) : [read];
  }
  const tracks = await tracksOf(bytes, name);
  if (tracks === null)
    return [fail('kind', `${name}: GPX, TCX, FIT, CSV, or a ZIP archive of them can be read.`)];
  return tracks.ok ? tracks.value.map((track) => measureTrack(track, now)) : [tracks];
}
