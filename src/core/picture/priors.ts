import { type ClinicalPicture, NOT_EXAMINED } from './clinical-picture';
import { definitionOf, type FindingId } from './findings';

/**
 * What a finding could be before anybody takes it. Only used to rank what is worth finding out next, never to fill
 * in. `from` names the source (recalled) or says that it is an assumption.
 */
export type Prior = { from: string } & (
  | { shares: Readonly<Record<string, number>> }
  | { mean: number; sd: number }
  /** Each option of a set is present with this share. */
  | { each: number }
  | { between: readonly [number, number] }
);

const ASSUMED = 'assumption';

const PRIORS: Partial<Record<FindingId, Prior>> = {
  arch: {
    shares: { high: 0.25, medium: 0.5, low: 0.25 },
    from: 'Cavanagh & Rodgers 1987: quartiles by construction',
  },
  archMobility: { shares: { flexible: 0.8, rigid: 0.2 }, from: ASSUMED },
  bunion: {
    shares: { none: 0.77, mild: 0.13, moderate: 0.07, severe: 0.03 },
    from: 'Nix 2010: 23 % of adults',
  },
  lesserToes: { shares: { straight: 0.8, flexible: 0.14, rigid: 0.06 }, from: ASSUMED },
  roll: { shares: { in: 0.3, neutral: 0.55, out: 0.15 }, from: ASSUMED },
  strike: {
    shares: { heel: 0.75, midfoot: 0.18, forefoot: 0.07 },
    from: 'handbook 02: 70–80 % land on the heel',
  },
  kneeBend: { shares: { inside: 0.25, over: 0.65, outside: 0.1 }, from: ASSUMED },
  heelsLiftEarly: { shares: { no: 0.75, yes: 0.25 }, from: ASSUMED },
  swelling: { shares: { none: 0.7, changes: 0.2, constant: 0.1 }, from: ASSUMED },
  insert: { shares: { none: 0.75, insole: 0.1, orthosis: 0.12, brace: 0.03 }, from: ASSUMED },
  prosthesisSide: { shares: { none: 0.98, left: 0.01, right: 0.01 }, from: ASSUMED },
  midfootArthritis: { shares: { no: 0.9, yes: 0.1 }, from: ASSUMED },
  archFlattening: { shares: { no: 0.93, yes: 0.07 }, from: ASSUMED },
  reach: { shares: { easily: 0.75, effort: 0.18, no: 0.07 }, from: ASSUMED },
  hands: { shares: { tie: 0.85, pull: 0.1, weak: 0.05 }, from: ASSUMED },
  walkingAid: { shares: { no: 0.9, yes: 0.1 }, from: ASSUMED },
  fearOfFalling: { shares: { no: 0.8, yes: 0.2 }, from: ASSUMED },
  shorterLeg: { shares: { no: 0.5, yes: 0.5 }, from: ASSUMED },
  lungeDistance: { mean: 11, sd: 3, from: 'typical 9–13 cm (reference, item 9)' },
  lungeAngle: { mean: 40.5, sd: 5.5, from: 'typical 36–45° (reference, item 9)' },
  postureTotal: { mean: 4, sd: 3, from: 'Redmond 2008: adults about +4' },
  navicularDrop: { mean: 7, sd: 3, from: 'Loudon 1996: 6–9 mm normal' },
  bigToeRange: { mean: 62, sd: 16, from: ASSUMED },
  heelRises: { mean: 20, sd: 9, from: ASSUMED },
  singleLegStance: { between: [0, 45], from: ASSUMED },
  timedUpAndGo: { mean: 9, sd: 2.5, from: 'Bohannon 2006: 8.1–11.3 s by age' },
  chairStands: { mean: 12, sd: 3, from: ASSUMED },
  cadence: { mean: 86.3, sd: 4.4, from: 'Heiderscheit 2011: 172.6 steps, SD 8.8' },
  bodyMass: { mean: 76, sd: 15, from: ASSUMED },
  hoursStanding: { mean: 5, sd: 3, from: ASSUMED },
  weeklyDistance: { mean: 22, sd: 18, from: ASSUMED },
  peakPressure: { mean: 420, sd: 150, from: ASSUMED },
  excursionIndex: { mean: 14, sd: 8, from: 'Hagedorn 2013: fifths at 7.3 and 21' },
  ballHeelRatio: { mean: 1.46, sd: 0.08, from: 'Gordon 2014: mean breadths' },
  legLengthDifference: { between: [0, 12], from: ASSUMED },
  toeHeight: { mean: 24, sd: 3, from: ASSUMED },
  pittingGrade: { between: [0, 3], from: ASSUMED },
  hypermobilityScore: { mean: 2, sd: 2, from: ASSUMED },
  worstPain: { between: [0, 8], from: ASSUMED },
  oldPairDrop: { mean: 9, sd: 3, from: ASSUMED },
  insertHeel: { mean: 4, sd: 2, from: ASSUMED },
  pain: { each: 0.05, from: ASSUMED },
  injuries: { each: 0.06, from: ASSUMED },
  conditions: { each: 0.04, from: ASSUMED },
  activities: { each: 0.06, from: ASSUMED },
  surfaces: { each: 0.1, from: ASSUMED },
  skin: { each: 0.1, from: ASSUMED },
  oldPairSigns: { each: 0.1, from: ASSUMED },
};

