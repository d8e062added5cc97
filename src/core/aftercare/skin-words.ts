import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { PressurePoint } from '../fitting/try-on';
import { isLacedGently } from '../lacing/needs';
import { keysOf } from '../tables/keys-of';
import type { Say } from '../texts/say';

/** Places that are taped before setting out: what rubbed before. */
const knownPlaces = (picture: ClinicalPicture): (keyof typeof FINDINGS.rubbedAt.options)[] =>
  keysOf(FINDINGS.rubbedAt.options).filter((place) =>
    SIDES.some((side) => {
      const { rubbedAt } = picture[side];
      return rubbedAt !== NOT_EXAMINED && rubbedAt.includes(place);
    }),
  );

/** Socks, tape and skin, for the findings of this patient. Common practice (handbook 07). */
export function skinWords(picture: ClinicalPicture, points: readonly PressurePoint[], say: Say): string[] {
  const isSpared = SIDES.some((side) => isLacedGently(picture, side));
  const places = knownPlaces(picture).map((place) => say(`place.${place}`));
  const swells = SIDES.some((side) => picture[side].swelling === 'constant');
  const has = (kind: keyof typeof FINDINGS.skin.options) =>
    SIDES.some((side) => picture[side].skin !== NOT_EXAMINED && picture[side].skin.includes(kind));
  const rubs = points.some(({ kind }) => kind === 'rubs');
  return [
    say('socks.fibre'),
    ...(swells ? [say('socks.compression')] : []),
    ...(isSpared ? [say('socks.never-pad')] : []),
    ...(!isSpared && places.length > 0 ? [say('socks.pad', { places: places.join(', ') })] : []),
    ...(isSpared ? [] : [say('socks.hot-spot')]),
    ...(has('callus') || rubs ? [say('socks.dry-skin')] : []),
    ...(has('nail') ? [say('socks.nails')] : []),
  ];
}
