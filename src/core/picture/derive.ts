import { BANDS, cutOf } from '../examination/bands';
import { archFlexibility, archHeightIndex, footMobility } from '../examination/posture/arch-height';
import { POSTURE_ITEMS, postureTotal } from '../examination/posture/six-items';
import { MONOFILAMENT_SITES, protectiveSensation } from '../examination/sensation';
import { atRiskCategory } from '../safety/at-risk-category';
import { pittingGrade } from '../swelling/pitting';
import { type ClinicalPicture, type FootFindings, NOT_EXAMINED, numberAt } from './clinical-picture';
import { SIDES, type Side } from './finding-kinds';
import type { FindingId } from './findings';

const ADULT_YEARS = 16;

/** Findings from which others follow; leaving out any other changes nothing but itself. */
export const DERIVED_FROM: ReadonlySet<FindingId> = new Set<FindingId>([
  'ageYears',
  'bodyMass',
  'conditions',
  'injuries',
  'legLengthDifference',
  'legLength',
  'ballWidth',
  'heelWidth',
  'heelBallLength',
  'dorsumHeight',
  'dorsumHeightSeated',
  'dorsumHeightUnloaded',
  'midfootWidth',
  'midfootWidthUnloaded',
  'arch',
  'archIndex',
  'sensation',
  'pulses',
  'bunion',
  'lesserToes',
  'pittingDepth',
  'pittingSeconds',
  'navicularStart',
  'navicularRelaxed',
  'hypermobilitySigns',
  ...POSTURE_ITEMS.map((item) => item.id),
  ...MONOFILAMENT_SITES.map((site) => site.id),
]);

/** Arch class from a measured index where nobody has judged the arch: the print first, then the arch height. */
function archClass(picture: ClinicalPicture, side: Side, standing: number | null): FootFindings['arch'] {
  const entered = picture[side].arch;
  if (entered !== NOT_EXAMINED) return entered;
  const age = picture.body.ageYears;
  if (age === NOT_EXAMINED || age < ADULT_YEARS) return undefined;
  const read = (id: 'archIndex' | 'archHeightIndex', value: number | null) =>
    value === null ? undefined : (cutOf(BANDS[id]!, value).split(' ')[0] as FootFindings['arch']);
  return read('archIndex', numberAt(picture, 'archIndex', side)) ?? read('archHeightIndex', standing);
}

/** A site that is lost counts whatever was said of the foot as a whole; sites that are felt only fill a gap. */
function sensationOf(picture: ClinicalPicture, side: Side): FootFindings['sensation'] {
  const sites = protectiveSensation(MONOFILAMENT_SITES.map((site) => numberAt(picture, site.id, side)));
  if (sites === 'lost' || picture[side].sensation === NOT_EXAMINED) return sites ?? undefined;
  return undefined;
}

function derivedOf(picture: ClinicalPicture, side: Side): FootFindings {
  const at = (id: FindingId) => numberAt(picture, id, side);
  const other = side === 'left' ? 'right' : 'left';
  const with2 = <T>(a: number | null, b: number | null, make: (a: number, b: number) => T): T | null =>
    a === null || b === null ? null : make(a, b);
  const mass = picture.body.bodyMass;
  const standing = with2(at('dorsumHeight'), at('heelBallLength'), archHeightIndex);
  const fall = with2(at('dorsumHeightUnloaded'), at('dorsumHeight'), (free, loaded) => free - loaded);
  const spread = with2(at('midfootWidth'), at('midfootWidthUnloaded'), (loaded, free) => loaded - free);
  const pit = at('pittingDepth');
  return {
    postureTotal: postureTotal(POSTURE_ITEMS.map((item) => at(item.id))) ?? undefined,
    navicularDrop:
      with2(at('navicularStart'), at('navicularRelaxed'), (start, relaxed) => start - relaxed) ?? undefined,
    archHeightIndex: standing ?? undefined,
    archHeightIndexSeated:
      with2(at('dorsumHeightSeated'), at('heelBallLength'), archHeightIndex) ?? undefined,
    archFlexibility:
      mass === NOT_EXAMINED
        ? undefined
        : (with2(at('dorsumHeightSeated'), at('dorsumHeight'), (seated, loaded) =>
            archFlexibility(seated, loaded, mass),
          ) ?? undefined),
    footMobility:
      with2(fall, spread, (dorsumFallMm, spreadMm) => footMobility({ dorsumFallMm, spreadMm })) ?? undefined,
    pittingGrade: pit === null ? undefined : pittingGrade(pit, at('pittingSeconds')),
    ballHeelRatio: with2(at('ballWidth'), at('heelWidth'), (ball, heel) => ball / heel) ?? undefined,
    shorterLeg:
      with2(at('legLength'), numberAt(picture, 'legLength', other), (own, theirs) =>
        own < theirs ? 'yes' : 'no',
      ) ?? undefined,
    arch: archClass(picture, side, standing),
    sensation: sensationOf(picture, side),
  };
}

/**
 * Adds what follows from other findings: indices by arithmetic, the arch class from a measured index and
 * sensation from its sites where nobody has said otherwise, the at-risk category. Derived values are never typed in.
 */
export function deriveFindings(picture: ClinicalPicture): ClinicalPicture {
  const derived: ClinicalPicture = { ...picture };
  const { hypermobilitySigns, legLengthDifference } = picture.body;
  const left = numberAt(picture, 'legLength', 'left');
  const right = numberAt(picture, 'legLength', 'right');
  const write = derived as { -readonly [K in keyof ClinicalPicture]: ClinicalPicture[K] };
  write.body = {
    ...picture.body,
    legLengthDifference:
      legLengthDifference === NOT_EXAMINED && left !== null && right !== null
        ? Math.abs(left - right)
        : legLengthDifference,
    hypermobilityScore: hypermobilitySigns === NOT_EXAMINED ? NOT_EXAMINED : hypermobilitySigns.length,
  };
  for (const side of SIDES) {
    const known = Object.entries(derivedOf(picture, side)).filter(([, value]) => value !== undefined);
    write[side] = { ...picture[side], ...Object.fromEntries(known) } as ClinicalPicture[Side];
  }
  for (const side of SIDES) {
    const category = atRiskCategory(derived, side);
    write[side] = {
      ...write[side],
      atRiskCategory: category.known ? category.category : NOT_EXAMINED,
    };
  }
  return derived;
}
