import type { FootFindingId } from '../findings/findings';

/** Sites of the 10 g filament; three questions each, at least one of them without a touch. */
export const MONOFILAMENT_SITES = [
  { id: 'monofilamentBigToe', site: 'pulp of the big toe' },
  { id: 'monofilamentFirstHead', site: 'first metatarsal head' },
  { id: 'monofilamentFifthHead', site: 'fifth metatarsal head' },
] as const satisfies readonly { id: FootFindingId; site: string }[];

/**
 * Protective sensation of a foot from correct answers of three at each site: lost where a site has at most one,
 * felt where every site has two or more, unknown while a site is missing and none is lost.
 * IWGDF practical guidelines, from memory.
 */
export function protectiveSensation(correct: readonly (number | null)[]): 'felt' | 'lost' | null {
  if (correct.some((answers) => answers !== null && answers <= 1)) return 'lost';
  return correct.every((answers) => answers !== null) ? 'felt' : null;
}
