import { useState } from 'react';
import type { NumberFinding } from '@/core/picture/finding-kinds';
import {
  BENCH_LENGTHS,
  BENCH_SIGNS,
  type BenchAsk,
  type PairAge,
  testsFor,
} from '@/core/shoe/bench/bench-tests';
import { type BenchAnswers, readBench } from '@/core/shoe/bench/read-bench';
import { type FeatureId, featureOf } from '@/core/shoe/features';
import { minimalistIndexOf } from '@/core/shoe/minimalist-index';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from '@/core/shoe/motion-control-scale';
import { Choice } from '@/ui/controls/Choice';
import { Measure } from '@/ui/controls/Measure';
import { BenchDrawing } from '@/ui/drawing/BenchDrawing';
import { BenchClock } from './BenchClock';

interface Props {
  pair: PairAge;
  answers: BenchAnswers;
  onChange: (answers: BenchAnswers) => void;
  heelBallMm?: number | null;
  /** What stands after the last test. */
  end: React.ReactNode;
}

const LEVEL = { good: 'text-faint', note: 'text-hold', poor: 'problem' } as const;

const lengthField = (label: string): NumberFinding => ({
  kind: 'number',
  scope: 'body',
  step: null,
  label,
  unit: 'mm',
  plausible: [30, 340],
  possible: [5, 420],
});

/** Whether a test has any answer yet. */
const isDone = (asks: readonly BenchAsk[], { values, lengths, signs }: BenchAnswers): boolean =>
  asks.some((ask) =>
    ask.kind === 'feature'
      ? values?.[ask.feature] !== undefined
      : ask.kind === 'length'
        ? lengths?.[ask.id] !== undefined
        : signs?.[ask.id] !== undefined,
  );

/** Ten tests, one at a time, each with its picture; what they say stands beside them as it comes. */
export function BenchTest({ pair, answers, onChange, heelBallMm = null, end }: Props) {
  const tests = testsFor(pair);
  const [at, setAt] = useState(0);
  const test = tests[at]!;
  const { features, findings } = readBench(answers, { pair, heelBallMm });
  const scale = motionControlScaleOf(features);
  const index = minimalistIndexOf(features);
  const done = tests.filter(({ asks }) => isDone(asks, answers)).length;
  return (
    <div className="grid grid-cols-[9rem_minmax(0,1fr)] xl:grid-cols-[11rem_minmax(0,1fr)_15rem] gap-5 items-start">
      <nav aria-label="Bench tests">
        <ol>
          {tests.map((entry, place) => (
            <li key={entry.id}>
              <button
                type="button"
                className={`w-full text-left cursor-pointer py-1 border-b border-line ${place === at ? 'font-semibold' : ''}`}
                aria-current={place === at ? 'step' : undefined}
                onClick={() => setAt(place)}
              >
                <span className="figure text-faint">{place + 1}</span> {entry.title}{' '}
                <span className="text-faint text-xs">{isDone(entry.asks, answers) ? 'done' : ''}</span>
              </button>
            </li>
          ))}
        </ol>
        <BenchClock done={done} of={tests.length} />
      </nav>
      <section aria-labelledby="bench-title" className="grid gap-2">
        <h2 id="bench-title">
          {at + 1}. {test.title}
        </h2>
        <div className="grid grid-cols-[minmax(7rem,13rem)_1fr] gap-4">
          <BenchDrawing test={test.id} />
          <div>
            <p>{test.how}</p>
            <p className="text-faint">Good: {test.good}</p>
          </div>
        </div>
        <div className="grid gap-2">
          {test.asks.map((ask) => (
            <Ask
              key={ask.kind === 'feature' ? ask.feature : ask.id}
              ask={ask}
              answers={answers}
              onChange={onChange}
            />
          ))}
        </div>
        <p className="flex gap-3">
          <button type="button" className="press" disabled={at === 0} onClick={() => setAt(at - 1)}>
            Back
          </button>
          {at < tests.length - 1 ? (
            <button type="button" className="press press-main" onClick={() => setAt(at + 1)}>
              Next test
            </button>
          ) : (
            <span className="text-faint self-center">All ten seen.</span>
          )}
        </p>
        {end}
      </section>
      <aside aria-label="What the tests say" className="bg-desk px-3 py-2 text-sm max-xl:col-start-2">
        <p>
          Motion-control scale:{' '}
          <strong className="figure">
            {scale.least === scale.most ? scale.most : `${scale.least} to ${scale.most}`}
          </strong>{' '}
          of {MOTION_CONTROL_MOST}
        </p>
        <p>
          Minimalist index:{' '}
          <strong className="figure">
            {index.least === index.most ? index.most : `${index.least} to ${index.most}`} %
          </strong>
        </p>
        <div role="status" aria-label="Findings of the tests">
          <ul className="mt-2">
            {findings.map((finding) => (
              <li key={finding.sentence} className={LEVEL[finding.level]}>
                {finding.sentence}
              </li>
            ))}
          </ul>
        </div>
        {findings.length === 0 && <p className="text-faint">Nothing tested yet.</p>}
      </aside>
    </div>
  );
}

