import { keysOf } from '../../tables/keys-of';
import {
  FEATURE_IDS,
  type FeatureId,
  type FeatureValue,
  type FeatureValues,
  featureOf,
  printFeature,
} from '../features';
import {
  decidingReading,
  disagree,
  type FeatureReadings,
  VALUE_SOURCES,
  type ValueSource,
} from '../readings/readings';
import { BENCH_ROWS, foldFinding } from './bench-rows';
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
  const shoe = { values, signs, lengths, context };
  const findings = [
    ...foldFinding(shoe),
    ...BENCH_ROWS.flatMap(({ test, level, sentence, holds }) =>
      holds(shoe)
        ? [{ test, level, sentence: typeof sentence === 'function' ? sentence(shoe) : sentence }]
        : [],
    ),
    ...(context.pair === 'old' ? wornFindings(signs) : []),
  ];
  return { features: values, findings };
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

function wornFindings(signs: NonNullable<BenchAnswers['signs']>): BenchFinding[] {
  const found = keysOf(WORN_SIGNS).filter((id) => signs[id] === 'yes');
  if (found.length > 0)
    return found.map((id) => ({ test: 'old-pair', level: 'poor', sentence: WORN_SIGNS[id].says }));
  return keysOf(WORN_SIGNS).every((id) => signs[id] === 'no')
    ? [{ test: 'old-pair', level: 'good', sentence: 'No sign that this pair is finished.' }]
    : [];
}

/** Signs of use that the bench found on a worn pair, as the old pair's findings name them. */
export const signsOfUse = (answers: BenchAnswers): string[] =>
  keysOf(WORN_SIGNS).flatMap((id) => {
    const { finding } = WORN_SIGNS[id];
    return finding && answers.signs?.[id] === 'yes' ? [finding] : [];
  });

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
    const said = decidingReading(readings[feature]?.filter(({ from }) => from !== 'bench'));
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