const atRisk = (picture: ClinicalPicture): boolean =>
  picture.body.conditions !== NOT_EXAMINED &&
  picture.body.conditions.some(
    (entry) => entry === 'diabetes' || entry === 'neuropathy' || entry === 'renal-failure',
  );
const older = (picture: ClinicalPicture): boolean =>
  picture.body.ageYears !== NOT_EXAMINED && picture.body.ageYears >= 65;

/** The prior of a finding in this picture: sensation is lost oftener with diabetes, falls are commoner in age. */
export function priorOf(id: FindingId, picture: ClinicalPicture): Prior {
  if (id === 'sensation') {
    const lost = atRisk(picture) ? 0.3 : 0.03;
    return { shares: { felt: 1 - lost, lost }, from: ASSUMED };
  }
  if (id === 'pulses') {
    const absent = atRisk(picture) || older(picture) ? 0.15 : 0.03;
    return { shares: { present: 1 - absent, absent }, from: ASSUMED };
  }
  if (id === 'falls')
    return { mean: older(picture) ? 0.6 : 0.15, sd: older(picture) ? 0.9 : 0.4, from: ASSUMED };
  const known = PRIORS[id];
  if (known) return known;
  const definition = definitionOf(id);
  if (definition.kind === 'number') return { between: definition.plausible, from: ASSUMED };
  if (definition.kind === 'text') return { shares: {}, from: ASSUMED };
  const options = Object.keys(definition.options);
  return definition.kind === 'set'
    ? { each: 0.05, from: ASSUMED }
    : { shares: Object.fromEntries(options.map((option) => [option, 1 / options.length])), from: ASSUMED };
}

/** Error function, Abramowitz & Stegun 7.1.26: within 1.5 × 10⁻⁷. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const y =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-x * x);
  return x < 0 ? -y : y;
}

/** Share of a prior below a number. */
function below(
  prior: { mean: number; sd: number } | { between: readonly [number, number] },
  x: number,
): number {
  if ('mean' in prior) return (1 + erf((x - prior.mean) / (prior.sd * Math.SQRT2))) / 2;
  const [from, to] = prior.between;
  return Math.min(1, Math.max(0, (x - from) / (to - from)));
}

export interface Plausible {
  value: number | string | string[];
  share: number;
}

/**
 * Values that a finding could have, each standing for all that rules treat alike, with its share of the prior.
 * `edges` are the numbers at which some rule changes its mind; between two of them nothing changes.
 */
export function plausibleValues(
  id: FindingId,
  picture: ClinicalPicture,
  edges: readonly number[],
): Plausible[] {
  const definition = definitionOf(id);
  const prior = priorOf(id, picture);
  if (definition.kind === 'text') return [];
  if (definition.kind === 'set') {
    const each = 'each' in prior ? prior.each : 0;
    const options = Object.keys(definition.options);
    return [
      { value: [], share: Math.max(0, 1 - each * options.length) },
      ...options.map((option) => ({ value: [option], share: each })),
    ];
  }
  if ('shares' in prior) return Object.entries(prior.shares).map(([value, share]) => ({ value, share }));
  if (definition.kind !== 'number' || !('mean' in prior || 'between' in prior)) return [];
  const [least, most] = definition.possible;
  const cuts = [...new Set(edges)].filter((edge) => edge > least && edge < most).sort((a, b) => a - b);
  const ends = [least, ...cuts, most];
  const [from, to] = definition.plausible;
  return ends.slice(1).flatMap((high, at) => {
    const low = ends[at]!;
    const share = (at === ends.length - 2 ? 1 : below(prior, high)) - (at === 0 ? 0 : below(prior, low));
    // The middle of the cell, kept inside what is plausible where the cell allows it.
    const middle = (Math.max(low, Math.min(high, from)) + Math.min(high, Math.max(low, to))) / 2;
    return share > 1e-4 ? [{ value: definition.whole ? insideWhole(middle, low, high) : middle, share }] : [];
  });
}

/** A whole number of a cell; a cell between two neighbouring edges holds its lower edge. */
function insideWhole(middle: number, low: number, high: number): number {
  const rounded = Math.round(middle);
  return rounded > low && rounded < high ? rounded : Math.ceil(low);
}
