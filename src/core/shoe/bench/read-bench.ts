import {
  FEATURE_IDS,
  type FeatureId,
  type FeatureValue,
  type FeatureValues,
  featureOf,
  printFeature,
} from '../features';
import {
  disagree,
  type FeatureReadings,
  readingThatCounts,
  VALUE_SOURCES,
  type ValueSource,
} from '../readings/readings';
import type { BenchLength, BenchSign, PairAge } from './bench-tests';

/** What the tests gave so far; absent is not done. */
export interface BenchAnswers {
  values?: Partial<Record<FeatureId, FeatureValue>>;
  lengths?: Partial<Record<BenchLength, number>>;
  signs?: Partial<Record<BenchSign, 'yes' | 'no'>>;
}

export interface BenchContext {
  pair: PairAge;
  /** The wearer's heel–ball length, mm, where it is known. */
  heelBallMm?: number | null;
}

export interface BenchFinding {
  test: string;
  level: 'good' | 'poor' | 'note';
  sentence: string;
}

export interface BenchReading {
  /** What the tests say the shoe has. */
  features: FeatureValues;
  findings: BenchFinding[];
}

/** A foot's heel sits about this far inside the outer back edge of the sole. Common practice. */
const HEEL_INSET_MM = 6;
/** A fold further than this from the wearer's big-toe joint is a miss. Common practice. */
const FOLD_MISS_MM = 10;
/** Without a wearer: anatomy puts the joint at 72–74 % of foot length (from memory), trade at a fifth from the front. */
const FOLD_SHARE: readonly [number, number] = [0.69, 0.82];

const percent = (part: number | undefined, whole: number | undefined): number | undefined =>
  part === undefined || !whole ? undefined : Math.round((part / whole) * 100);

const inBounds = (feature: FeatureId, value: number): boolean => {
  const definition = featureOf(feature);
  return definition.kind !== 'scale' || (value >= definition.bounds[0] && value <= definition.bounds[1]);
};

/** What the answers say of the shoe: features worked out from lengths and feel, and what is good or poor about it. */
export function readBench(answers: BenchAnswers, context: BenchContext): BenchReading {
  const { lengths = {}, signs = {} } = answers;
  const values: Partial<Record<FeatureId, FeatureValue>> = { ...answers.values };
  const put = (feature: FeatureId, value: number | undefined) => {
    if (value !== undefined && inBounds(feature, value)) values[feature] = value;
  };
  put('bendPoint', percent(lengths.foldFromHeel, lengths.soleLength));
  put('counterReach', percent(lengths.counterLength, lengths.soleLength));
  if (values.heelStack !== undefined && values.forefootStack !== undefined)
    put('drop', Number(values.heelStack) - Number(values.forefootStack));
  if (signs.onlyColour === 'yes' && signs.medialFirmer !== 'yes') values.medialSupport = 'none';
  const findings: BenchFinding[] = [];
  const say = (test: string, level: BenchFinding['level'], sentence: string) =>
    findings.push({ test, level, sentence });
  sayFold(lengths, context, say);
  saySupport(values, signs, say);
  sayFit(values, signs, say);
  if (context.pair === 'old') sayWorn(signs, say);
  return { features: values, findings };
}

type Say = (test: string, level: BenchFinding['level'], sentence: string) => void;

function sayFold(
  lengths: NonNullable<BenchAnswers['lengths']>,
  { heelBallMm }: BenchContext,
  say: Say,
): void {
  const { foldFromHeel, soleLength } = lengths;
  if (foldFromHeel === undefined) return;
  if (soleLength !== undefined && foldFromHeel >= soleLength) {
    say('bend', 'note', 'The fold cannot lie beyond the tip: measure both again.');
    return;
  }
  if (heelBallMm) {
    const off = foldFromHeel - (heelBallMm + HEEL_INSET_MM);
    const where = off < 0 ? 'behind, under the arch' : 'in front, under the toes';
    if (Math.abs(off) > FOLD_MISS_MM)
      say(
        'bend',
        'poor',
        `Folds ${Math.round(Math.abs(off))} mm ${where}: it misses this wearer’s big-toe joint.`,
      );
    else say('bend', 'good', `Folds within ${FOLD_MISS_MM} mm of this wearer’s big-toe joint.`);
    return;
  }
  if (soleLength === undefined) return;
  const share = foldFromHeel / soleLength;
  if (share < FOLD_SHARE[0]) say('bend', 'poor', 'Folds too far back, under the arch.');
  else if (share > FOLD_SHARE[1]) say('bend', 'poor', 'Folds too far forward, under the toes.');
  else say('bend', 'good', 'Folds where the ball lies in most feet of this size.');
}

