/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { call, failureInWords } from '@/contract/client';
import type { RecallLetters } from '@/contract/recall';
import type { RecallItem } from '@/contract/records';
import { RECALL_KINDS, type RecallKindId, recallKind } from '@/core/recall/kinds';
import { Letters } from './Letters';
import { RecallRow } from './RecallRow';

const SHOWN = 12;

/** A row by what it is about. */
const rowKey = ({ kind, patient, on, what }: RecallItem): string => `${kind} ${patient.id} ${on} ${what}`;

/** Who needs what, most urgent first: what was tried, what to put off, whom to write to. */
export function RecallList({ items, most }: { items: readonly RecallItem[]; most: number }) {
  const [list, setList] = useState(items);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [written, setWritten] = useState<RecallLetters | null>(null);
  const [problem, setProblem] = useState<string>();
  const change = (row: RecallItem, to: RecallItem | null) =>
    setList((all) => all.flatMap((one) => (rowKey(one) === rowKey(row) ? (to === null ? [] : [to]) : [one])));
  const choose = (rows: readonly RecallItem[], on: boolean) =>
    setChosen((before) => {
      const keys = rows.map(rowKey);
      return new Set(on ? [...before, ...keys] : [...before].filter((key) => !keys.includes(key)));
    });
  const write = async () => {
    const to = list
      .filter((row) => chosen.has(rowKey(row)))
      .map(({ patient, kind, on }) => ({ patient: patient.id, kind, on }));
    const answer = await call('writeLetters', { body: { to } });
    if (!answer.ok) return setProblem(failureInWords(answer));
    setProblem(undefined);
    setWritten(answer.value);
    setChosen(new Set());
    const now = new Date().toISOString();
    const went = answer.value.letters.filter((letter) => letter.went !== 'not');
    setList((all) =>
      all.map((row) =>
        went.some(({ patient, kind }) => patient.id === row.patient.id && kind === row.kind)
          ? { ...row, tried: { way: 'written', at: now, by: '' } }
          : row,
      ),
    );
  };
  if (list.length === 0) return <p>Nobody needs anything today. New visits begin from a patient’s page.</p>;
  return (
    <>
      {written && <Letters written={written} onClose={() => setWritten(null)} />}
      {problem && (
        <p role="alert" className="text-warn">
          {problem}
        </p>
      )}
      {RECALL_KINDS.map((kind) => {
        const rows = list.filter((row) => row.kind === kind);
        return rows.length === 0 ? null : (
          <Group
            key={kind}
            kind={kind}
            rows={rows}
            most={most}
            chosen={chosen}
            onChoose={choose}
            onChange={change}
            onProblem={setProblem}
          />
        );
      })}
      {chosen.size > 0 && (
        <div className="sticky bottom-0 bg-paper border-t border-rule py-2 flex flex-wrap gap-3 items-center">
          <strong>{chosen.size} chosen</strong>
          <button type="button" className="press press-main" onClick={() => void write()}>
            Write to them
          </button>
          <button type="button" className="press" onClick={() => setChosen(new Set())}>
            Choose nobody
          </button>
        </div>
      )}
    </>
  );
}

interface GroupProps {
  kind: RecallKindId;
  rows: readonly RecallItem[];
  most: number;
  chosen: ReadonlySet<string>;
  onChoose: (rows: readonly RecallItem[], on: boolean) => void;
  onChange: (row: RecallItem, to: RecallItem | null) => void;
  onProblem: (problem: string | undefined) => void;
}

function Group({ kind, rows, most, chosen, onChoose, ...acts }: GroupProps) {
  const { title, says, letter } = recallKind(kind);
  const [all, setAll] = useState(false);
  const shown = all ? rows : rows.slice(0, SHOWN);
  const areChosen = shown.every((row) => chosen.has(rowKey(row)));
  return (
    <section className="grid md:grid-cols-[13rem_minmax(0,1fr)] gap-x-6 gap-y-1 border-t border-rule pt-2 mb-5">
      <div>
        <h2>
          {title}{' '}
          <span className="figure text-faint font-text text-base">
            {rows.length >= most ? `${most} or more` : rows.length}
          </span>
        </h2>
        <p className="text-faint text-sm">{says}</p>
        {letter !== null && shown.length > 1 && (
          <button
            type="button"
            className="press mt-1"
            aria-label={`${areChosen ? 'Choose none' : 'Choose all'}: ${title}`}
            onClick={() => onChoose(shown, !areChosen)}
          >
            {areChosen ? 'Choose none' : 'Choose all'}
          </button>
        )}
      </div>
      <div>
        <ul>
          {shown.map((row) => (
            <RecallRow
              key={rowKey(row)}
              row={row}
              chosen={letter === null ? null : chosen.has(rowKey(row))}
              onChoose={(on) => onChoose([row], on)}
              {...acts}
            />
          ))}
        </ul>
        {rows.length > shown.length && (
          <button type="button" className="press mt-1" onClick={() => setAll(true)}>
            {rows.length - shown.length} more
          </button>
        )}
      </div>
    </section>
  );
}
