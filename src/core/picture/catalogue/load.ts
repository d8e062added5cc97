import { choice, number, set, text, YES_NO } from '../finding-kinds';

const posture = { scope: 'foot', step: 'load', position: 'standing', whole: true, steps: true } as const;

/** Loaded: posture, arch, mobility, strength and balance. */
export const LOAD_FINDINGS = {
  kneeBend: choice(
    'Knee bend, kneecap falls',
    { inside: 'inside the second toe', over: 'over the second toe', outside: 'outside it' },
    { scope: 'foot', step: 'load' },
  ),
  heelsLiftEarly: choice('Double knee bend: heel lifts early', YES_NO, { scope: 'foot', step: 'load' }),
  lungeDistance: number('Lunge, toe to wall', 'cm', [2, 18], [0, 30], { scope: 'foot', step: 'load' }),
  lungeAngle: number('Lunge, shin from vertical', 'deg', [20, 55], [0, 80], { scope: 'foot', step: 'load' }),
  heelRises: number('Single heel rises', 'count', [0, 40], [0, 200], {
    scope: 'foot',
    step: 'load',
    whole: true,
  }),
  archFlattening: choice('Arch flattening over months', YES_NO, { scope: 'foot', step: 'load' }),
  singleLegStance: number('Single-leg stance, eyes open', 's', [0, 60], [0, 600], {
    scope: 'foot',
    step: 'load',
  }),

  legLength: number('Leg length', 'mm', [600, 1050], [250, 1300], {
    scope: 'foot',
    step: 'load',
    position: 'lying',
    how: 'front hip spine to inner ankle tip',
  }),

  // Six-item posture: each −2 (supinated) to +2 (pronated), relaxed, both feet loaded.
  postureTalarHead: number('Talar head, felt', 'score', [-2, 2], [-2, 2], posture),
  postureMalleolarCurves: number(
    'Curves above and below the outer ankle',
    'score',
    [-2, 2],
    [-2, 2],
    posture,
  ),
  postureHeel: number('Heel, from behind', 'score', [-2, 2], [-2, 2], posture),
  postureTalonavicular: number('Bulge at the talonavicular joint', 'score', [-2, 2], [-2, 2], posture),
  postureInnerArch: number('Height and shape of the inner arch', 'score', [-2, 2], [-2, 2], posture),
  postureForefoot: number('Forefoot turned out or in', 'score', [-2, 2], [-2, 2], posture),

  // Arch under load.
  navicularMethod: choice(
    'Navicular drop from',
    { neutral: 'joint-neutral standing', seated: 'seated' },
    { scope: 'body', step: 'load' },
  ),
  navicularStart: number('Navicular height, start', 'mm', [25, 65], [5, 100], {
    scope: 'foot',
    step: 'load',
    how: 'joint neutral, or seated: say which',
  }),
  navicularRelaxed: number('Navicular height, relaxed', 'mm', [20, 60], [0, 100], {
    scope: 'foot',
    step: 'load',
    position: 'standing',
    how: 'relaxed, both feet loaded',
  }),
  dorsumHeightUnloaded: number('Dorsum height, unloaded', 'mm', [45, 95], [20, 130], {
    scope: 'foot',
    step: 'load',
    position: 'unloaded',
  }),
  midfootWidth: number('Midfoot width', 'mm', [55, 110], [30, 150], {
    scope: 'foot',
    step: 'load',
    position: 'standing',
    how: 'at half the foot length',
  }),
  midfootWidthUnloaded: number('Midfoot width, unloaded', 'mm', [50, 105], [30, 150], {
    scope: 'foot',
    step: 'load',
    position: 'unloaded',
  }),

  hypermobilitySigns: set(
    'Hypermobility signs',
    {
      'little-finger-left': 'left little finger back past 90°',
      'little-finger-right': 'right little finger back past 90°',
      'thumb-left': 'left thumb to the forearm',
      'thumb-right': 'right thumb to the forearm',
      'elbow-left': 'left elbow past straight by 10°',
      'elbow-right': 'right elbow past straight by 10°',
      'knee-left': 'left knee past straight by 10°',
      'knee-right': 'right knee past straight by 10°',
      palms: 'palms flat on the floor, knees straight',
    },
    { scope: 'body', step: 'load' },
  ),
  timedUpAndGo: number('Timed up and go', 's', [5, 30], [3, 180], {
    scope: 'body',
    step: 'load',
    how: 'chair, 3 m, turn, back, sit; own shoes, usual aid',
  }),
  timedUpAndGoIn: text('Timed in (shoes, aid)', 120, { scope: 'body', step: 'load' }),
  chairStands: number('Five chair stands', 's', [6, 30], [3, 180], { scope: 'body', step: 'load' }),
} as const;
