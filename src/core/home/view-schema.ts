import { z } from 'zod';
import { SIDES } from '../findings/finding-kinds';
import { DOOR_WORDS, INSIDE_WORDS } from './home-words';

const lines = z.array(z.string());
const part = z.object({ title: z.string(), lines });

/** Places on a foot that can be pressed. Written out: the phone loads no table of findings for it. */
export const HOME_PLACES = [
  'toe-tips',
  'between-toes',
  'knuckles',
  'ball',
  'arch',
  'instep',
  'heel-back',
  'outer-edge',
  'inner-edge',
  'ankle',
] as const;

const pairSchema = z.object({
  id: z.string(),
  title: z.string(),
  size: z.string(),
  /** What its use is counted in. */
  use: z.enum(['km', 'hours', 'days']),
  breakIn: z
    .object({
      title: z.string(),
      weeks: z.array(z.object({ label: z.string(), from: z.string(), share: z.number(), text: z.string() })),
      lines,
      /** What each of the coming days asks. */
      days: z.array(z.object({ on: z.string(), text: z.string() })),
      isSore: z.boolean(),
    })
    .nullable(),
  lacing: z.object({
    title: z.string(),
    shoes: z.array(z.object({ label: z.string(), steps: lines })),
    after: lines,
  }),
  /** The first advice for a spot at a place of each foot; null where none is given. */
  advice: z.record(z.enum(SIDES), z.record(z.enum(HOME_PLACES), z.string()).nullable()),
  /** What matters in it; the numbers are those on its drawing. */
  why: part,
  dates: part,
  stop: part,
});
export type HomePair = z.infer<typeof pairSchema>;

/** All that the patient's own page shows, in the patient's language: the phone keeps it and needs nothing else. */
export const homeViewSchema = z.object({
  language: z.string(),
  direction: z.enum(['ltr', 'rtl']),
  words: z.record(z.enum([...DOOR_WORDS, ...INSIDE_WORDS]), z.string()),
  link: z.string(),
  patient: z.string(),
  clinic: z.string(),
  phone: z.string(),
  /** Moment at which it was made. */
  madeAt: z.string(),
  /** The day as people write it. */
  madeOn: z.string(),
  stopNow: z.string(),
  call: z.string(),
  /** Socks of today; null where no limb is worn. */
  limb: z
    .object({
      now: z.string(),
      isStop: z.boolean(),
      later: z.string().nullable(),
      carry: z.string().nullable(),
      worn: z.number().nullable(),
    })
    .nullable(),
  swells: z.boolean(),
  pairs: z.array(pairSchema),
});
export type HomeView = z.infer<typeof homeViewSchema>;

/** Drawings of a pair as markup that the server draws: the shoe, and its laces in the order of the shoes. */
export const homePicturesSchema = z.record(z.string(), z.object({ shoe: z.string(), lacing: lines }));

/** What the phone gets, and keeps. */
export const homePageSchema = z.object({ view: homeViewSchema, pictures: homePicturesSchema });
export type HomePage = z.infer<typeof homePageSchema>;
