import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, findingAt, numberAt } from '../findings/picture';

/** What goes into a shoe on one foot. */
export interface Insert {
  kind: 'insole' | 'orthosis' | 'brace' | 'filler';
  /** Thickness under heel and forefoot, mm; null where nobody measured it. */
  heelMm: number | null;
  forefootMm: number | null;
  widthMm: number | null;
}

/** What goes in on a side; null where nothing does. A foot that lost its front is filled. */
export function insertOf(picture: ClinicalPicture, side: Side): Insert | null {
  const kind = findingAt(picture, 'insert', side);
  const measured = {
    heelMm: numberAt(picture, 'insertHeel', side),
    forefootMm: numberAt(picture, 'insertForefoot', side),
    widthMm: numberAt(picture, 'insertWidth', side),
  };
  if (kind === 'insole' || kind === 'orthosis' || kind === 'brace') return { kind, ...measured };
  const injuries = picture[side].injuries;
  return Array.isArray(injuries) && injuries.includes('amputation') && picture.body.prosthesisSide !== side
    ? { kind: 'filler', ...measured }
    : null;
}
