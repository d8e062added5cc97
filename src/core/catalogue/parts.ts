import type { ShoeModel } from './model';

/** A catalogue falls into two to the power of so many parts at the most. */
export const MOST_PART_BITS = 6;
/** Models of a part, about: it is read within a frame, and one change sends no more than this again. Ours. */
const MODELS_OF_PART = 800;

/** The parts of a catalogue with what each of them holds at present, and the version of what fittings taught of it. */
export interface CatalogueParts {
  bits: number;
  models: number;
  /** Those that hold any model, ascending: their models follow each other in the order of identifiers. */
  parts: { part: number; version: string }[];
  learned: string;
}

/** How many bits of an identifier say to which part a model belongs. */
export function partBits(models: number): number {
  let bits = 0;
  while (bits < MOST_PART_BITS && models > MODELS_OF_PART * 2 ** bits) bits += 1;
  return bits;
}

/** The identifiers of a part lie between these two, both included. */
export function idsOfPart(bits: number, part: number): { from: string; to: string } {
  const first = part * 2 ** (8 - bits);
  const last = first + 2 ** (8 - bits) - 1;
  const id = (byte: number, digit: string) =>
    `${byte.toString(16).padStart(2, '0')}${digit.repeat(6)}-${[4, 4, 4, 12].map((count) => digit.repeat(count)).join('-')}`;
  return { from: id(first, '0'), to: id(last, 'f') };
}

/** What a list of the catalogue opens with before the rest of it has come. */
export interface CatalogueStart {
  /** The first of those still made, by maker and name. */
  first: ShoeModel[];
  models: number;
  /** How many are still made. */
  current: number;
}
