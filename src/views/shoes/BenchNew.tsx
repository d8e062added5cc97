import { useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { ModelRecord } from '@/contract/records';
import { type BenchAnswers, benchChanges, readBench } from '@/core/shoe/bench/read-bench';
import { BenchTest, type Typed } from '../bench/BenchTest';
import { useKeptDraft } from '../use-kept-draft';

interface Draft {
  answers: BenchAnswers;
  typed: Typed;
}

const EMPTY: Draft = { answers: {}, typed: {} };
const isDraft = (kept: unknown): kept is Draft =>
  typeof kept === 'object' && kept !== null && 'answers' in kept && 'typed' in kept;
const KIND = { fills: 'fills', confirms: 'confirms', disagrees: 'differs' } as const;

/** The ten tests of a new pair; what they change of what is known stands under them before it is kept. */
export function BenchNew({ record }: { record: ModelRecord }) {
  const [{ answers, typed }, setDraft, dropDraft] = useKeptDraft(`bench:${record.model.id}`, EMPTY, isDraft);
  const [answer, setAnswer] = useState<Answer<ModelRecord> | null>(null);
  const { features } = readBench(answers, { pair: 'new' });
  const changes = benchChanges(features, record.readings);
  const keep = async () => {
    const result = await call('benchTest', { params: { id: record.model.id }, body: { answers } });
    setAnswer(result);
    if (!result.ok) return;
    dropDraft();
    location.assign(`/shoes/${record.model.id}`);
  };
  return (
    <BenchTest
      pair="new"
      answers={answers}
      typed={typed}
      onChange={(next, text) => setDraft({ answers: next, typed: text })}
      end={
        <section aria-label="What this changes" className="border-t border-line pt-2 grid gap-1">
          <ul className="text-sm max-h-40 overflow-y-auto">
            {changes.map((change) => (
              <li key={change.feature} className={change.kind === 'disagrees' ? 'text-hold' : ''}>
                <span className="text-faint">{KIND[change.kind]}</span>{' '}
                {change.kind === 'fills' ? `${change.label}: ${change.measured}` : change.sentence}
              </li>
            ))}
          </ul>
          {answer && !answer.ok && (
            <p role="alert" className="problem">
              {failureInWords(answer)}
            </p>
          )}
          <p>
            <button type="button" className="press press-main" disabled={changes.length === 0} onClick={keep}>
              Keep {changes.length} value{changes.length === 1 ? '' : 's'}
            </button>
          </p>
        </section>
      }
    />
  );
}
