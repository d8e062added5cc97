import type { FeatureValues } from '../features';
import { smooth, smoothClosed, straight } from './curve';
import { type FootMeasures, footPath } from './foot-outline';
import { type HeelShape, heelShape, STANDS_AT } from './heeled-sole';
import type { Drawing, DrawnPart, Point } from './part';
import { soleOf } from './sole-line';
import { numberOf, USUAL_LENGTH_MM } from './sole-measures';

/** Half-widths near the tip as shares of the ball width: lateral and medial at 90 % and 97 %, and where the tip lies. */
const TOE_SHAPES: Record<string, readonly [number, number, number, number, number]> = {
  tapered: [0.27, 0.12, 0.25, 0.12, 0],
  round: [0.38, 0.22, 0.36, 0.22, -0.03],
  square: [0.43, 0.34, 0.42, 0.34, -0.04],
  anatomic: [0.34, 0.14, 0.45, 0.36, -0.2],
};

/** Outline of a right sole seen from above, heel left, medial side up. */
export function soleOutline(length: number, heel: number, ball: number, toe: string, waist: number): Point[] {
  const [l90, l97, m90, m97, tip] = TOE_SHAPES[toe] ?? TOE_SHAPES.round!;
  return [
    [0, 0],
    [length * 0.03, heel * 0.34],
    [length * 0.1, heel * 0.48],
    [length * 0.2, heel * 0.5],
    [length * 0.45, ball * 0.45],
    [length * 0.63, ball * 0.51],
    [length * 0.76, ball * 0.49],
    [length * 0.9, ball * l90],
    [length * 0.97, ball * l97],
    [length, ball * tip],
    [length * 0.97, -ball * m97],
    [length * 0.9, -ball * m90],
    [length * 0.76, -ball * 0.5],
    [length * 0.68, -ball * 0.48],
    [length * 0.46, -ball * waist],
    [length * 0.3, -heel * 0.38],
    [length * 0.17, -heel * 0.49],
    [length * 0.06, -heel * 0.42],
  ];
}

/** Where a heel of its own stands: its top piece, and the breast line where the sole leaves it. */
function heelParts(shape: HeelShape, length: number, heel: number): DrawnPart[] {
  const features = ['heelKind', 'heelHeight', 'heelBase'] as const;
  if (shape === 'wedge') return [];
  const { back, breast } = STANDS_AT[shape];
  const half = shape === 'slender' ? SLENDER_HALF_MM : heel * 0.46;
  const [from, to] = [length * back, length * breast];
  const long = to - from;
  return [
    {
      id: 'top-piece',
      kind: 'support',
      d: `${smooth([
        [to, half],
        [from + long * 0.6, half],
        [from + long * 0.12, half * 0.6],
        [from, 0],
        [from + long * 0.12, -half * 0.6],
        [from + long * 0.6, -half],
        [to, -half],
      ])}Z`,
      features,
    },
    {
      id: 'breast',
      kind: 'line',
      d: smooth([
        [length * STANDS_AT[shape].seat, heel * 0.47],
        [length * (STANDS_AT[shape].seat - 0.02), 0],
        [length * STANDS_AT[shape].seat, -heel * 0.45],
      ]),
      features,
    },
  ];
}

/** Half the width of the little piece that a slender heel stands on, mm. Ours. */
const SLENDER_HALF_MM = 6;

/** A width as it is known, else a usual one for the length. */
const widthOf = (values: FeatureValues, id: 'heelBase' | 'forefootBase', lengthMm: number): number =>
  typeof values[id] === 'number'
    ? numberOf(values, id)
    : numberOf(values, id) * Math.min(1, lengthMm / USUAL_LENGTH_MM);

/**
 * Plan of a right sole from its features, to scale in millimetres, with bend line, rocker apex, support and, when
 * measured, the patient's own foot inside.
 */
