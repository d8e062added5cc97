const RADIANS = Math.PI / 180;

/**
 * Degrees of shank angle that one more centimetre of a lunge adds: 1 / (shank · cos θ), from
 * θ = asin((distance + ankle–toe − kneecap) / shank). By arithmetic. It is about 1.8° for a 40 cm shank at 38°, so
 * the often quoted 3.6° is no conversion: distance and angle stay two measures.
 *
 * @example degreesPerCentimetre(38, 40) // 1.82
 */
export const degreesPerCentimetre = (angleDeg: number, shankCm: number): number =>
  1 / (shankCm * Math.cos(angleDeg * RADIANS)) / RADIANS;
