import { z } from 'zod';
import { FELT, type Felt } from '../break-in/answers';
import { isoDay } from '../calendar/iso-day';
import { localMoment } from '../calendar/local-moment';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import type { SpotPlace } from '../hot-spot/causes';
import { FILM, LARGEST_KEPT } from '../photograph/limits';
import { sockEntrySchema } from '../prosthesis/limb-record';
import { SOCK_FEELS, SOCK_TAGS } from '../prosthesis/sock-log';
import { GIRTH_MEASURES } from '../swelling/course';
import { keySchema } from '../tables/key-schema';
import { HOME_SIGNS, type HomeSign } from './warnings';

const spot = z.strictObject({ side: z.enum(SIDES), place: keySchema<SpotPlace>(FINDINGS.rubbedAt.options) });
const score = (most: number) => z.number().min(0).max(most);

/** What a photograph from home is of. `print`: a wet print of a foot beside a sheet of known size. */
export const HOME_PICTURES = {
  wear: 'wear of the pair',
  skin: 'skin',
  print: 'wet print of a foot',
} as const;
export type HomePicture = keyof typeof HOME_PICTURES;

const jpeg = z.base64('This is not a picture.').startsWith('/9j/', 'This is not a JPEG picture.');

/** What somebody says from home, by kind. A photograph comes as JPEG in base64. */
export const homeContentSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('outing'),
    felt: keySchema<Felt>(FELT),
    gaitChanged: z.boolean(),
    marks: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('use'), amount: score(500) }),
  z.strictObject({ kind: z.literal('comfort'), comfort: score(100), pain: score(10).optional() }),
  z.strictObject({ kind: z.literal('ache'), spots: z.array(spot).min(1).max(20), pain: score(10) }),
  z.strictObject({ kind: z.literal('blister'), spot, isOpen: z.boolean() }),
  z.strictObject({
    kind: z.literal('warning'),
    signs: z.array(keySchema<HomeSign>(HOME_SIGNS)).min(1).max(7),
  }),
  z.strictObject({
    kind: z.literal('picture'),
    of: keySchema<HomePicture>(HOME_PICTURES),
    image: jpeg.max(Math.ceil((LARGEST_KEPT * 4) / 3), 'This picture is too large.'),
  }),
  z.strictObject({
    kind: z.literal('clip'),
    perSecond: z.number().min(5).max(240),
    frames: z
      .array(jpeg)
      .min(2, 'A film has two pictures at least.')
      .max(FILM.mostFrames, 'This film is too long.')
      .refine(
        (frames) => frames.reduce((sum, { length }) => sum + length, 0) <= FILM.largest,
        'This film is too large.',
      ),
  }),
  z.strictObject({ kind: z.literal('socks'), ...sockEntrySchema.omit({ at: true }).shape }),
  z.strictObject({
    kind: z.literal('girth'),
    side: z.enum(SIDES),
    measure: z.enum(GIRTH_MEASURES),
    mm: z.number().min(100).max(900),
  }),
  z.strictObject({ kind: z.literal('new-pair'), name: z.string().trim().min(1).max(120) }),
]);
export type HomeContent = z.infer<typeof homeContentSchema>;

/** One thing that was said, with the number that the phone gave it and the moment on the phone's clock. */
export const homeReportSchema = z.strictObject({
  id: z.uuid(),
  /** The pair it is about; null where it is about none. */
  pair: z.uuid().nullable(),
  /** The day it is of, in the time of the phone. */
  on: isoDay,
  /** Local moment, for what changes through a day. */
  at: localMoment,
  content: homeContentSchema,
});
export type HomeReport = z.infer<typeof homeReportSchema>;

/** What is kept of a report: its picture lies beside it. */
export type KeptContent =
  | Exclude<HomeContent, { kind: 'picture' | 'clip' }>
  | Omit<Extract<HomeContent, { kind: 'picture' }>, 'image'>
  | (Omit<Extract<HomeContent, { kind: 'clip' }>, 'frames'> & { count: number });
/** As it is stored. */
export interface StoredReport {
  at: string;
  content: KeptContent;
  /** What it is against the days before, where that asks for somebody. */
  against?: string;
}

/**
 * Whether somebody at the clinic has to act: a warning sign, open skin, an outing that stops a pair.
 *
 * @param stopsAtFirst feet at which the first mark or soreness stops the pair
 */
export function isHomeWarning(content: KeptContent, stopsAtFirst: boolean): boolean {
  switch (content.kind) {
    case 'warning':
      return true;
    case 'blister':
      return content.isOpen || stopsAtFirst;
    case 'socks':
      return content.feel === 'pain';
    case 'outing':
      return (
        content.felt === 'severe' ||
        content.gaitChanged ||
        (stopsAtFirst && (content.marks || content.felt === 'mild'))
      );
    default:
      return false;
  }
}

const SCORES = (pain: number | undefined): string => (pain === undefined ? '' : `, pain ${pain} of 10`);

const FELT_WORDS: Readonly<Record<Felt, string>> = FELT;
const GIRTH_WORDS = { figureOfEight: 'figure of eight', ankleGirth: 'ankle', calfGirth: 'calf' } as const;

/** What was said, as the clinic reads it in one line. @example 'blister, left heel; skin open' */
export function reportInWords(content: KeptContent, unit = ''): string {
  const at = ({ side, place }: z.infer<typeof spot>) => `${side} ${FINDINGS.rubbedAt.options[place]}`;
  switch (content.kind) {
    case 'outing':
      return [
        `outing: ${FELT_WORDS[content.felt]}`,
        ...(content.gaitChanged ? ['walked differently'] : []),
        ...(content.marks ? ['red marks stayed'] : []),
      ].join('; ');
    case 'use':
      return `used ${content.amount} ${unit}`.trim();
    case 'comfort':
      return `comfort ${content.comfort} of 100${SCORES(content.pain)}`;
    case 'ache':
      return `aches: ${content.spots.map(at).join(', ')}${SCORES(content.pain)}`;
    case 'blister':
      return `blister or sore spot: ${at(content.spot)}${content.isOpen ? '; skin open' : ''}`;
    case 'warning':
      return content.signs.map((sign) => HOME_SIGNS[sign]).join(', ');
    case 'picture':
      return `photograph: ${HOME_PICTURES[content.of]}`;
    case 'clip':
      return `film from behind, ${content.count} pictures`;
    case 'socks':
      return [
        `socks: ${content.ply} ply${content.feel ? `, ${SOCK_FEELS[content.feel]}` : ''}`,
        ...(content.tags ?? []).map((tag) => SOCK_TAGS[tag]),
      ].join('; ');
    case 'girth':
      return `${content.side} ${GIRTH_WORDS[content.measure]}: ${content.mm} mm`;
    case 'new-pair':
      return `bought: ${content.name}`;
  }
}

/** A stored report in one line, with what it is against the days before. */
export const storedInWords = ({ content, against }: StoredReport, unit = ''): string =>
  against
    ? `${reportInWords(content, unit)}; ${against[0]!.toLowerCase()}${against.slice(1)}`
    : reportInWords(content, unit);
