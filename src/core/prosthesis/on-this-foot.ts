import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED, numberAt } from '../findings/picture';
import type { FeatureId, FeatureValues } from '../shoe/features';
import { USUAL_ROOM } from '../shoe/room';
import type { LimbLevel } from './limb-record';
import { ALIGNMENT_TOLERANCE, type ShankAnswer, type ShankTolerance, shankAnswer } from './shank-alignment';

/** A prosthetic foot as far as a shoe meets it. */
export interface ProstheticFoot {
  side: Side;
  /** Heel rise that it is set for, mm; null while nobody has measured it. */
  setRiseMm: number | null;
  /** Heel–ball length, mm. */
  leverMm: number | null;
  /** Where its heel point lies from the back, mm. */
  heelAtMm: number | null;
  /** Inner length of the shoe that it is put into, mm: its own with the usual room; null where nobody measured it. */
  innerMm: number | null;
  /** Highest rise that its ankle can be set for, mm; null where the ankle is fixed, or nobody said. */
  ankleToMm: number | null;
}

/** What a shoe does to the swing of the leg. */
export interface Swing {
  massG: number;
  /** The joint that swings it: the knee, or the hip of whoever has no knee of their own. */
  joint: 'knee' | 'hip';
  /** Moment of inertia of the shoe about that joint, kg·cm²: mass × distance². */
  inertia: number;
  /** Per cent more or less than a shoe of the usual mass. */
  percent: number;
}

/** Why a shoe is not for a foot, and the feature that it lies in. */
export interface Refusal {
  feature: FeatureId;
  sentence: string;
}

/** One shoe on one prosthetic foot. */
export interface OnFoot {
  /** Height of the heel over the ball at the foot's own points, mm; null where the shoe does not state it. */
  riseMm: number | null;
  /** Between which it lies with the insole taken out, mm; null where none comes out. */
  riseOutMm: { from: number; to: number } | null;
  /** Null until the set rise is known. */
  shank: ShankAnswer | null;
  /** Why it is not for this foot; empty where nothing speaks against it. */
  refusals: Refusal[];
  /** What to look at before it is worn. */
  checks: string[];
  swing: Swing | null;
}

/** Joint to shoe, cm. Ours: about a quarter and half of a height of 1.72 m. */
export const SWINGS_CM = { knee: 43, hip: 86 } as const;
/** Mass of a usual shoe, g (the vocabulary's). */
const USUAL_MASS_G = 290;

/** Where heel and forefoot stack are measured, share of the inner length: centre of the heel and ball. Common practice. */
const HEEL_AT = 0.12;
const BALL_AT = 0.73;

/** Heel–ball length of a foot that nobody measured, mm: the millimetres are judged all the same (handbook 06, its example). */
const USUAL_LEVER_MM = 180;

/** The thickest wedge that a counter holds, by its grade from none to rigid, mm. Ours. */
const HELD_BY_COUNTER = [0, 4, 7, 10, 10] as const;
/** Grades of the vocabulary from where a shoe is a boot, and up to where its sides are soft. */
const BOOT_FROM = 2;
const SOFT_UP_TO = 1.5;
/** Highest heel of a boot or a dress shoe for a stiff foot, mm: an inch. Ours. */
const LOW_HEEL_MM = 25;

/** The prosthetic foot of a picture; null where there is none. */
export function prostheticFootOf(picture: ClinicalPicture): ProstheticFoot | null {
  const { body } = picture;
  const side = body.prosthesisSide;
  if (side !== 'left' && side !== 'right') return null;
  const length = numberAt(picture, 'footLength', side);
  const known = (value: number | typeof NOT_EXAMINED): number | null =>
    value === NOT_EXAMINED ? null : value;
  return {
    side,
    setRiseMm: known(body.prosthesisSetRise),
    leverMm: known(body.prosthesisLever),
    heelAtMm: known(body.prosthesisHeelAt),
    innerMm: length === null ? null : length + USUAL_ROOM.wished,
    ankleToMm: body.prosthesisAnkle === 'adjustable' ? known(body.prosthesisAnkleTo) : null,
  };
}

/**
 * Height of the heel over the ball where the foot itself stands: heel and forefoot stack, straight between the places where they are
 * measured and level beyond. Without the foot's length or points it is the drop as stated.
 */
export function riseUnder(
  { drop, heelStack, forefootStack }: FeatureValues,
  { heelAtMm, leverMm, innerMm }: Pick<ProstheticFoot, 'heelAtMm' | 'leverMm' | 'innerMm'>,
): number | null {
  const stated =
    typeof heelStack === 'number' && typeof forefootStack === 'number'
      ? heelStack - forefootStack
      : typeof drop === 'number'
        ? drop
        : null;
  if (stated === null || heelAtMm === null || leverMm === null || innerMm === null) return stated;
  const share = (mm: number) => Math.min(1, Math.max(0, (mm / innerMm - HEEL_AT) / (BALL_AT - HEEL_AT)));
  return stated * (share(heelAtMm + leverMm) - share(heelAtMm));
}

/** The thickest wedge that heel depth and counter of a shoe hold, mm: nothing without a counter or a closure that holds the heel down. */
function wedgeHeldBy({ heelCounter, closure }: FeatureValues): number | undefined {
  if (closure === 'slip-on') return 0;
  if (typeof heelCounter !== 'number') return undefined;
  return HELD_BY_COUNTER[Math.min(4, Math.max(0, Math.round(heelCounter) - 1))];
}

const isBoot = ({ collarHeight }: FeatureValues): boolean =>
  typeof collarHeight === 'number' && collarHeight >= BOOT_FROM;

