import type { ShankLines } from '../photograph/shank-lines';
import { tiltOf } from '../photograph/tilt';
import { leanOf } from './shank-alignment';

/** How a shank stands in a shoe on the table. */
export interface ShankOnTable {
  /** Degrees; positive leans forward. */
  leanDeg: number;
  /** What placing the lines is worth, one standard deviation. */
  error: number;
}

/**
 * Lean of a shank in a photograph from the side, against the table.
 *
 * @param toes which way they point in the picture
 * @param widthPx of the picture
 * @returns null where a line has no length
 */
export function shankOnTable(
  { table, pylon }: ShankLines,
  toes: 'left' | 'right',
  widthPx: number,
): ShankOnTable | null {
  const tilt = tiltOf(table, pylon, widthPx);
  return tilt && { leanDeg: toes === 'right' ? tilt.degrees : -tilt.degrees, error: tilt.error };
}

export interface SetRiseRead {
  /** The heel rise that a foot would be set for that stands so in this shoe, mm, and half the width of its 95 % interval. */
  setMm: number;
  within: number;
  /** Whether what is stated cannot be meant. */
  contradicts: boolean;
  sentence: string;
}

/** How surely the heights of a shoe are measured, mm, one standard deviation. Ours. */
const RISE_ERROR_MM = 1;
const Z_95 = 1.96;

/**
 * What set rise would explain a lean: shoe rise − lever × tan(lean), by arithmetic. A lean says nothing of its cause: where what is stated
 * contradicts it, the foot may be set otherwise or the alignment above it may be off. Nothing is overwritten.
 *
 * @param wedgeMm under the heel while the picture was taken
 */
export function setRiseFrom(
  { leanDeg, error }: ShankOnTable,
  { riseMm, wedgeMm, leverMm }: { riseMm: number; wedgeMm: number; leverMm: number },
  statedMm: number | null,
): SetRiseRead {
  const radians = Math.PI / 180;
  const setMm = riseMm + wedgeMm - leverMm * Math.tan(leanDeg * radians);
  const within =
    Z_95 * Math.hypot((leverMm * error * radians) / Math.cos(leanDeg * radians) ** 2, RISE_ERROR_MM);
  const contradicts = statedMm !== null && Math.abs(setMm - statedMm) > within;
  const read = `A foot set for ${setMm.toFixed(1)} ± ${within.toFixed(1)} mm would stand so.`;
  const sentence =
    statedMm === null
      ? `${read} Nobody has stated what it is set for.`
      : contradicts
        ? `${read} Stated are ${statedMm} mm: measure the foot, or its alignment is the cause.`
        : `${read} That agrees with the ${statedMm} mm stated.`;
  return { setMm, within, contradicts, sentence };
}

/** Lean in words. @example '2.1° ± 0.3° forward' */
export function leanInWords({ leanDeg, error }: ShankOnTable): string {
  const size = `${Math.abs(leanDeg).toFixed(1)}°${error > 0 ? ` ± ${error.toFixed(1)}°` : ''}`;
  if (Math.abs(leanDeg) <= Math.max(2 * error, 0.05)) return `upright (${size})`;
  return `${size} ${leanDeg > 0 ? 'forward' : 'back'}`;
}

/** The lean that is expected of a shoe, to lay beside the one that is seen, degrees. */
export const expectedLean = (riseMm: number, setMm: number, leverMm: number): number =>
  leanOf(riseMm - setMm, leverMm);
