import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { localMoment } from '../calendar/local-moment';
import { keySchema } from '../tables/key-schema';
import { SUSPENSIONS, type Suspension } from './drawer';
import { SOCK_FEELS, SOCK_TAG_IDS, type SockFeel } from './sock-log';
import { MOST_PLY, MOST_SOCKS } from './sock-stack';

/** Where a limb ends: what a heavy shoe does to its swing, and what a lean does to its knee, hang on it. */
export const LIMB_LEVELS = {
  'partial-foot': 'partial foot',
  ankle: 'through the ankle',
  'below-knee': 'below the knee',
  knee: 'through the knee',
  'above-knee': 'above the knee',
  hip: 'at the hip',
} as const;
export type LimbLevel = keyof typeof LIMB_LEVELS;

const words = (most: number) => z.string().trim().max(most, `At most ${most} letters.`);

const plySchema = z
  .int('A sock has whole plies.')
  .min(1, 'A sock has 1 ply at the least.')
  .max(MOST_PLY / 2, `A sock has ${MOST_PLY / 2} ply at the most.`);

export const drawerSchema = z
  .array(
    z.strictObject({
      ply: plySchema,
      hole: z.boolean(),
      quantity: z.int('Whole socks.').min(0).max(MOST_SOCKS, `At most ${MOST_SOCKS}.`),
      maker: words(60).optional(),
      colour: words(40).optional(),
    }),
  )
  .max(40, 'At most 40 kinds of socks.')
  .refine((drawer) => drawer.reduce((sum, { quantity }) => sum + quantity, 0) <= MOST_SOCKS, {
    message: `At most ${MOST_SOCKS} socks in all. Is a number wrong?`,
  });

/** The prosthetic side of a person beside what a visit finds. */
export const limbRecordSchema = z.strictObject({
  level: keySchema<LimbLevel>(LIMB_LEVELS).optional(),
  suspension: keySchema<Suspension>(SUSPENSIONS).optional(),
  /** The day the socket was made: socks of an older one say nothing. */
  socketOn: isoDay.optional(),
  /** The foot as its maker calls it. */
  foot: words(120).optional(),
  drawer: drawerSchema,
  /** Days of gait training and prosthetic therapy. */
  therapyOn: z.array(isoDay).max(60, 'At most 60 days.'),
});
export type LimbRecord = z.infer<typeof limbRecordSchema>;
export const EMPTY_LIMB: LimbRecord = { drawer: [], therapyOn: [] };

export const sockEntrySchema = z.strictObject({
  at: localMoment,
  ply: z.int('Whole plies.').min(0, 'At least 0 ply.').max(MOST_PLY, `Up to ${MOST_PLY} ply in all.`),
  feel: keySchema<SockFeel>(SOCK_FEELS).optional(),
  tags: z.array(z.enum(SOCK_TAG_IDS)).max(SOCK_TAG_IDS.length).optional(),
});

export const sockChartSchema = z.strictObject({
  maker: words(60).min(1, 'Name the maker.'),
  colours: z
    .array(z.strictObject({ colour: words(40).min(1, 'Name the colour.'), ply: plySchema }))
    .max(30)
    .refine(
      (colours) => new Set(colours.map(({ colour }) => colour.toLowerCase())).size === colours.length,
      'A colour stands for one ply.',
    ),
});

/** What was decided of a shoe on the table. */
export const TABLE_DECISIONS = {
  approved: 'approved',
  prosthetist: 'to the prosthetist',
  refused: 'not worn',
} as const;
export type TableDecision = keyof typeof TABLE_DECISIONS;

const lean = z.number().min(-45).max(45);
/** A shoe with the prosthesis in it, looked at on the table. */
export const tableCheckSchema = z.strictObject({
  model: z.uuid('Choose the model.'),
  on: isoDay,
  decision: keySchema<TableDecision>(TABLE_DECISIONS),
  riseMm: z.number().min(0).max(120),
  wedgeMm: z.number().min(0, 'At least 0 mm.').max(30, 'Up to 30 mm.'),
  /** Lean as read, degrees forward; absent where it was judged by eye. */
  leanDeg: lean.optional(),
  leanError: z.number().min(0).max(20).optional(),
  /** Lean before the wedge. */
  leanBeforeDeg: lean.optional(),
  note: words(300),
});
export type TableCheck = z.infer<typeof tableCheckSchema>;
