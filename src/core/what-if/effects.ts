import type { SourceId } from '../sources/sources';

/** What a practitioner can turn, and in what. */
export const LEVERS = {
  drop: { label: 'Drop', unit: 'mm', from: 0, to: 22, step: 0.5 },
  heelStack: { label: 'Heel stack', unit: 'mm', from: 8, to: 50, step: 1 },
  forefootStiffness: { label: 'Forefoot stiffness', unit: 'grade', from: 1, to: 5, step: 0.5 },
  heelCushioning: { label: 'Cushioning', unit: 'grade', from: 1, to: 5, step: 0.5 },
  rocker: { label: 'Rocker', unit: 'grade', from: 1, to: 3, step: 0.5 },
  stepRate: { label: 'Step rate', unit: '%', from: 0, to: 12, step: 1 },
} as const;

export type Lever = keyof typeof LEVERS;

export const LEG_REGIONS = {
  forefoot: 'Forefoot',
  ankle: 'Ankle and calf',
  knee: 'Knee',
  hip: 'Hip',
  ground: 'Whole leg, from the ground',
} as const;

export type LegRegion = keyof typeof LEG_REGIONS;

/** Change in per cent at a change of the lever: one figure, or the spread between studies. */
type Point = readonly [change: number, low: number, high: number];

/** How a change of one lever tells on one region. Sizes are laboratory means: direction, not dose. */
export interface Effect {
  lever: Lever;
  region: LegRegion;
  /** The quantity that was measured. */
  quantity: string;
  /** Whether more of the lever means more load. */
  sign: 1 | -1;
  /** Sizes, from no change outward; absent where only the direction is known. Never read beyond the last. */
  sizes?: readonly Point[];
  source: SourceId | 'clinic-setting';
  note?: string;
}

/** Effects with the reference's figures; all recalled, each with its source. */
export const EFFECTS: readonly Effect[] = [
  {
    lever: 'stepRate',
    region: 'knee',
    quantity: 'energy absorbed at the knee',
    sign: -1,
    sizes: [
      [5, -20, -20],
      [10, -34, -34],
    ],
    source: 'heiderscheit-2011',
    note: 'a step; more steps in a kilometre take part of it back',
  },
  {
    lever: 'stepRate',
    region: 'knee',
    quantity: 'peak force behind the kneecap',
    sign: -1,
    sizes: [[10, -14, -14]],
    source: 'lenhart-2014',
  },
  {
    lever: 'stepRate',
    region: 'hip',
    quantity: 'energy absorbed at the hip',
    sign: -1,
    source: 'heiderscheit-2011',
    note: 'shown at +10 % only',
  },
  {
    lever: 'stepRate',
    region: 'ankle',
    quantity: 'probability of a tibial fatigue fracture',
    sign: -1,
    sizes: [[10, -6, -3]],
    source: 'edwards-2009',
    note: 'from a stride 10 % shorter; calf work in a kilometre may rise',
  },
  {
    lever: 'drop',
    region: 'knee',
    quantity: 'moment that straightens the knee, stress behind the kneecap',
    sign: 1,
    source: 'clinic-setting',
    note: 'the size is recalled too vaguely to be named: a setting of the clinic',
  },
  {
    lever: 'drop',
    region: 'ankle',
    quantity: 'stretch and load of calf and heel cord',
    sign: -1,
    source: 'malisoux-2016-drop',
    note: 'direction only',
  },
  {
    lever: 'drop',
    region: 'forefoot',
    quantity: 'pressure under the forefoot, walking in heels',
    sign: 1,
    sizes: [[20, 22, 22]],
    source: 'snow-1992',
    note: 'measured at a heel of 2 cm',
  },
  {
    lever: 'drop',
    region: 'ground',
    quantity: 'length of a step',
    sign: 1,
    source: 'practice',
    note: 'claimed, no figure',
  },
  {
    lever: 'heelStack',
    region: 'ankle',
    quantity: 'sideways movement of the ankle',
    sign: 1,
    source: 'menant-2008',
    note: 'unsteady from about 40 mm in some',
  },
  {
    lever: 'forefootStiffness',
    region: 'forefoot',
    quantity: 'work and bend at the ball joints',
    sign: -1,
    source: 'roy-2006',
  },
  {
    lever: 'forefootStiffness',
    region: 'ankle',
    quantity: 'calf load a step, by a longer lever',
    sign: 1,
    source: 'roy-2006',
  },
  {
    lever: 'forefootStiffness',
    region: 'knee',
    quantity: 'work that the ball no longer does',
    sign: 1,
    source: 'practice',
    note: 'claimed, no figure',
  },
  {
    lever: 'forefootStiffness',
    region: 'hip',
    quantity: 'work that the ball no longer does',
    sign: 1,
    source: 'practice',
    note: 'claimed, no figure',
  },
  {
    lever: 'heelCushioning',
    region: 'ground',
    quantity: 'impact peak and loading rate in a maximal shoe at 14.5 km/h',
    sign: 1,
    sizes: [[2, 10.7, 12.3]],
    source: 'kulmala-2018',
    note: 'pressure falls, yet the impact rose: softer is not less load',
  },
  {
    lever: 'heelCushioning',
    region: 'forefoot',
    quantity: 'pressure under the foot',
    sign: -1,
    source: 'kulmala-2018',
    note: 'direction only',
  },
  {
    lever: 'rocker',
    region: 'forefoot',
    quantity: 'peak pressure under the forefoot',
    sign: -1,
    sizes: [[1, -40, -20]],
    source: 'van-schie-2000',
  },
  {
    lever: 'rocker',
    region: 'ankle',
    quantity: 'push-off moment at the ankle',
    sign: -1,
    sizes: [[1, -13, -11]],
    source: 'sobhani-2015',
  },
  {
    lever: 'rocker',
    region: 'knee',
    quantity: 'work at the knee',
    sign: 1,
    source: 'van-schie-2000',
    note: 'a little',
  },
  {
    lever: 'rocker',
    region: 'hip',
    quantity: 'work at the hip',
    sign: 1,
    source: 'van-schie-2000',
    note: 'a little',
  },
];
