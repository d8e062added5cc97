import type { ShoeModel } from '../catalogue/model';
import { NOT_EXAMINED, type Picture } from '../findings/picture';
import { neighbourInWords } from '../findings/sports';
import { SPORT_NAMES } from '../sports/sport-names';
import { isKeyOf } from '../tables/keys-of';

/** How far off a model is that was made for another sport than the one that is played; empty where it is made for none, or for that one. */
export function otherSportInWords(picture: Picture, { features }: Pick<ShoeModel, 'features'>): string {
  const { sports } = picture.body;
  const madeFor = String(features.madeForSport ?? 'none');
  return sports === NOT_EXAMINED || !isKeyOf(SPORT_NAMES, madeFor) ? '' : neighbourInWords(sports, madeFor);
}
