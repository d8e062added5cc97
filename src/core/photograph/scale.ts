import { type Line, lengthOf, placingErrorPx } from './tilt';

/** A length that is known in a picture, mm, and one that is measured against it. */
export interface KnownLength {
  known: Line;
  mm: number;
  measured?: Line | undefined;
}

/**
 * A length in a picture against one that is known there, mm, with what placing the ends of both lines is worth, one standard
 * deviation. Both must lie at the same distance from the camera: what lies nearer measures too long.
 *
 * @param widthPx of the picture
 * @returns null where a line has no length
 * @example lengthIn({ mm: 297, known: [{x:0,y:0},{x:594,y:0}] }, [{x:0,y:9},{x:100,y:9}], 1200) // { mm: 50, error: … }
 */
export function lengthIn(
  { known, mm }: Pick<KnownLength, 'known' | 'mm'>,
  measured: Line,
  widthPx: number,
): { mm: number; error: number } | null {
  const [whole, part] = [lengthOf(known), lengthOf(measured)];
  if (whole < 1 || part < 1) return null;
  const placed = placingErrorPx(widthPx);
  const length = (part / whole) * mm;
  return { mm: length, error: length * Math.hypot(placed / whole, placed / part) };
}

/** `62 ± 1 mm`, or null where nothing was measured. */
export function lengthInWords(scale: KnownLength, widthPx: number): string | null {
  const length = scale.measured && lengthIn(scale, scale.measured, widthPx);
  return length ? `${Math.round(length.mm)} ± ${Math.max(1, Math.round(length.error))} mm` : null;
}
