import {
  type ChoiceFinding,
  choice,
  type FindingDefinition,
  type FindingStep,
  type NumberFinding,
  number,
  type SetFinding,
  set,
  type TextFinding,
  text,
} from './finding-kinds';

const YES_NO = { no: 'no', yes: 'yes' } as const;

/**
 * Every finding a clinical picture can hold. Forms, schemas, rules and the API all derive from this table.
 * Plausible ranges are common practice; the adult foot ranges leave room for children.
 */
export const FINDINGS = {
  // From the patient's record.
  ageYears: number('Age', 'years', [1, 100], [0, 120], { scope: 'body', step: null }),
  sizingGroup: choice(
    'Shoe sizing',
    { men: 'men’s', women: 'women’s', child: 'children’s' },
    { scope: 'body', step: null },
  ),
  bodyMass: number('Body mass', 'kg', [35, 150], [8, 320], { scope: 'body', step: 'ask' }),

  // Ask.
  activities: set(
    'What the shoes are for',
    {
      'road-running': 'road running',
      racing: 'race days',
      trail: 'trail',
      walking: 'walking',
      hiking: 'hiking',
      court: 'court, outdoors',
      'indoor-court': 'court, indoors',
      'lifting-upright': 'lifting, upright trunk',
      'lifting-low-bar': 'lifting, low bar',
      gym: 'gym, intervals',
      'standing-work': 'standing work',
      'protective-work': 'protective work',
      dress: 'dress, heeled',
      everyday: 'everyday',
    },
    { scope: 'body', step: 'ask' },
  ),
  surfaces: set(
    'Surfaces',
    {
      road: 'road, concrete',
      track: 'track',
      trail: 'trail, rough ground',
      sand: 'sand',
      'hard-court': 'hard court',
      'gym-floor': 'gym floor',
      'wet-floor': 'wet or greasy floor',
      home: 'home',
    },
    { scope: 'body', step: 'ask' },
  ),
  weeklyDistance: number('Distance a week', 'km', [0, 150], [0, 400], { scope: 'body', step: 'ask' }),
  hoursStanding: number('Standing a day', 'hours', [0, 14], [0, 24], { scope: 'body', step: 'ask' }),
  eventAhead: choice(
    'Event build-up under way',
    { none: 'none', short: '10 km or less', long: 'half or full marathon' },
    { scope: 'body', step: 'ask' },
  ),
  conditions: set(
    'Conditions',
    {
      diabetes: 'diabetes',
      'inflammatory-arthritis': 'inflammatory arthritis',
      gout: 'gout',
      lymphoedema: 'lymphoedema',
      osteoporosis: 'osteoporosis',
      pregnancy: 'pregnancy',
      neurological: 'neurological disease',
      'renal-failure': 'end-stage renal disease',
      'knee-arthritis-inner': 'knee arthritis, inner side',
      'hip-arthritis': 'hip arthritis',
      anticoagulant: 'takes an anticoagulant',
      steroid: 'takes a steroid',
    },
    { scope: 'body', step: 'ask' },
  ),
  falls: number('Falls in 12 months', 'count', [0, 10], [0, 200], {
    scope: 'body',
    step: 'ask',
    whole: true,
  }),
  fearOfFalling: choice('Fear of falling', YES_NO, { scope: 'body', step: 'ask' }),
  walkingAid: choice('Walking aid', YES_NO, { scope: 'body', step: 'ask' }),
  reach: choice(
    'Reaches own feet',
    { easily: 'easily', effort: 'with effort', no: 'no' },
    { scope: 'body', step: 'ask' },
  ),
  hands: choice(
    'Hands',
    { tie: 'tie a lace', pull: 'pull a strap only', weak: 'neither' },
    { scope: 'body', step: 'ask' },
  ),
  legLengthDifference: number('Leg length difference', 'mm', [0, 30], [0, 120], {
    scope: 'body',
    step: 'ask',
  }),
  prosthesisSide: choice(
    'Prosthesis',
    { none: 'none', left: 'left', right: 'right' },
    { scope: 'body', step: 'ask' },
  ),
  prosthesisSetRise: number('Foot set for heel rise', 'mm', [5, 20], [0, 60], { scope: 'body', step: 'ask' }),
  prosthesisLever: number('Prosthetic heel–ball length', 'mm', [140, 220], [80, 260], {
    scope: 'body',
    step: 'ask',
  }),
  prosthesisMonths: number('Months of walking on it', 'months', [0, 600], [0, 1000], {
    scope: 'body',
    step: 'ask',
  }),
  workedBefore: text('What worked before', 600, { scope: 'body', step: 'ask' }),
  failedBefore: text('What did not', 600, { scope: 'body', step: 'ask' }),
  pain: set(
    'Aches',
    {
      'achilles-mid': 'heel cord, mid-portion',
      'achilles-insertion': 'heel cord, insertion',
      calf: 'calf',
      shin: 'shin',
      'plantar-heel': 'under the heel',
      'heel-growth-plate': 'heel, growth plate',
      arch: 'arch',
      midfoot: 'midfoot joints',
      'ankle-outer': 'ankle, outer side',
      'ankle-inner': 'ankle, inner side',
      forefoot: 'ball of the foot',
      'between-toes': 'between the toes, burning',
      'big-toe': 'big-toe joint',
      'knee-front': 'front of the knee',
      'knee-inner': 'inner side of the knee',
      hip: 'hip',
    },
    { scope: 'foot', step: 'ask' },
  ),
  worstPain: number('Worst ache, 0–10', 'score', [0, 10], [0, 10], {
    scope: 'foot',
    step: 'ask',
    whole: true,
  }),
  injuries: set(
    'Injuries, old and new',
    {
      'lateral-sprain': 'ankle sprain',
      'repeated-sprain': 'repeated sprains, gives way',
      'bone-stress': 'bone stress injury',
      'achilles-rupture': 'heel cord rupture',
      'foot-ulcer': 'foot ulcer, healed',
      amputation: 'part of the foot amputated',
    },
    { scope: 'foot', step: 'ask' },
  ),
  swelling: choice(
    'Swelling',
    { none: 'none', changes: 'comes and goes in the day', constant: 'constant' },
    { scope: 'foot', step: 'ask' },
  ),
  insert: choice(
    'Insert or brace',
    { none: 'none', insole: 'insole', orthosis: 'foot orthosis', brace: 'ankle-foot orthosis or brace' },
    { scope: 'foot', step: 'ask' },
  ),
  insertHeel: number('Insert thickness, heel', 'mm', [1, 12], [0, 40], { scope: 'foot', step: 'ask' }),

  // Old pair.
  oldPairAge: number('Age of the pair', 'months', [0, 36], [0, 240], { scope: 'body', step: 'old-pair' }),
  oldPairDistance: number('Distance in it', 'km', [0, 1500], [0, 8000], { scope: 'body', step: 'old-pair' }),
  oldPairDrop: number('Its drop', 'mm', [0, 15], [0, 25], { scope: 'body', step: 'old-pair' }),
  oldPairCategory: choice(
    'Its kind',
    {
      neutral: 'neutral',
      structured: 'structured cushioning',
      stability: 'stability, motion control',
      maximal: 'maximal',
      minimal: 'minimal',
      other: 'other',
    },
    { scope: 'body', step: 'old-pair' },
  ),
  oldPairSigns: set(
    'Signs of use',
    {
      'midsole-creased': 'midsole creased or buckled, inner side',
      'folds-flat': 'folds in half without resistance',
      'new-aches': 'new aches since',
      'counter-broken': 'heel counter broken down, upper torn',
      tilts: 'tilts on a level table',
      'worn-through': 'outsole worn through to the midsole',
      'pattern-worn': 'outsole pattern worn',
      'kicked-off': 'kicked off while tied',
    },
    { scope: 'body', step: 'old-pair' },
  ),

  // Feet.
  footLength: number('Foot length, heel to longest toe', 'mm', [200, 310], [90, 360], {
    scope: 'foot',
    step: 'feet',
    how: 'standing, weight even',
  }),
  heelBallLength: number('Heel–ball length', 'mm', [140, 235], [60, 280], {
    scope: 'foot',
    step: 'feet',
    how: 'heel to first metatarsal head',
  }),
  ballWidth: number('Ball width', 'mm', [70, 125], [40, 160], { scope: 'foot', step: 'feet' }),
  ballGirth: number('Ball girth', 'mm', [180, 300], [110, 400], { scope: 'foot', step: 'feet' }),
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

  // Load.
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

  // Move.
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

  // Derived.
  atRiskCategory: number('At-risk category', 'score', [0, 3], [0, 3], {
    scope: 'foot',
    step: null,
    whole: true,
  }),
} as const satisfies Record<string, FindingDefinition>;

export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = Object.keys(FINDINGS) as FindingId[];

/** The definition under its general type, for code that walks the table. */
export const definitionOf = (id: FindingId): FindingDefinition => FINDINGS[id];

export const isFindingId = (id: string): id is FindingId => Object.hasOwn(FINDINGS, id);

export const findingsOfStep = (step: FindingStep): FindingId[] =>
  FINDING_IDS.filter((id) => FINDINGS[id].step === step);

type ValueOfDefinition<D> =
  D extends ChoiceFinding<infer O>
    ? O
    : D extends SetFinding<infer O>
      ? O[]
      : D extends NumberFinding
        ? number
        : D extends TextFinding
          ? string
          : never;

/** What a finding holds once examined. */
export type FindingValue<K extends FindingId> = ValueOfDefinition<(typeof FINDINGS)[K]>;
export type AnyFindingValue = number | string | string[];

type IdsOfScope<S> = { [K in FindingId]: (typeof FINDINGS)[K]['scope'] extends S ? K : never }[FindingId];
export type BodyFindingId = IdsOfScope<'body'>;
export type FootFindingId = IdsOfScope<'foot'>;
