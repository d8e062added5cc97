import { choice, number, set, YES_NO } from '../finding-kinds';

/** Feet measured, looked at, felt; print, scan and swelling. */
export const FEET_FINDINGS = {
  footLength: number('Foot length, heel to longest toe', 'mm', [200, 310], [90, 360], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'weight even',
  }),
  heelBallLength: number('Heel–ball length', 'mm', [140, 235], [60, 280], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'heel to first metatarsal head',
  }),
  ballWidth: number('Ball width', 'mm', [70, 125], [40, 160], { scope: 'foot', step: 'feet' }),
  ballGirth: number('Ball girth', 'mm', [180, 300], [110, 400], { scope: 'foot', step: 'feet' }),
  instepGirth: number('Instep girth', 'mm', [190, 310], [110, 420], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'at half the foot length',
  }),
  heelWidth: number('Heel width', 'mm', [48, 85], [25, 110], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
  }),
  dorsumHeight: number('Dorsum height', 'mm', [40, 90], [20, 130], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'at half the foot length',
  }),
  toeHeight: number('Toe height, tallest toe', 'mm', [14, 35], [8, 60], { scope: 'foot', step: 'feet' }),
  arch: choice(
    'Arch, standing',
    { low: 'low', medium: 'medium', high: 'high' },
    { scope: 'foot', step: 'feet' },
  ),
  archMobility: choice(
    'Arch on tip-toe',
    { flexible: 'returns: flexible', rigid: 'stays: rigid' },
    { scope: 'foot', step: 'feet' },
  ),
  toeShape: choice(
    'Toe shape',
    { square: 'square', tapered: 'tapered', pointed: 'pointed' },
    { scope: 'foot', step: 'feet' },
  ),
  bunion: choice(
    'Bunion',
    { none: 'none', mild: 'mild', moderate: 'moderate', severe: 'severe' },
    { scope: 'foot', step: 'feet' },
  ),
  lesserToes: choice(
    'Lesser toes',
    { straight: 'straight', flexible: 'claw or hammer, flexible', rigid: 'claw or hammer, rigid' },
    { scope: 'foot', step: 'feet' },
  ),
  bigToeRange: number('Big-toe upward range', 'deg', [10, 90], [0, 120], { scope: 'foot', step: 'feet' }),
  sensation: choice(
    '10 g monofilament',
    { felt: 'felt at every site', lost: 'lost at one or more' },
    { scope: 'foot', step: 'feet', how: 'lost where 2 of 3 answers at a site are wrong' },
  ),
  pulses: choice(
    'Foot pulses',
    { present: 'present', absent: 'absent or arterial disease known' },
    { scope: 'foot', step: 'feet' },
  ),
  skin: set(
    'Skin',
    { callus: 'callus', corn: 'corn', blister: 'blister', nail: 'nail damage', fragile: 'thin, fragile' },
    { scope: 'foot', step: 'feet' },
  ),
  midfootArthritis: choice('Midfoot arthritis', YES_NO, { scope: 'foot', step: 'feet' }),

  // Measured seated, for the difference to standing.
  footLengthSeated: number('Foot length, seated', 'mm', [195, 310], [90, 360], {
    scope: 'foot',
    step: 'feet',
    position: 'seated',
  }),
  ballWidthSeated: number('Ball width, seated', 'mm', [65, 125], [40, 160], {
    scope: 'foot',
    step: 'feet',
    position: 'seated',
  }),
  dorsumHeightSeated: number('Dorsum height, seated', 'mm', [40, 90], [20, 130], {
    scope: 'foot',
    step: 'feet',
    position: 'seated',
    how: 'at half the foot length',
  }),

  // Footprint.
  archIndex: number('Arch index', 'index', [0.1, 0.36], [0, 0.6], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'middle third of the toeless print over the whole',
  }),
  chippauxSmirak: number('Chippaux–Smirak index', '%', [0, 60], [0, 150], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'narrowest midfoot over widest forefoot',
  }),
  staheli: number('Staheli index', 'index', [0, 1.3], [0, 2.5], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'narrowest midfoot over widest heel',
  }),
  clarkeAngle: number('Clarke’s angle, deepest point', 'deg', [15, 60], [0, 85], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'inner tangent to the line to the deepest point of the hollow',
  }),
  clarkeAngleTangent: number('Clarke’s angle, tangent', 'deg', [15, 70], [0, 89], {
    scope: 'foot',
    step: 'feet',
    position: 'standing',
    how: 'inner tangent to the line that touches the hollow',
  }),

  // Protective sensation, correct answers of three at each site.
  monofilamentBigToe: number('10 g filament, big toe', 'count', [0, 3], [0, 3], {
    scope: 'foot',
    step: 'feet',
    whole: true,
    how: 'correct answers of 3',
  }),
  monofilamentFirstHead: number('10 g filament, 1st head', 'count', [0, 3], [0, 3], {
    scope: 'foot',
    step: 'feet',
    whole: true,
    how: 'correct answers of 3',
  }),
  monofilamentFifthHead: number('10 g filament, 5th head', 'count', [0, 3], [0, 3], {
    scope: 'foot',
    step: 'feet',
    whole: true,
    how: 'correct answers of 3',
  }),

  // Swelling.
  figureOfEight: number('Figure-of-eight girth', 'mm', [420, 620], [250, 900], {
    scope: 'foot',
    step: 'feet',
    how: 'tape around ankle and instep',
  }),
  ankleGirth: number('Ankle girth', 'mm', [180, 340], [100, 700], { scope: 'foot', step: 'feet' }),
  calfGirth: number('Mid-calf girth', 'mm', [260, 480], [150, 900], { scope: 'foot', step: 'feet' }),
  pittingDepth: number('Pit depth', 'mm', [0, 10], [0, 30], {
    scope: 'foot',
    step: 'feet',
    how: 'thumb pressed over bone, 5 s',
  }),
  pittingSeconds: number('Pit fills in', 's', [0, 180], [0, 600], { scope: 'foot', step: 'feet' }),
  legVolume: number('Leg volume', 'ml', [600, 5000], [100, 20_000], {
    scope: 'foot',
    step: 'feet',
    how: 'truncated cones from girths',
  }),
} as const;
