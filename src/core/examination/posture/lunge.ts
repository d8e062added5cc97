const RADIANS = Math.PI / 180;

export interface LungeGeometry {
  /** Toe to wall, cm. */
  distanceCm: number;
  /** Ankle centre to toe tip, level, cm. */
  ankleToToeCm: number;
  /** Kneecap in front of the knee centre, cm. */
  kneecapCm: number;
  shankCm: number;
}

/**
 * Shank angle that the geometry of one person's lunge gives, degrees: asin((d + ankle–toe − kneecap) / shank).
 * By arithmetic. Distance and angle stay two measures: the often quoted 3.6° per centimetre contradicts it
 * (about 2° per centimetre), so nothing is converted without shank and foot length.
 *
 * @returns null when the lengths do not fit together
 * @example lungeAngleFrom({ distanceCm: 10, ankleToToeCm: 19, kneecapCm: 5, shankCm: 40 }) // 36.9
 */
export function lungeAngleFrom({
  distanceCm,
  ankleToToeCm,
  kneecapCm,
  shankCm,
}: LungeGeometry): number | null {
  const sine = (distanceCm + ankleToToeCm - kneecapCm) / shankCm;
  return sine >= -1 && sine <= 1 ? Math.asin(sine) / RADIANS : null;
}

/** Degrees that one more centimetre adds at an angle: 1 / (shank · cos θ). By arithmetic. */
export const degreesPerCentimetre = (angleDeg: number, shankCm: number): number =>
  1 / (shankCm * Math.cos(angleDeg * RADIANS)) / RADIANS;
