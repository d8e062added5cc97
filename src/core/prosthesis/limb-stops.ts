import { dayOf } from '../calendar/days';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { FeatureValues } from '../shoe/features';
import type { LimbRecord } from './limb-record';
import { prostheticFootOf, readerOnFoot, verdictOnFoot } from './on-this-foot';
import { type ProsthesisSettings, USUAL_PROSTHESIS } from './settings';
import { holdsBack } from './training';

interface LimbFacts {
  startedAt: string;
  limb: LimbRecord | null;
  house: { settings: { prosthesis?: ProsthesisSettings | undefined } };
}

/** Why a new pair waits at a visit; null where nothing speaks against it. */
export function limbHold(picture: ClinicalPicture, { startedAt, limb, house }: LimbFacts): string | null {
  const { prosthesisMonths: months } = picture.body;
  return holdsBack(
    prostheticFootOf(picture),
    months === NOT_EXAMINED ? null : months,
    limb?.therapyOn ?? [],
    dayOf(startedAt),
    (house.settings.prosthesis ?? USUAL_PROSTHESIS).firstWeeks,
  );
}

/**
 * What stands against handing a pair to somebody with a prosthesis: how it stands on this foot, what nobody has measured, the first
 * weeks and therapy. A reason with the verdict answers all of it but a shoe that nobody may walk on.
 */
export function limbStops(
  { because }: { because?: string | undefined },
  model: { features: FeatureValues },
  picture: ClinicalPicture,
  facts: LimbFacts,
): string[] {
  const foot = prostheticFootOf(picture);
  if (!foot) return [];
  const on = readerOnFoot(foot, facts.house.settings.prosthesis)(model);
  if (on.shank?.verdict === 'do-not-walk') return [on.shank.sentence];
  if (because?.trim()) return [];
  const hold = limbHold(picture, facts);
  const verdict = verdictOnFoot(on);
  const stops = [
    ...on.refusals,
    ...(verdict === 'prosthetist' && on.shank ? [on.shank.sentence] : []),
    ...(verdict === 'measure' ? on.checks.slice(0, 1) : []),
    ...(hold ? [hold] : []),
  ];
  return stops.map((stop) => `${stop} Take another, or write why with the verdict.`);
}
