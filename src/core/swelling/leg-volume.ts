import { fail, ok, type Result } from '../result/result';
import { parseLength } from '../units/length';

/** Girths up a leg at equal spacing, from the ankle upwards. */
export interface GirthLadder {
  girthsMm: readonly number[];
  spacingMm: number;
}

/**
 * Volume of a leg between its lowest and highest girth by truncated cones, ml: V = Σ h (C₁² + C₁C₂ + C₂²) / 12π.
 * Not valid for foot and ankle. By arithmetic; Casley-Smith 1994, from memory.
 *
 * @example legVolume({ girthsMm: [280, 300], spacingMm: 40 }) // 267.8 ml
 */
export function legVolume({ girthsMm, spacingMm }: GirthLadder): Result<number> {
  if (girthsMm.length < 2) return fail('too-few', 'At least two girths make a volume.');
  if (!(spacingMm >= 10 && spacingMm <= 150))
    return fail('spacing', 'Girths are taken 10 to 150 mm apart (usually 40).');
  let cubicMm = 0;
  for (let at = 1; at < girthsMm.length; at += 1) {
    const lower = girthsMm[at - 1]!;
    const upper = girthsMm[at]!;
    cubicMm += (spacingMm * (upper ** 2 + upper * lower + lower ** 2)) / (12 * Math.PI);
  }
  return ok(cubicMm / 1000);
}

const MOST_GIRTHS = 20;

/**
 * Girths typed in a row with a space, comma or semicolon between, `214 226 240`, millimetres. Decimal points only:
 * a comma parts two girths.
 */
export function parseGirths(text: string): Result<number[]> {
  const parts = text.split(/[\s,;]+/).filter(Boolean);
  const girths: number[] = [];
  for (const part of parts) {
    const read = parseLength(part);
    if (!read.ok || read.value < 100 || read.value > 900)
      return fail('girth', `“${part}” is not a girth: numbers from 100 to 900 mm with a space between.`);
    girths.push(read.value);
  }
  return girths.length > MOST_GIRTHS ? fail('too-many', `At most ${MOST_GIRTHS} girths a leg.`) : ok(girths);
}

/** Affected side against the other, %: 100 · (affected − reference) / reference. */
export const volumeDifference = (affectedMl: number, referenceMl: number): number =>
  (100 * (affectedMl - referenceMl)) / referenceMl;

export type VolumeBand =
  | 'within 5 %'
  | 'early: 5–10 %'
  | 'over 10 %'
  | 'moderate: 20–40 %'
  | 'severe: over 40 %';

/**
 * Bands of a side difference in volume. 5, 10 and 20 belong to the band above them save that “over 10 %” excludes 10.
 * ISL 2020, Lymphology 53:3–19, and the 10 % convention, from memory, check.
 */
export function volumeBand(percent: number): VolumeBand {
  const away = Math.abs(percent);
  if (away < 5) return 'within 5 %';
  if (away <= 10) return 'early: 5–10 %';
  if (away < 20) return 'over 10 %';
  return away <= 40 ? 'moderate: 20–40 %' : 'severe: over 40 %';
}
