import type { Side } from '../findings/finding-kinds';
import type { AnyFindingValue, FootFindingId } from '../findings/findings';
import type { ClinicalPicture } from '../findings/picture';
import { type BodyMark, findingsOfMarks, type Layer } from './mark';

/** One finding of a side and what it becomes; undefined: not examined. */
export interface Followed {
  id: FootFindingId;
  value: AnyFindingValue | undefined;
}

const SETS: Record<Layer, 'pain' | 'injuries' | 'skin'> = { ache: 'pain', injury: 'injuries', skin: 'skin' };

const list = (value: unknown): string[] => (Array.isArray(value) ? (value as string[]) : []);

/**
 * Findings of one side after the marks of a layer have changed: what the marks say now, and what had been said
 * without a mark. A list that loses its last entry goes back to “not examined”, not to “none”; a score typed
 * without a mark stays.
 *
 * @param forget an entry that is taken back although no mark stood for it
 */
export function followMarks(
  layer: Layer,
  side: Side,
  now: ClinicalPicture[Side],
  before: readonly BodyMark[],
  after: readonly BodyMark[],
  forget: string | null = null,
): Followed[] {
  const was = findingsOfMarks(before, side);
  const is = findingsOfMarks(after, side);
  const id = SETS[layer];
  const unmarked = list(now[id]).filter((entry) => !list(was[id]).includes(entry) && entry !== forget);
  const entries = [...new Set([...unmarked, ...list(is[id])])];
  const followed: Followed[] = [{ id, value: entries.length > 0 ? entries : undefined }];
  if (layer === 'skin') {
    const untouched = list(now.rubbedAt).filter((entry) => !list(was.rubbedAt).includes(entry));
    const places = [...new Set([...untouched, ...list(is.rubbedAt)])];
    return [...followed, { id: 'rubbedAt', value: places.length > 0 ? places : undefined }];
  }
  if (layer !== 'ache') return followed;
  const typed = typeof now.worstPain === 'number' && was.worstPain === undefined ? now.worstPain : undefined;
  return [...followed, { id: 'worstPain', value: is.worstPain ?? typed }];
}