export function solePlan(
  values: FeatureValues,
  foot: FootMeasures | null,
  lengthMm = USUAL_LENGTH_MM,
): Drawing {
  const heel = widthOf(values, 'heelBase', lengthMm);
  const ball = widthOf(values, 'forefootBase', lengthMm);
  const heelApart = heelShape(values, soleOf(values, lengthMm));
  const toe = String(values.toeBoxShape ?? 'round');
  const stiffWaist = 0.2 + (numberOf(values, 'torsionalStiffness') - 1) * 0.035;
  const shape = soleOutline(lengthMm, heel, ball, toe, stiffWaist);
  const parts: DrawnPart[] = [];
  if (values.lateralSupport === 'flare' || values.lateralSupport === 'sidewall')
    parts.push({
      id: 'flare',
      kind: 'support',
      d: `${smooth([
        [lengthMm * 0.08, heel * 0.42],
        [lengthMm * 0.2, heel * 0.5 + 7],
        [lengthMm * 0.45, ball * 0.45 + 8],
        [lengthMm * 0.63, ball * 0.53 + 6],
        [lengthMm * 0.74, ball * 0.48],
      ])}Z`,
      features: ['lateralSupport'],
    });
  parts.push({
    id: 'sole',
    kind: 'outsole',
    d: smoothClosed(shape),
    features: ['heelBase', 'forefootBase', 'toeBoxShape', 'width', 'tread', 'category'],
  });
  if (heelApart) parts.push(...heelParts(heelApart, lengthMm, heel));
  const medial = values.medialSupport;
  if (medial !== undefined && medial !== 'none')
    parts.push({
      id: 'medial',
      kind: 'support',
      d: `${smooth([
        [lengthMm * 0.2, -heel * 0.46],
        [lengthMm * 0.33, -heel * 0.3],
        [lengthMm * 0.5, -ball * stiffWaist * 1.02],
        [lengthMm * 0.5, -ball * 0.1],
        [lengthMm * 0.3, -heel * 0.1],
      ])}Z`,
      features: ['medialSupport'],
    });
  if (foot)
    parts.push({
      id: 'foot',
      kind: 'foot',
      d: footPath(foot, footOffset(lengthMm, foot)),
      features: ['toeRoom', 'width'],
    });
  const bend = (numberOf(values, 'bendPoint') / 100) * lengthMm;
  parts.push({
    id: 'bend',
    kind: 'guide',
    d: straight([
      [bend + 5, -ball * 0.52],
      [bend - 22, ball * 0.56],
    ]),
    features: ['bendPoint', 'forefootStiffness'],
  });
  if (numberOf(values, 'rocker') >= 1.5) {
    const apex = (numberOf(values, 'rockerApex') / 100) * lengthMm;
    parts.push({
      id: 'apex',
      kind: 'line',
      d: straight([
        [apex + 4, -ball * 0.5],
        [apex - 8, ball * 0.55],
      ]),
      features: ['rocker', 'rockerApex'],
    });
  }
  const half = Math.max(ball, heel) * 0.53 + 14;
  return {
    viewBox: [-32, -half, lengthMm + 74, half * 2],
    parts,
    dimensions: [
      {
        from: [lengthMm * 0.2, heel * 0.5],
        to: [lengthMm * 0.2, -heel * 0.5],
        text: String(Math.round(heel)),
        feature: 'heelBase',
      },
      {
        from: [lengthMm * 0.68, ball * 0.52],
        to: [lengthMm * 0.68, -ball * 0.45],
        text: String(Math.round(ball)),
        feature: 'forefootBase',
      },
    ],
    summary: `Sole plan: ${Math.round(heel)} mm wide at the heel, ${Math.round(ball)} mm at the ball, ${toe} toe.`,
  };
}

/** The heel of the foot sits a little inside the sole's back edge. */
const footOffset = (lengthMm: number, foot: FootMeasures): number =>
  Math.max(2, Math.min(8, (lengthMm - foot.lengthMm) * 0.35));
