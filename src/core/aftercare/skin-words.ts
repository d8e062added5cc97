import type { BreakInInput } from '../break-in/plan';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import { isLacedGently } from '../lacing/needs';
import type { SOCKS } from '../sizing/size-wish';
import { keysOf } from '../tables/keys-of';
import type { Say } from '../texts/speech';
import type { Wearer } from './wearer';

/** Where and how the pair is worn, as far as socks depend on it. */
export interface SockUse {
  /** Worn in heat, in the wet. */
  heat: boolean;
  wet: boolean;
  /** The pair was sized for. */
  sock?: keyof typeof SOCKS | undefined;
  outings: BreakInInput['outings'];
  events: BreakInInput['events'];
}

/** Days that a pair of wool socks is worn on a trip before it is changed for a dry one (“several”, handbook 07). */
const DAYS_A_PAIR = 3;
/** More than these a pack does not need: they are washed. Ours. */
const MOST_SPARE_PAIRS = 3;

/** Places that are taped before setting out: what rubbed before. */
const knownPlaces = (picture: ClinicalPicture): (keyof typeof FINDINGS.rubbedAt.options)[] =>
  keysOf(FINDINGS.rubbedAt.options).filter((place) =>
    SIDES.some((side) => {
      const { rubbedAt } = picture[side];
      return rubbedAt !== NOT_EXAMINED && rubbedAt.includes(place);
    }),
  );

/** Which socks, how thick, and how many for the days ahead. Common practice (handbook 07). */
export function sockWords(use: SockUse, tryOn: TryOn | null, say: Say): string[] {
  const isSnug = SIDES.some((side) => tryOn?.[side]?.widthFit === 'tight');
  return [
    say('socks.fibre'),
    ...(use.sock === 'thick' ? [say('socks.thick')] : isSnug ? [say('socks.thin')] : []),
    ...(use.heat ? [say('socks.heat')] : []),
    ...(use.wet ? [say('socks.wet')] : []),
    ...use.events
      .filter(({ days }) => days > 1)
      .map(({ name, days }) =>
        say('socks.trip', {
          name,
          days,
          count: Math.min(MOST_SPARE_PAIRS, Math.max(1, Math.ceil(days / DAYS_A_PAIR) - 1)),
        }),
      ),
  ];
}

/** Skin, tape and nails, for the findings of this patient. Common practice (handbook 07). */
export function skinWords(
  picture: ClinicalPicture,
  tryOn: TryOn | null,
  use: SockUse,
  wearer: Wearer,
  say: Say,
): string[] {
  const isSpared = SIDES.some((side) => isLacedGently(picture, side));
  const places = knownPlaces(picture).map((place) => say(`place.${place}`));
  const swells = SIDES.some((side) => picture[side].swelling === 'constant');
  const has = (kind: keyof typeof FINDINGS.skin.options) =>
    SIDES.some((side) => picture[side].skin !== NOT_EXAMINED && picture[side].skin.includes(kind));
  const rubs = tryOn?.points?.some(({ kind }) => kind === 'rubs') ?? false;
  const goesLong = use.events.length > 0 || use.outings.some(({ isLong }) => isLong);
  return [
    ...(swells ? [say('socks.compression')] : []),
    ...(isSpared ? [say('socks.never-pad')] : []),
    ...(!isSpared && places.length > 0 ? [say('socks.pad', { places: places.join(', ') })] : []),
    ...(isSpared ? [] : [say('socks.hot-spot')]),
    ...(goesLong ? [say(isSpared ? 'socks.carry-spared' : 'socks.carry')] : []),
    ...(wearer.isAtRisk ? [say('socks.evening'), say('socks.dry-between')] : []),
    ...(wearer.hasProsthesis ? [say('socks.limb')] : []),
    ...(has('callus') || rubs ? [say('socks.dry-skin')] : []),
    ...(has('nail') ? [say('socks.nails')] : []),
  ];
}
