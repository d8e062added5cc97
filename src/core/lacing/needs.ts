import { SITES } from '../body-map/sites';
import { atRiskCategory } from '../examination/at-risk-category';
import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import type { SpotPlace } from '../hot-spot/causes';
import type { FoundCauses } from '../hot-spot/found';

/** What a foot asks of its lacing. */
export const LACING_NEEDS = [
  'heel-slips',
  'instep-pressed',
  'big-toe-joint',
  'forefoot-tight',
  'big-toe-nail',
  'other-nails',
  'swells',
  'slides-forward',
] as const;
export type LacingNeedKind = (typeof LACING_NEEDS)[number];

export interface LacingNeed {
  kind: LacingNeedKind;
  /** Of a pressed instep: how far up the throat it lies, 0 the lowest eyelets to 1 the highest. */
  share?: number;
  /** Of a big-toe joint: a large bunion needs more eyelets left out. */
  isLarge?: boolean;
}

/** Where the throat begins and ends on the drawing of a foot from above, in its units. Ours. */
const THROAT = { from: 82, to: 152 };
const INSTEP_SITES: ReadonlySet<string> = new Set(['instep', 'midfoot']);
const USUAL_INSTEP_SHARE = 0.75;

const shareOf = (y: number): number =>
  Math.min(1, Math.max(0, (y - THROAT.from) / (THROAT.to - THROAT.from)));

/** Where over the instep it presses; null where nothing says so. */
function instepShare(picture: ClinicalPicture, side: Side, tryOn: TryOn | null): number | null {
  const point = tryOn?.points?.find(
    ({ side: of, view, site, kind }) =>
      of === side && view === 'top' && kind !== 'gapes' && INSTEP_SITES.has(site),
  );
  if (point) return shareOf(point.y);
  const { pain, rubbedAt } = picture[side];
  if (tryOn?.[side]?.instep === 'presses') return USUAL_INSTEP_SHARE;
  if (rubbedAt !== NOT_EXAMINED && rubbedAt.includes('instep')) return USUAL_INSTEP_SHARE;
  if (pain !== NOT_EXAMINED && pain.includes('midfoot'))
    return shareOf(SITES.find(({ id }) => id === 'midfoot')!.y);
  return null;
}

/** What the findings and the fitting ask of the lacing of one foot. Common practice (handbook 07); what is read from where is ours. */
export function lacingNeeds(
  picture: ClinicalPicture,
  side: Side,
  tryOn: TryOn | null,
  found: FoundCauses = {},
): LacingNeed[] {
  const foot = picture[side];
  const fit = tryOn?.[side];
  const has = <T>(list: readonly T[] | typeof NOT_EXAMINED, value: T) =>
    list !== NOT_EXAMINED && list.includes(value);
  const causes = Object.values(found);
  /** What rubs somewhere speaks for itself only until it was looked into. */
  const rubs = (place: SpotPlace) => has(foot.rubbedAt, place) && found[place] === undefined;
  const needs: LacingNeed[] = [];
  if (
    fit?.heelSlip === 'slight' ||
    fit?.heelSlip === 'clear' ||
    rubs('heel-back') ||
    causes.includes('heel-slips')
  )
    needs.push({ kind: 'heel-slips' });
  const share = instepShare(picture, side, tryOn);
  if (share !== null) needs.push({ kind: 'instep-pressed', share });
  const joint =
    (foot.bunion !== NOT_EXAMINED && foot.bunion !== 'none') ||
    has(foot.pain, 'big-toe') ||
    tryOn?.points?.some(
      ({ side: of, site, kind }) =>
        of === side && kind !== 'gapes' && (site === 'bunion' || site === 'big-toe'),
    );
  if (joint) needs.push({ kind: 'big-toe-joint', isLarge: foot.bunion === 'severe' });
  if (fit?.widthFit === 'tight' || rubs('outer-edge') || causes.includes('too-narrow'))
    needs.push({ kind: 'forefoot-tight' });
  if (has(foot.skin, 'nail')) needs.push({ kind: 'big-toe-nail' });
  else if (has(foot.rubbedAt, 'toe-tips')) needs.push({ kind: 'other-nails' });
  if (foot.swelling === 'changes' || foot.swelling === 'constant') needs.push({ kind: 'swells' });
  if (
    fit?.midfootHold === 'loose' ||
    (rubs('ball') && fit?.widthFit !== 'tight') ||
    causes.includes('slides-forward')
  )
    needs.push({ kind: 'slides-forward' });
  return needs;
}

/** A foot that does not feel or heal well, or thin skin, is never laced firmly. */
export function isLacedGently(picture: ClinicalPicture, side: Side): boolean {
  const risk = atRiskCategory(picture, side);
  const { skin } = picture[side];
  return (risk.known && risk.category > 0) || (skin !== NOT_EXAMINED && skin.includes('fragile'));
}
