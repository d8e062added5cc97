import type { SignStrengths } from '../../signs/signs';
import { inspectedLife, type SeenAt, spentOnce } from '../inspected-life';
import type { LifeDistribution } from '../life-schools';
import { isTakenForSpent } from '../verdict';
import type { KnownPair } from './observation';

/**
 * What the last look at a pair says of how far it lasted; null where nobody looked, or nobody could tell.
 *
 * @param looks oldest first
 */
export function lastLookOf(
  life: LifeDistribution,
  looks: readonly SeenAt[],
  strengths: SignStrengths = {},
): KnownPair['lastLook'] {
  const last = looks.at(-1);
  if (!last) return null;
  const isSpent = isTakenForSpent({ spent: spentOnce(inspectedLife(life, looks, strengths), last.used) });
  return isSpent === null ? null : { used: last.used, isSpent };
}
