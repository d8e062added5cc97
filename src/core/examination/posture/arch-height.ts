/** Standard gravity, m/s². */
const GRAVITY = 9.80665;

/** Share of body weight that a foot gains from sitting (about 10 %) to standing on both feet (50 %): assumed, not measured. */
export const LOAD_GAIN = 0.4;

/**
 * Arch height index: dorsum height at half *total* foot length over truncated length (heel to first metatarsal head).
 * Williams & McClay 2000, Phys Ther 80:864–871, from memory.
 *
 * @example archHeightIndex(62, 185) // 0.335
 */
export const archHeightIndex = (dorsumHeightMm: number, truncatedLengthMm: number): number =>
  dorsumHeightMm / truncatedLengthMm;

/**
 * Arch height flexibility, mm/kN: fall of the dorsum from seated to standing over the gain in load.
 * Zifchock 2017, J Am Podiatr Med Assoc 107:119–123, from memory, check. Its classes are not recalled: no band.
 *
 * @example archFlexibility(66, 62, 70) // 14.6
 */
export const archFlexibility = (seatedMm: number, standingMm: number, bodyMassKg: number): number =>
  (seatedMm - standingMm) / ((LOAD_GAIN * bodyMassKg * GRAVITY) / 1000);

/**
 * Foot mobility magnitude, mm: root of the squares of dorsum fall and midfoot spread from unloaded to standing.
 * Signs are kept apart until here, since squaring would hide a slip.
 * McPoil 2009, J Foot Ankle Res 2:6, from memory.
 *
 * @returns null when the foot seems to rise or to narrow under load by more than 1 mm: measure again
 * @example footMobility({ dorsumFallMm: 12, spreadMm: 9 }) // 15
 */
export function footMobility({
  dorsumFallMm,
  spreadMm,
}: {
  dorsumFallMm: number;
  spreadMm: number;
}): number | null {
  if (dorsumFallMm < -1 || spreadMm < -1) return null;
  return Math.hypot(dorsumFallMm, spreadMm);
}
