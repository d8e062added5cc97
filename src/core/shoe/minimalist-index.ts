/** Features of one shoe that the Minimalist Index reads. */
export interface MinimalistInput {
  massG: number;
  heelStackMm: number;
  dropMm: number;
  /** Count of stability and motion-control technologies, 0–6. */
  technologies: number;
  /** Longitudinal and torsional flexibility, 0–2.5 each in steps of 0.5. */
  longitudinal: number;
  torsional: number;
}

/** Points 5 … 0 for upper bin edges in ascending order; a value on an edge falls into the next bin. */
const points = (value: number, edges: readonly number[]): number =>
  5 - edges.filter((edge) => value >= edge).length;

/**
 * Minimalist Index in per cent, 100 = most minimal.
 *
 * Source: Esculier JF et al., J Foot Ankle Res 2015;8:42, bins from memory.
 * @example minimalistIndex({ massG: 260, heelStackMm: 28, dropMm: 8, technologies: 1, longitudinal: 1, torsional: 1 }) // 44
 */
export function minimalistIndex(shoe: MinimalistInput): number {
  const sum =
    shoe.longitudinal +
    shoe.torsional +
    points(shoe.massG, [125, 175, 225, 275, 325]) +
    points(shoe.heelStackMm, [8, 14, 20, 26, 32]) +
    points(shoe.dropMm, [1, 4, 7, 10, 13]) +
    Math.max(0, 5 - shoe.technologies);
  return (sum / 25) * 100;
}
