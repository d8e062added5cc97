import type { FeatureId } from '../features';

/** Millimetres; x runs from heel to toe, y grows downward as on a page, ground or centre line at 0. */
export type Point = readonly [x: number, y: number];

/** One separately drawn part of a shoe, and the features it shows, so that a target can light it. */
export interface DrawnPart {
  id: string;
  /** SVG path data in millimetres. */
  d: string;
  kind:
    | 'foam'
    | 'outsole'
    | 'insole'
    | 'upper'
    | 'counter'
    | 'support'
    | 'closure'
    | 'line'
    | 'guide'
    | 'foot'
    /** The space inside the shoe. */
    | 'inside'
    /** What a specification allows. */
    | 'band';
  features: readonly FeatureId[];
}

/** A measure drawn with its line and figure. */
export interface Dimension {
  from: Point;
  to: Point;
  text: string;
  feature: FeatureId;
}

/** A place on a drawing with the number that it has in a list beside it. */
export interface NumberedPlace {
  number: number;
  at: Point;
}

export interface Drawing {
  /** min-x, min-y, width, height in millimetres. */
  viewBox: readonly [number, number, number, number];
  parts: DrawnPart[];
  dimensions: Dimension[];
  /** What a person who cannot see the drawing is told. */
  summary: string;
}
