import { SIDES, type Side } from '../findings/finding-kinds';
import { definitionOf } from '../findings/findings';
import { type ClinicalPicture, numberAt } from '../findings/picture';

/** Numbers of the gait that are worth holding against the first ones: the examination takes them in the same way. */
export const GAIT_MEASURES = [
  'heelAngleWalk',
  'heelAngleRun',
  'heelExcursionWalk',
  'cadence',
  'timedUpAndGo',
] as const;
export type GaitMeasure = (typeof GAIT_MEASURES)[number];

const BODY_MEASURES = ['cadence', 'timedUpAndGo'] as const satisfies readonly GaitMeasure[];
const isOfBody = (measure: GaitMeasure): measure is (typeof BODY_MEASURES)[number] =>
  BODY_MEASURES.some((other) => other === measure);

/** One number of the gait, as the examination takes it. */
export interface GaitNumber {
  measure: GaitMeasure;
  /** Null where it is of no side. */
  side: Side | null;
  value: number;
}

/** Sides that a number is taken of; a single null where it is of the whole person. */
export const sidesOf = (measure: GaitMeasure): readonly GaitNumber['side'][] =>
  isOfBody(measure) ? [null] : SIDES;

/** What a number is called, with its unit and side. */
export const gaitName = ({ measure, side }: Pick<GaitNumber, 'measure' | 'side'>): string =>
  `${definitionOf(measure).label}${side ? `, ${side}` : ''}`;

/** What a visit took of them: the baseline of a pair that is handed over at it. */
export const gaitOf = (picture: ClinicalPicture): GaitNumber[] =>
  GAIT_MEASURES.flatMap((measure): GaitNumber[] => {
    if (isOfBody(measure)) {
      const value = picture.body[measure];
      return typeof value === 'number' ? [{ measure, side: null, value }] : [];
    }
    return SIDES.flatMap((side) => {
      const value = numberAt(picture, measure, side);
      return value === null ? [] : [{ measure, side, value }];
    });
  });