function Ask({
  ask,
  answers,
  onChange,
}: {
  ask: BenchAsk;
  answers: BenchAnswers;
  onChange: Props['onChange'];
}) {
  const [typed, setTyped] = useState<string | undefined>();
  if (ask.kind === 'sign')
    return (
      <Choice
        label={BENCH_SIGNS[ask.id]}
        options={{ yes: 'yes', no: 'no' }}
        value={answers.signs?.[ask.id]}
        onChange={(value) =>
          onChange({ ...answers, signs: put(answers.signs, ask.id, value as 'yes' | 'no') })
        }
      />
    );
  if (ask.kind === 'length')
    return (
      <Measure
        definition={lengthField(BENCH_LENGTHS[ask.id])}
        value={answers.lengths?.[ask.id]}
        typed={typed}
        onChange={(value, text) => {
          setTyped(text);
          onChange({ ...answers, lengths: put(answers.lengths, ask.id, value) });
        }}
      />
    );
  return <FeatureAsk feature={ask.feature} answers={answers} onChange={onChange} />;
}

/** A feature by its own scale: a number with its unit, a grade or an option by tap. */
function FeatureAsk({
  feature,
  answers,
  onChange,
}: {
  feature: FeatureId;
  answers: BenchAnswers;
  onChange: Props['onChange'];
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const definition = featureOf(feature);
  const value = answers.values?.[feature];
  const set = (next: number | string | undefined) =>
    onChange({ ...answers, values: put(answers.values, feature, next) });
  if (definition.kind === 'scale')
    return (
      <Measure
        definition={{
          kind: 'number',
          scope: 'body',
          step: null,
          label: definition.label,
          unit: definition.unit,
          plausible: [definition.bounds[0], definition.bounds[1]],
          possible: [definition.bounds[0], definition.bounds[1]],
        }}
        value={typeof value === 'number' ? value : undefined}
        typed={typed}
        onChange={(next, text) => {
          setTyped(text);
          set(next);
        }}
      />
    );
  if (definition.kind === 'grade')
    return (
      <Choice
        label={definition.label}
        options={Object.fromEntries(definition.anchors.map((anchor, at) => [`g${at + 1}`, anchor]))}
        value={value === undefined ? undefined : `g${Math.round(Number(value))}`}
        onChange={(next) => set(next === undefined ? undefined : Number(next.slice(1)))}
      />
    );
  return (
    <Choice
      label={definition.label}
      options={definition.options}
      value={value === undefined ? undefined : String(value)}
      onChange={set}
    />
  );
}

function put<K extends string, V>(
  table: Partial<Record<K, V>> | undefined,
  key: K,
  value: V | undefined,
): Partial<Record<K, V>> {
  const { [key]: _, ...rest } = { ...table } as Partial<Record<K, V>>;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Partial<Record<K, V>>;
}
