/**
 * Volume of a limb segment from girths by truncated cones, V = Σ h (C₁² + C₁C₂ + C₂²) / 12π.
 *
 * @param girthsCm girths at equal spacing, cm, at least two
 * @param spacingCm distance between neighbouring girths, cm
 * @returns millilitres. By arithmetic; Casley-Smith 1994, from memory.
 * @example limbVolume([30, 28], 4) // 267.8
 */
export function limbVolume(girthsCm: readonly number[], spacingCm: number): number {
  let volume = 0;
  for (let at = 1; at < girthsCm.length; at += 1) {
    const upper = girthsCm[at - 1]!;
    const lower = girthsCm[at]!;
    volume += (spacingCm * (upper ** 2 + upper * lower + lower ** 2)) / (12 * Math.PI);
  }
  return volume;
}
