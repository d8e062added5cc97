import { useState } from 'react';
import { type NumberQuestion, numberQuestion } from '@/core/findings/finding-kinds';
import {
  BENCH_LENGTHS,
  BENCH_SIGNS,
  type BenchAsk,
  type PairAge,
  testsFor,
} from '@/core/shoe/bench/bench-tests';
import { type BenchAnswers, readBench } from '@/core/shoe/bench/read-bench';
import { featureOf } from '@/core/shoe/features';
import { minimalistIndexOf } from '@/core/shoe/minimalist-index';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from '@/core/shoe/motion-control-scale';
import { BenchDrawing } from '@/ui/drawing/BenchDrawing';
import { Choice } from '@/ui/fields/Choice';
import { GradeChoice } from '@/ui/fields/GradeChoice';
import { Measure } from '@/ui/fields/Measure';
import { BenchClock } from './BenchClock';

/** Typed text that is no value yet, by field. */
export type Typed = Record<string, string>;

interface Props {
  pair: PairAge;
  answers: BenchAnswers;
  typed: Typed;
  onChange: (answers: BenchAnswers, typed: Typed) => void;
  heelBallMm?: number | null;
  /** What stands after the last test. */
  end: React.ReactNode;
}

const LEVEL = { good: 'text-faint', note: 'text-hold', poor: 'problem' } as const;

/** Whether a test has an answer. */
const isDone = (asks: readonly BenchAsk[], { values, lengths, signs }: BenchAnswers): boolean =>
  asks.some((ask) =>
    ask.kind === 'feature'
      ? values?.[ask.feature] !== undefined
      : ask.kind === 'length'
        ? lengths?.[ask.id] !== undefined
        : signs?.[ask.id] !== undefined,
  );

/** Ten tests, one at a time, each with its picture; what they say stands beside them as it comes. */
export function BenchTest({ pair, answers, typed, onChange, heelBallMm = null, end }: Props) {
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
              typed={typed}
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

interface AskProps extends Pick<Props, 'answers' | 'typed' | 'onChange'> {
  ask: BenchAsk;
}

function Ask({ ask, answers, typed, onChange }: AskProps) {
  if (ask.kind === 'sign')
    return (
      <Choice
        label={BENCH_SIGNS[ask.id]}
        options={{ yes: 'yes', no: 'no' }}
        value={answers.signs?.[ask.id]}
        onChange={(value) => onChange({ ...answers, signs: put(answers.signs, ask.id, value) }, typed)}
      />
    );
  const number = (
    id: string,
    definition: NumberQuestion,
    value: number | undefined,
    to: (value: number | undefined) => BenchAnswers,
  ) => (
    <Measure
      definition={definition}
      value={value}
      typed={typed[id]}
      onChange={(next, text) => {
        const { [id]: _, ...rest } = typed;
        onChange(to(next), text === undefined ? rest : { ...rest, [id]: text });
      }}
    />
  );
  if (ask.kind === 'length')
    return number(
      ask.id,
      numberQuestion(BENCH_LENGTHS[ask.id], 'mm', [5, 420]),
      answers.lengths?.[ask.id],
      (value) => ({ ...answers, lengths: put(answers.lengths, ask.id, value) }),
    );
  const definition = featureOf(ask.feature);
  const value = answers.values?.[ask.feature];
  const to = (next: number | string | undefined): BenchAnswers => ({
    ...answers,
    values: put(answers.values, ask.feature, next),
  });
  if (definition.kind === 'scale')
    return number(
      ask.feature,
      numberQuestion(definition.label, definition.unit, [definition.bounds[0], definition.bounds[1]]),
      typeof value === 'number' ? value : undefined,
      to,
    );
  if (definition.kind === 'grade')
    return (
      <GradeChoice
        label={definition.label}
        anchors={definition.anchors}
        value={value === undefined ? undefined : Number(value)}
        onChange={(next) => onChange(to(next), typed)}
      />
    );
  return (
    <Choice
      label={definition.label}
      options={definition.options}
      value={value === undefined ? undefined : String(value)}
      onChange={(next) => onChange(to(next), typed)}
    />
  );
}

/** A table with one entry put in, or taken out where there is no value. */
function put<K extends string, V>(
  table: Partial<Record<K, V>> | undefined,
  key: K,
  value: V | undefined,
): Partial<Record<K, V>> {
  const next: Partial<Record<K, V>> = { ...table };
  if (value === undefined) delete next[key];
  else next[key] = value;
  return next;
}
