import { keysOf, mapTable } from '../tables/keys-of';
import type { SheetText, Speech } from '../texts/speech';

/** Headings and captions of a page, kept with the sheet: it is read again in the words in which it was handed over. */
const HEADINGS = {
  why: 'why.title',
  nothingSpecial: 'why.none',
  among: 'why.among',
  soft: 'why.soft',
  firm: 'why.firm',
  bends: 'why.bends',
  stiff: 'why.stiff',
  thisPair: 'why.this',
  fit: 'fit.title',
  changes: 'changes.title',
  lacing: 'lacing.title',
  lacingView: 'lacing.view',
  inner: 'lacing.inner',
  outer: 'lacing.outer',
  closing: 'closure.title',
  breakIn: 'break-in.title',
  socks: 'socks.title',
  care: 'care.title',
  dates: 'dates.title',
  shop: 'shop.title',
  card: 'shop.card',
  stop: 'stop.title',
  left: 'shoe.left',
  right: 'shoe.right',
} as const satisfies Record<string, SheetText>;

export type Heading = keyof typeof HEADINGS;
/** What is written on a page around its lines. */
export const SHEET_WORDS = [
  ...keysOf(HEADINGS),
  'title',
  'for',
  'size',
  'ruler',
  'call',
  'firstUse',
] as const;
export type SheetWords = Record<(typeof SHEET_WORDS)[number], string>;

export const headingsOf = ({ say }: Speech): Record<Heading, string> =>
  mapTable(HEADINGS, (text) => say(text));
