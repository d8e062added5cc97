import { keysOf } from '../tables/keys-of';
import type { FeatureId, FeatureValue, FeatureValues } from './features';

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
  // Points of 25, as a share; by 4, so that half points come out whole.
  return sum * 4;
}

const known = (value: FeatureValue | undefined): number | null =>
  value === undefined ? null : Number(value);

/** Resistance grade 1 … 5 as the index's 2.5 … 0, in steps of 0.5. */
const freedom = (grade: number): number => Math.round((2.5 - ((grade - 1) * 2.5) / 4) * 2) / 2;

/** What of a shoe counts as a technology: post or firmer foam (two densities), post, rigid counter, raised arch, firm upper. */
function technologies(shoe: FeatureValues): { least: number; most: number; missing: FeatureId[] } {
  const { medialSupport, heelCounter, archContour, upperFirmness } = shoe;
  const missing: FeatureId[] = [];
  let least = 0;
  let most = 0;
  const count = (feature: FeatureId, value: FeatureValue | undefined, has: number, can: number) => {
    if (value === undefined) missing.push(feature);
    least += value === undefined ? 0 : has;
    most += value === undefined ? can : has;
  };
  const support = medialSupport === 'post' ? 2 : medialSupport === 'foam' || medialSupport === 'rail' ? 1 : 0;
  count('medialSupport', medialSupport, support, 2);
  count('heelCounter', heelCounter, Number(heelCounter) >= 4.5 ? 1 : 0, 1);
  count('archContour', archContour, Number(archContour) >= 2.5 ? 1 : 0, 1);
  count('upperFirmness', upperFirmness, Number(upperFirmness) >= 2.75 ? 1 : 0, 1);
  return { least, most, missing };
}

/** An index of a shoe from its features: one value where everything is known, else the range that is left. */
export interface ShoeIndex {
  least: number;
  most: number;
  missing: FeatureId[];
}

/**
 * Minimalist Index of a shoe in the vocabulary. Grades of resistance stand for the index's hand tests: a grade of 1
 * (very flexible) is 2.5 points, 5 (rigid) none. What nobody knows leaves a range.
 */
export function minimalistIndexOf(shoe: FeatureValues): ShoeIndex {
  const stated = {
    mass: known(shoe.mass),
    heelStack: known(shoe.heelStack),
    drop: known(shoe.drop),
    forefootStiffness: known(shoe.forefootStiffness),
    torsionalStiffness: known(shoe.torsionalStiffness),
  };
  const devices = technologies(shoe);
  const total = (unknown: 'least' | 'most') => {
    const light = unknown === 'most';
    const free = (grade: number | null) => (grade === null ? (light ? 2.5 : 0) : freedom(grade));
    return minimalistIndex({
      massG: stated.mass ?? (light ? 0 : 1000),
      heelStackMm: stated.heelStack ?? (light ? 0 : 100),
      dropMm: stated.drop ?? (light ? 0 : 50),
      technologies: light ? devices.least : devices.most,
      longitudinal: free(stated.forefootStiffness),
      torsional: free(stated.torsionalStiffness),
    });
  };
  return {
    least: total('least'),
    most: total('most'),
    missing: [...keysOf(stated).filter((id) => stated[id] === null), ...devices.missing],
  };
}
