import { memoize } from '../../memo/memoize';
import { axisOf, type ChoiceFeature, type NumericFeature } from '../../shoe/feature-kinds';
import type { Want } from './specification';

/** A value between points, straight; beyond their ends as at the ends. */
export function onLine(curve: readonly (readonly [number, number])[], x: number): number {
  const next = curve.findIndex(([at]) => at >= x);
  if (next === 0) return curve[0]![1];
  if (next < 0) return curve.at(-1)![1];
  const [x0, y0] = curve[next - 1]!;
  const [x1, y1] = curve[next]!;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}

/** How well a value serves a want, 0 … 1: full marks inside the band, then falling with the square of the distance, nothing beyond reach. */
export function utilityAt(want: Want, value: number | string): number {
  if ('band' in want) {
    const x = Number(value);
    const distance = Math.max(want.band.from - x, x - want.band.to, 0);
    return Math.max(0, 1 - (distance / want.reach) ** 2);
  }
  if ('prefer' in want) return want.prefer.includes(String(value)) ? 1 : 0;
  if ('avoid' in want) return want.avoid.includes(String(value)) ? 0 : 1;
  if ('worth' in want) return want.worth[String(value)] ?? 0;
  return onLine(want.curve, Number(value));
}

/** Points of a numeric feature's axis, ascending. */
export function gridOf(feature: NumericFeature): number[] {
  const { from, to, step } = axisOf(feature);
  return Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);
}

/** A feature's values and how far each lies from a usual shoe; the same for every picture, so made once. */
export interface Values {
  list: readonly (number | string)[];
  /** The same as numbers; empty for a choice. */
  numbers: readonly number[];
  away: readonly number[];
}

/** The values on which a target of this feature is resolved. */
export const valuesOf = memoize((feature: NumericFeature | ChoiceFeature): Values => {
  const list = feature.kind === 'choice' ? Object.keys(feature.options) : gridOf(feature);
  const away = list.map((value) =>
    feature.kind === 'choice' ? Number(value !== feature.usual) : Math.abs(Number(value) - feature.usual),
  );
  return { list, numbers: feature.kind === 'choice' ? [] : gridOf(feature), away };
});
