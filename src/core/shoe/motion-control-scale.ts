import type { FeatureId, FeatureValue, FeatureValues } from './features';
import type { ShoeIndex } from './minimalist-index';

/** Points of one item by what the shoe has; the item's most is what an unknown value could reach. */
interface Item {
  feature: FeatureId;
  most: number;
  points: (value: FeatureValue) => number;
}

const graded = (steps: readonly [grade: number, points: number][]) => (value: FeatureValue) =>
  steps.find(([grade]) => Number(value) >= grade)?.[1] ?? 0;

const ITEMS: readonly Item[] = [
  {
    feature: 'medialSupport',
    most: 2,
    points: (value) => (value === 'post' ? 2 : value === 'foam' || value === 'rail' ? 1 : 0),
  },
  {
    feature: 'closure',
    most: 2,
    points: (value) =>
      value === 'laces' || value === 'laces-extra-eyelet'
        ? 2
        : value === 'slip-on' || value === 'elastic'
          ? 0
          : 1,
  },
  {
    feature: 'heelCounter',
    most: 3,
    points: graded([
      [4.5, 3],
      [3, 2],
      [2, 1],
    ]),
  },
  {
    feature: 'forefootStiffness',
    most: 2,
    points: graded([
      [4, 2],
      [2.5, 1],
    ]),
  },
  {
    feature: 'torsionalStiffness',
    most: 2,
    points: graded([
      [4, 2],
      [2.5, 1],
    ]),
  },
];

export const MOTION_CONTROL_MOST = 11;

/**
 * Motion-control properties of the footwear assessment tool, 0 … 11: two densities, fixation, counter, midfoot
 * stability when bent and when twisted. The tool's angles are graded by hand here (rigid: under 10°; medium: 10–45°).
 *
 * Source: Barton CJ et al., J Foot Ankle Res 2009;2:10, total from memory, check; sub-ranges recalled at 65 %.
 */
export function motionControlScaleOf(shoe: FeatureValues): ShoeIndex {
  const missing: FeatureId[] = [];
  let least = 0;
  let most = 0;
  for (const item of ITEMS) {
    const value = shoe[item.feature];
    if (value === undefined) missing.push(item.feature);
    least += value === undefined ? 0 : item.points(value);
    most += value === undefined ? item.most : item.points(value);
  }
  return { least, most, missing };
}
