import type { Side } from '../../findings/finding-kinds';
import type { Mesh } from './mesh';
import type { Vector } from './stand';

export const SCAN_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4 } as const;
export type ScanUnit = keyof typeof SCAN_UNITS;

export interface ScanNote {
  code:
    | 'unit'
    | 'floor-removed'
    | 'pieces-removed'
    | 'sole-open'
    | 'holes-closed'
    | 'turned-over'
    | 'smoothed'
    | 'wrong-side'
    | 'side-unclear'
    | 'coarse';
  message: string;
}

/** Foot measures, mm. Names follow ISO 7250-1 and ISO 20685-1 where they define one (from memory). */
export interface ScanMeasures {
  footLength: number;
  /** Heel to the first metatarsal head along the axis. */
  heelBallLength: number;
  /** First to fifth metatarsal head, oblique. */
  ballWidth: number;
  /** The same, square to the axis. */
  ballBreadth: number;
  /** Tape around both heads in the upright plane through them. */
  ballGirth: number;
  /** Tape in the upright plane square to the axis at half the foot length. */
  instepGirth: number;
  heelWidth: number;
  /** Highest point of the front tenth of the length. */
  toeHeight: number;
  /** Height at half the foot length. */
  dorsumHeight: number;
}

export interface ScanReading {
  /** x forward from the rearmost heel, y to the left, z up from the floor; mm. */
  mesh: Mesh;
  measures: ScanMeasures;
  side: Side;
  seenSide: Side | null;
  unit: ScanUnit;
  triangles: number;
  notes: ScanNote[];
  /** Lines to draw on the mesh, in its coordinates. */
  lines: Record<keyof Omit<ScanMeasures, 'ballBreadth'>, Vector[]>;
}