/** What no prosthetic foot is put into (handbook 06). */
function refusalsOf(features: FeatureValues, shank: ShankAnswer | null): Refusal[] {
  const { closure, upperFirmness, heelKind, heelHeight, heelStack } = features;
  const height = heelHeight ?? heelStack;
  const refusals: Refusal[] = [];
  const refuse = (feature: FeatureId, sentence: string) => refusals.push({ feature, sentence });
  if (shank?.refused) refuse('drop', shank.sentence);
  if (closure === 'slip-on') refuse('closure', 'A slip-on does not hold a foot that cannot grip.');
  if (typeof upperFirmness === 'number' && upperFirmness < SOFT_UP_TO)
    refuse('upperFirmness', 'Soft sides give way around a foot that does not bend.');
  if (heelKind === 'slender') refuse('heelKind', 'A slender heel tips the shank forward and slips.');
  if (isBoot(features)) {
    if (closure !== 'zip') refuse('closure', 'A boot without a side zip: a stiff foot does not go in.');
    if (heelKind !== 'flat' && typeof height === 'number' && height > LOW_HEEL_MM)
      refuse('heelHeight', `A boot with a heel of ${height} mm: only with a low one.`);
  }
  return refusals;
}

function checksOf(foot: ProstheticFoot, features: FeatureValues, riseMm: number | null): string[] {
  const checks: string[] = [];
  if (foot.setRiseMm === null)
    checks.push('Measure first: the heel rise that the foot is set for is not stated.');
  else if (foot.leverMm === null)
    checks.push(`Measure the foot’s heel–ball length: until then degrees are those of ${USUAL_LEVER_MM} mm.`);
  if (riseMm === null) checks.push('Measure this shoe: neither its drop nor its heights are stated.');
  if (isBoot(features) && features.closure === 'zip')
    checks.push('A boot hangs its mass far from the knee: try the swing.');
  return checks;
}

/** The joint that swings a leg of this level. */
export const swingsFrom = (level: LimbLevel | null | undefined): Swing['joint'] =>
  level === 'knee' || level === 'above-knee' || level === 'hip' ? 'hip' : 'knee';

/** A mass at the shoe as the leg feels it in swing: about its joint, mass × distance². By arithmetic. */
export function swingOf(massG: number, joint: Swing['joint'] = 'knee'): Swing {
  return {
    massG,
    joint,
    inertia: (massG / 1000) * SWINGS_CM[joint] ** 2,
    percent: (100 * (massG - USUAL_MASS_G)) / USUAL_MASS_G,
  };
}

/**
 * How shoes stand on one prosthetic foot: the rise at the foot's own points, the lean it gives the shank, the wedge that helps, and why
 * not. Shoes of one rise share what is said of it: a catalogue has many of each.
 *
 * @returns a reader of one shoe, with what already lies under its heel, mm
 */
export function readerOnFoot(
  foot: ProstheticFoot,
  tolerance: ShankTolerance = ALIGNMENT_TOLERANCE,
): (model: { features: FeatureValues }, liftMm?: number) => OnFoot {
  const { setRiseMm, leverMm, ankleToMm } = foot;
  const shanks = new Map<number, ShankAnswer>();
  const shankOn = (riseMm: number | null, holdsWedgeMm: number | undefined): ShankAnswer | null => {
    if (riseMm === null || setRiseMm === null) return null;
    // Micrometres, and a wedge in tenths of a millimetre, or unknown.
    const key =
      Math.round(riseMm * 1000) * 1000 + (holdsWedgeMm === undefined ? 999 : Math.round(holdsWedgeMm * 10));
    const before = shanks.get(key);
    if (before) return before;
    const input = {
      shoeRiseMm: riseMm,
      setRiseMm,
      leverMm: leverMm ?? USUAL_LEVER_MM,
      ankleToMm: ankleToMm ?? undefined,
      holdsWedgeMm,
    };
    const answer = shankAnswer(input, tolerance);
    shanks.set(key, answer);
    return answer;
  };
  return ({ features }, liftMm = 0) => {
    const bare = riseUnder(features, foot);
    const riseMm = bare === null ? null : bare + liftMm;
    const held = wedgeHeldBy(features);
    const shank = shankOn(riseMm, held === undefined ? undefined : Math.max(0, held - liftMm));
    const { removableInsole, insoleDepth, mass } = features;
    return {
      riseMm,
      riseOutMm:
        riseMm !== null && removableInsole === 'yes' && typeof insoleDepth === 'number'
          ? // As thick in front as under the heel, or under the heel alone.
            { from: riseMm - insoleDepth, to: riseMm }
          : null,
      shank,
      refusals: refusalsOf(features, shank),
      checks: checksOf(foot, features, riseMm),
      swing: typeof mass === 'number' ? swingOf(mass) : null,
    };
  };
}

/** How a verdict is called in a list. `measure` where something is not known: never the best. */
export const ON_FOOT_LABEL = {
  fine: 'upright',
  caution: 'with caution',
  'set-ankle': 'set the ankle',
  prosthetist: 'prosthetist decides',
  'do-not-walk': 'not on this foot',
  measure: 'measure first',
  refused: 'not on this foot',
} as const;
export type OnFootVerdict = keyof typeof ON_FOOT_LABEL;

export const verdictOnFoot = ({ shank, refusals }: Pick<OnFoot, 'shank' | 'refusals'>): OnFootVerdict =>
  refusals.length > 0 ? 'refused' : (shank?.verdict ?? 'measure');
