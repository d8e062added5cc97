import type { Unit } from '../units/parse';

export type FeatureGroup =
  | 'heights'
  | 'sole'
  | 'heel and sides'
  | 'forefoot'
  | 'upper'
  | 'use'
  | 'fit'
  | 'each foot';

/** Where a feature is drawn: side profile, sole plan, both, or said in words only. */
export type Drawn = 'side' | 'plan' | 'both' | 'words';

interface Described {
  /** Field-standard name. */
  label: string;
  /** What a patient reads. */
  plain: string;
  /** How it is measured or judged. */
  measured: string;
  group: FeatureGroup;
  drawn: Drawn;
}

/** A quantity with a unit. */
export interface ScaleFeature extends Described {
  kind: 'scale';
  unit: Unit;
  bounds: readonly [number, number];
  /** Grid on which utilities are computed. */
  step: number;
  /** Where a plain everyday shoe lies: the tie-break on a plateau. */
  usual: number;
  /** Distance from a wished band at which a wish is worth nothing, unless the wish says otherwise. */
  reach: number;
}

/** Ordered grades 1 … n, each with a named anchor. */
export interface GradeFeature extends Described {
  kind: 'grade';
  anchors: readonly string[];
  usual: number;
  reach: number;
}

/** Unordered kinds. */
export interface ChoiceFeature extends Described {
  kind: 'choice';
  options: Readonly<Record<string, string>>;
  usual: string;
}

export type FeatureDefinition = ScaleFeature | GradeFeature | ChoiceFeature;
export type NumericFeature = ScaleFeature | GradeFeature;

/** Axis of a numeric feature: a grade is resolved in quarter steps so that a drawing can move smoothly. */
export function axisOf(feature: NumericFeature): { from: number; to: number; step: number } {
  return feature.kind === 'scale'
    ? { from: feature.bounds[0], to: feature.bounds[1], step: feature.step }
    : { from: 1, to: feature.anchors.length, step: 0.25 };
}
