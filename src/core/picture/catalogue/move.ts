import { choice, number } from '../finding-kinds';

/** Moving: gait and pressure. */
export const MOVE_FINDINGS = {
  roll: choice(
    'Moves more than when standing',
    { in: 'rolls in more', neutral: 'no more', out: 'rolls out more' },
    { scope: 'foot', step: 'move' },
  ),
  strike: choice(
    'Strike',
    { heel: 'heel', midfoot: 'midfoot', forefoot: 'forefoot' },
    { scope: 'foot', step: 'move' },
  ),
  heelAngleStance: number('Heel angle, stance', 'deg', [-10, 15], [-30, 40], {
    scope: 'foot',
    step: 'move',
    how: 'heel against leg, rear view, + turned out',
  }),
  heelAngleWalk: number('Heel angle, peak walking', 'deg', [-10, 20], [-30, 45], {
    scope: 'foot',
    step: 'move',
  }),
  heelAngleRun: number('Heel angle, peak running', 'deg', [-10, 25], [-30, 50], {
    scope: 'foot',
    step: 'move',
  }),
  cadence: number('Running cadence, one foot', 'per-min', [65, 105], [40, 140], {
    scope: 'body',
    step: 'move',
  }),

  heelExcursionWalk: number('Heel excursion, walking', 'deg', [0, 20], [-20, 50], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
    how: 'peak less touchdown, barefoot',
  }),
  heelExcursionRun: number('Heel excursion, running', 'deg', [0, 25], [-20, 50], {
    scope: 'foot',
    step: 'move',
    position: 'running',
    how: 'peak less touchdown, barefoot',
  }),

  // Pressure plate.
  peakPressure: number('Peak pressure', 'kPa', [100, 900], [0, 2500], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
    how: 'highest sensor over the step',
  }),
  pressureTimeIntegral: number('Pressure–time integral', 'kPa-s', [20, 400], [0, 2000], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
    how: 'of the region where it is highest',
  }),
  contactArea: number('Contact area', 'cm2', [60, 220], [5, 400], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
  }),
  excursionIndex: number('Pressure excursion index', '%', [-5, 40], [-60, 80], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
    how: 'lateral course of the centre of pressure over foot width',
  }),
  archIndexLoaded: number('Arch index from contact', 'index', [0.05, 0.4], [0, 0.7], {
    scope: 'foot',
    step: 'move',
    position: 'walking',
    how: 'bands of ink prints do not apply',
  }),
} as const;
