import { keysOf } from '../../tables/keys-of';
import { FEATURE_IDS, type FeatureId, type FeatureValue, type FeatureValues, featureOf } from '../features';

/** Where a value of a model comes from, the most trusted first. */
export const VALUE_SOURCES = {
  bench: 'bench test',
  fitting: 'fitting',
  maker: 'maker',
  estimate: 'estimate',
} as const;
export type ValueSource = keyof typeof VALUE_SOURCES;
const BY_TRUST = keysOf(VALUE_SOURCES);

/** One value of one feature, with who says so and since when. */
export interface FeatureReading {
  value: FeatureValue;
  from: ValueSource;
  /** ISO day. */
  on: string;
}

/** All that is said of a model: per feature at most one reading a source, the latest. Absent is unknown. */
export type FeatureReadings = { readonly [K in FeatureId]?: readonly FeatureReading[] };

/** The reading that counts: measured before stated, stated before guessed. */
export const decidingReading = (said: readonly FeatureReading[] | undefined): FeatureReading | undefined =>
  said?.toSorted((a, b) => BY_TRUST.indexOf(a.from) - BY_TRUST.indexOf(b.from))[0];

/** What a model has, out of what is said of it. */
export function featuresOf(readings: FeatureReadings): FeatureValues {
  const features: Partial<Record<FeatureId, FeatureValue>> = {};
  for (const id of FEATURE_IDS) {
    const reading = decidingReading(readings[id]);
    if (reading) features[id] = reading.value;
  }
  return features;
}

/** Readings with one more; it takes the place of an older one of the same source, never of a later one. */
export function withReading(
  readings: FeatureReadings,
  feature: FeatureId,
  reading: FeatureReading,
): FeatureReadings {
  const said = readings[feature] ?? [];
  const before = said.find(({ from }) => from === reading.from);
  if (before && before.on > reading.on) return readings;
  return { ...readings, [feature]: [...said.filter(({ from }) => from !== reading.from), reading] };
}

/** The same source and day for a whole set of values, as a maker's sheet has them. */
export const readingsFrom = (values: FeatureValues, from: ValueSource, on: string): FeatureReadings =>
  Object.fromEntries(Object.entries(values).map(([id, value]) => [id, [{ value: value!, from, on }]]));

/**
 * What two careful people may differ by, per unit; beyond it a stated and a measured value disagree. Common practice;
 * stated drops are often 1–3 mm off (footwear reference §4, recalled at 60 %).
 */
const MEASURING_ERROR: Record<string, number> = { mm: 1, g: 10, '%': 4, deg: 3 };
const GRADE_ERROR = 0.75;

/** What two careful people may differ by on a feature; nothing where it is a choice. */
export function measuringErrorOf(feature: FeatureId): number {
  const definition = featureOf(feature);
  if (definition.kind === 'choice') return 0;
  return definition.kind === 'grade' ? GRADE_ERROR : (MEASURING_ERROR[definition.unit] ?? 0);
}

/** Whether two values of one feature say different things. */
export function disagree(feature: FeatureId, a: FeatureValue, b: FeatureValue): boolean {
  if (featureOf(feature).kind === 'choice') return a !== b;
  return Math.abs(Number(a) - Number(b)) > measuringErrorOf(feature);
}

export interface Disagreement {
  feature: FeatureId;
  stated: FeatureReading;
  measured: FeatureReading;
}

/** Where the maker says one thing and the bench or a fitting another. */
export function disagreements(readings: FeatureReadings): Disagreement[] {
  return FEATURE_IDS.flatMap((feature) => {
    const said = readings[feature];
    const stated = said?.find(({ from }) => from === 'maker');
    const measured = decidingReading(said?.filter(({ from }) => from === 'bench' || from === 'fitting'));
    return stated && measured && disagree(feature, stated.value, measured.value)
      ? [{ feature, stated, measured }]
      : [];
  });
}