function saySupport(values: FeatureValues, signs: NonNullable<BenchAnswers['signs']>, say: Say): void {
  const grade = (feature: FeatureId) => (values[feature] === undefined ? null : Number(values[feature]));
  const torsion = grade('torsionalStiffness');
  if (torsion !== null)
    say(
      'wring',
      torsion >= 3.5 ? 'good' : 'note',
      torsion >= 3.5 ? 'Holds against twisting.' : 'Twists easily: no support in the middle.',
    );
  const counter = grade('heelCounter');
  if (counter !== null && counter <= 1.5) say('squeeze', 'poor', 'The heel collapses from the sides.');
  if (signs.crushesFromAbove === 'yes') say('squeeze', 'poor', 'The heel collapses from above.');
  if (counter !== null && counter >= 3 && signs.crushesFromAbove === 'no')
    say('squeeze', 'good', 'The heel holds from the sides and from above.');
  const reach = grade('counterReach');
  if (reach !== null) {
    if (reach <= 17) say('counter-reach', 'poor', `The cap covers ${reach} % of the shoe: a sixth or less.`);
    else if (reach >= 28) say('counter-reach', 'good', `The cap covers ${reach} %: about a third.`);
    else say('counter-reach', 'note', `The cap covers ${reach} %, less than a third.`);
  }
  if (signs.medialFirmer === 'yes') say('two-density', 'good', 'A real firmer part on the inner side.');
  if (signs.onlyColour === 'yes' && signs.medialFirmer !== 'yes')
    say('two-density', 'poor', 'The inner side differs in colour only: no post.');
  const overlays = grade('overlaysReachSole');
  if (overlays !== null)
    say(
      'lace-pull',
      overlays >= 2.5 ? 'good' : overlays <= 1.5 ? 'poor' : 'note',
      overlays >= 2.5
        ? 'Tightening holds the sides.'
        : overlays <= 1.5
          ? 'The laces pull the eyelets only, not the sides.'
          : 'The overlays reach part of the way.',
    );
}

function sayFit(values: FeatureValues, signs: NonNullable<BenchAnswers['signs']>, say: Say): void {
  if (values.removableInsole === 'no')
    say('insole-out', 'poor', 'The insole does not come out: no orthosis fits.');
  if (signs.footInsideInsole === 'no')
    say('insole-out', 'poor', 'The foot overhangs the insole: too narrow or the wrong shape.');
  if (signs.footInsideInsole === 'yes') say('insole-out', 'good', 'The whole foot lies on the insole.');
  if (signs.fingersMeet === 'yes')
    say('toe-box', 'note', 'Fingers meet over the toes: too much depth, toes will grip.');
  if (Number(values.toeBoxDepth ?? 2) <= 1.25) say('toe-box', 'poor', 'No slack over the toes.');
  if (values.collarClear === 'no') say('collar', 'poor', 'The collar meets the ankle bones.');
  if (signs.collarHard === 'yes') say('collar', 'poor', 'The collar edge is hard.');
  if (Number(values.collarPadding ?? 2) >= 2.75)
    say('collar', 'note', 'A bulky collar rubs the ankle bones.');
}

/** What each sign of a worn pair means, and the sign of use it stands for in the old pair's findings. */
export const WORN_SIGNS = {
  foldsFlat: { says: 'Folds without resistance: the midsole is finished.', finding: 'folds-flat' },
  creased: { says: 'Creased and buckled on the inner side.', finding: 'midsole-creased' },
  tilts: { says: 'Tilts: the foam has given way on one side.', finding: 'tilts' },
  wornThrough: { says: 'Worn through to the midsole.', finding: 'worn-through' },
  counterBroken: { says: 'The heel counter is broken down.', finding: 'counter-broken' },
  liningHoles: {
    says: 'Holes in the lining: the heel slips, or the shoe is short or narrow there.',
    finding: null,
  },
} as const;

function sayWorn(signs: NonNullable<BenchAnswers['signs']>, say: Say): void {
  for (const [id, { says }] of Object.entries(WORN_SIGNS))
    if (signs[id as BenchSign] === 'yes') say('old-pair', 'poor', says);
  if (Object.keys(WORN_SIGNS).every((id) => signs[id as BenchSign] === 'no'))
    say('old-pair', 'good', 'No sign that this pair is finished.');
}

/** Signs of use that the bench found on a worn pair, as the old pair's findings name them. */
export const signsOfUse = (answers: BenchAnswers): string[] =>
  Object.entries(WORN_SIGNS).flatMap(([id, { finding }]) =>
    finding && answers.signs?.[id as BenchSign] === 'yes' ? [finding] : [],
  );

/** What a value from the bench does to what is known of the model. */
export interface BenchChange {
  feature: FeatureId;
  label: string;
  measured: string;
  /** What stood there; null where nothing was known. */
  before: { says: string; from: ValueSource } | null;
  kind: 'fills' | 'confirms' | 'disagrees';
  sentence: string;
}

/** Each value that the bench gave against what was said before: fills an unknown, confirms, or disagrees. */
export function benchChanges(features: FeatureValues, readings: FeatureReadings): BenchChange[] {
  return FEATURE_IDS.flatMap((feature): BenchChange[] => {
    const value = features[feature];
    if (value === undefined) return [];
    const said = readingThatCounts(readings[feature]?.filter(({ from }) => from !== 'bench'));
    const label = featureOf(feature).label;
    const measured = printFeature(feature, value);
    if (!said)
      return [
        {
          feature,
          label,
          measured,
          before: null,
          kind: 'fills' as const,
          sentence: `${label} was not known.`,
        },
      ];
    const before = { says: printFeature(feature, said.value), from: said.from };
    const kind = disagree(feature, said.value, value) ? ('disagrees' as const) : ('confirms' as const);
    return [
      {
        feature,
        label,
        measured,
        before,
        kind,
        sentence:
          kind === 'confirms'
            ? `${label} as the ${VALUE_SOURCES[said.from]} says.`
            : `${label}: ${VALUE_SOURCES[said.from]} says ${before.says}, measured ${measured}.`,
      },
    ];
  });
}
