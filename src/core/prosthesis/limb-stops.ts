import { dayOf } from '../calendar/days';
import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { Modification } from '../modification/modification';
import type { FeatureValues } from '../shoe/features';
import type { LimbRecord } from './limb-record';
import { prostheticFootOf, readerOnFoot } from './on-this-foot';
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

/** What lies under the heel of a side by the changes of a pair, mm. */
export const liftUnder = (
  modifications: readonly Pick<Modification, 'kind' | 'side' | 'amount'>[],
  side: Side,
): number =>
  modifications.reduce(
    (sum, { kind, side: of, amount }) =>
      kind === 'heel-lift' && (of === side || of === 'both') ? sum + (amount ?? 0) : sum,
    0,
  );

/** One thing that stands against a pair, and whether it is put right in the changes of the pair or with another shoe. */
export interface LimbStop {
  at: 'pair' | 'changes';
  message: string;
}

/**
 * What stands against handing a pair to somebody with a prosthesis: how it stands on this foot with what is put under its heel, what
 * nobody has measured, the first weeks and therapy. A reason with the verdict answers all of it but a shoe that nobody may walk on.
 *
 * @param modifications of the pair: a wedge that the foot needs stands among them as a lift inside
 */
export function limbStops(
  { because }: { because?: string | undefined },
  model: { features: FeatureValues },
  modifications: readonly Modification[],
  picture: ClinicalPicture,
  facts: LimbFacts,
): LimbStop[] {
  const foot = prostheticFootOf(picture);
  if (!foot) return [];
  const { refusals, checks, shank } = readerOnFoot(foot, facts.house.settings.prosthesis)(
    model,
    liftUnder(modifications, foot.side),
  );
  if (shank?.verdict === 'do-not-walk') return [{ at: 'pair', message: shank.sentence }];
  if (because?.trim()) return [];
  const hold = limbHold(picture, facts);
  const stops = [
    ...refusals.map(({ sentence }) => sentence),
    ...(shank?.verdict === 'prosthetist' && !shank.refused ? [shank.sentence] : []),
    ...(shank ? [] : checks.slice(0, 1)),
    ...(hold ? [hold] : []),
  ];
  return [
    ...stops.map(
      (stop): LimbStop => ({
        at: 'pair',
        message: `${stop} Take another, or write why with the verdict.`,
      }),
    ),
    ...(shank?.wedgeMm
      ? [
          {
            at: 'changes',
            message: `${shank.sentence} Put ${Math.round(shank.wedgeMm * 10) / 10} mm as a lift inside, ${foot.side}, among the changes.`,
          } as const,
        ]
      : []),
  ];
}
