import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { keySchema } from '../tables/key-schema';
import { LARGEST_KEPT, LONGEST_PX } from './limits';

export const PHOTOGRAPH_KINDS = {
  rear: 'from behind, on a table',
  sole: 'sole',
  inner: 'inner side',
  outer: 'outer side',
  other: 'another view',
} as const;
export type PhotographKind = keyof typeof PHOTOGRAPH_KINDS;

const spot = z.strictObject({ x: z.number(), y: z.number() });
const line = z.tuple([spot, spot]);
/** Lines placed on a rear view: the table's edge and each shoe's heel. */
export const tiltLinesSchema = z.strictObject({ table: line, left: line.optional(), right: line.optional() });
export type TiltLines = z.infer<typeof tiltLinesSchema>;

/** A length that is known in a picture, mm, and one that is measured against it. */
export const pictureScaleSchema = z.strictObject({
  known: line,
  mm: z.number('Write the length in mm.').min(5, 'At least 5 mm.').max(2000, 'Up to 2000 mm.'),
  measured: line.optional(),
});
export type PictureScale = z.infer<typeof pictureScaleSchema>;

const jpeg = (most: number) =>
  z
    .base64('This is not a picture.')
    .startsWith('/9j/', 'This is not a JPEG picture.')
    .max(Math.ceil((most * 4) / 3), 'This picture is too large.');

export const photographSchema = z.strictObject({
  kind: keySchema<PhotographKind>(PHOTOGRAPH_KINDS),
  takenOn: isoDay,
  width: z.int().min(16).max(LONGEST_PX),
  height: z.int().min(16).max(LONGEST_PX),
  image: jpeg(LARGEST_KEPT),
  thumbnail: jpeg(60_000),
  lines: tiltLinesSchema.optional(),
  scale: pictureScaleSchema.optional(),
});
