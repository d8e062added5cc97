import FitParser from 'fit-file-parser';
import { z } from 'zod';
import { fail, ok, type Result } from '@/core/result/result';
import type { Track, TrackPoint } from '@/core/tracks/track';
import { sportOf } from './sport';

const number = z.number().optional().catch(undefined);
const recordSchema = z.object({
  timestamp: z.coerce.date().optional().catch(undefined),
  position_lat: number,
  position_long: number,
  altitude: number,
  enhanced_altitude: number,
  cadence: number,
});
const fitSchema = z.object({
  records: z.array(recordSchema).default([]),
  sessions: z
    .array(
      z.object({
        sport: z.string().optional().catch(undefined),
        sub_sport: z.string().optional().catch(undefined),
        total_distance: number,
      }),
    )
    .default([]),
});

const pointOf = (record: z.infer<typeof recordSchema>): TrackPoint => ({
  at: record.timestamp ? record.timestamp.getTime() / 1000 : null,
  lat: record.position_lat ?? null,
  lon: record.position_long ?? null,
  ele: record.enhanced_altitude ?? record.altitude ?? null,
  cadence: record.cadence ?? null,
});

/** The activity of a FIT file; a checksum that is wrong or a file that breaks off is an error. */
export async function readFit(bytes: Uint8Array, name: string): Promise<Result<Track[]>> {
  const copy = new Uint8Array(bytes);
  let parsed: unknown;
  try {
    parsed = await new FitParser({ force: false, lengthUnit: 'm', mode: 'list' }).parseAsync(copy.buffer);
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return fail('broken', `${name} cannot be read (${why}).`);
  }
  const fit = fitSchema.safeParse(parsed);
  if (!fit.success || fit.data.records.length === 0) return fail('empty', `${name} holds no records.`);
  const [session] = fit.data.sessions;
  const metres = fit.data.sessions.reduce((sum, { total_distance }) => sum + (total_distance ?? 0), 0);
  return ok([
    {
      name,
      sport: sportOf(session?.sport ?? null),
      isTrail: session?.sub_sport === 'trail',
      points: fit.data.records.map(pointOf),
      deviceKm: metres > 0 ? metres / 1000 : null,
    },
  ]);
}
