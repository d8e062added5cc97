/** @jsxImportSource preact */
import { useEffect, useState } from 'preact/hooks';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { RecallLetters } from '@/contract/recall';
import type { RecallItem } from '@/contract/records';
import { type DayPart, dayPart } from '@/core/recall/day';
import {
  FIRST_OF_A_KIND,
  MOST_LETTERS,
  MOST_OF_A_KIND,
  RECALL_KINDS,
  type RecallKindId,
  recallKind,
  SHOWN_OF_A_KIND,
} from '@/core/recall/kinds';
import { DayStrip } from './DayStrip';
import { Later } from './Later';
import { RecallRow } from './RecallRow';

/** A row by what it is about. */
const rowKey = ({ kind, patient, on, what }: RecallItem): string => `${kind} ${patient.id} ${on} ${what}`;

interface RecallListProps {
  /** The first rows of each kind; the others come when they are asked for. */
  items: readonly RecallItem[];
  /** The site whose list it is; null for all of them. */
  site: string | null;
  /** The day, as the server has it. */
  today: string;
}

/** The day: who needs what, most urgent first, with what to do next; what was tried, what to put off, whom to write to. */
export function RecallList({ items, site, today }: RecallListProps) {
  const [list, setList] = useState(items);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [written, setWritten] = useState<RecallLetters | null>(null);
  const [problem, setProblem] = useState<string>();
  const [part, setPart] = useState<DayPart | null>(null);
  // What had more than its first rows stays so, however many of them are dealt with.
  const [cutShort, setCutShort] = useState(() =>
    RECALL_KINDS.filter((kind) => items.filter((row) => row.kind === kind).length >= FIRST_OF_A_KIND),
  );
  const change = (row: RecallItem, to: RecallItem | null) =>
    setList((all) => all.flatMap((one) => (rowKey(one) === rowKey(row) ? (to === null ? [] : [to]) : [one])));
  const choose = (rows: readonly RecallItem[], on: boolean) =>
    setChosen((before) => {
      const keys = rows.map(rowKey);
      return new Set(on ? [...before, ...keys] : [...before].filter((key) => !keys.includes(key)));
    });
  const open = async (kind: RecallKindId) => {
    const answer = await call('today', { query: { kind, ...(site !== null && { site }) } });
    if (!answer.ok) return setProblem(failureInWords(answer));
    setProblem(undefined);
    setList((all) => [...all.filter((row) => row.kind !== kind), ...answer.value]);
    setCutShort((before) => before.filter((one) => one !== kind));
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the list is there
  useEffect(() => {
    // No warning stands behind a button.
    for (const kind of cutShort) if (recallKind(kind).isWarning) void open(kind);
  }, []);
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
  if (list.length === 0) return <p>Nothing is due today. New visits begin from a patient’s page.</p>;
  const belongs = (row: RecallItem) => part === null || dayPart(row.kind, row.on, today) === part;
  return (
    <>
      <DayStrip items={list} today={today} cutShort={cutShort} part={part} onPart={setPart} />
      {written && (
        <Later
          load={() => import('./Letters').then(({ Letters }) => Letters)}
          props={{ written, onClose: () => setWritten(null) }}
          onProblem={setProblem}
        />
      )}
      {problem && (
        <p role="alert" className="text-warn">
          {problem}
        </p>
      )}
      {RECALL_KINDS.map((kind) => {
        const ofKind = list.filter((row) => row.kind === kind);
        const rows = ofKind.filter(belongs);
        const isWhole = !cutShort.includes(kind);
        // What was read of it may all be dealt with: the rest is still asked for.
        return rows.length === 0 && (isWhole || ofKind.length > 0) ? null : (
          <Group
            key={kind}
            kind={kind}
            rows={rows}
            today={today}
            isWhole={isWhole}
            onOpen={() => void open(kind)}
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
  today: string;
  /** All of it is here, not its first rows alone. */
  isWhole: boolean;
  onOpen: () => void;
  chosen: ReadonlySet<string>;
  onChoose: (rows: readonly RecallItem[], on: boolean) => void;
  onChange: (row: RecallItem, to: RecallItem | null) => void;
  onProblem: (problem: string | undefined) => void;
}

function Group({ kind, rows, isWhole, onOpen, chosen, onChoose, ...acts }: GroupProps) {
  const { title, says, letter } = recallKind(kind);
  const shown = isWhole ? rows : rows.slice(0, SHOWN_OF_A_KIND);
  const choice = shown.slice(0, MOST_LETTERS);
  const areChosen = choice.every((row) => chosen.has(rowKey(row)));
  const all = choice.length < shown.length ? `Choose the first ${MOST_LETTERS}` : 'Choose all';
  const choiceLabel = areChosen ? 'Choose none' : all;
  return (
    <section className="grid md:grid-cols-[13rem_minmax(0,1fr)] gap-x-6 gap-y-1 border-t border-rule pt-2 mb-5">
      <div>
        <h2>
          {title}{' '}
          <span className="figure text-faint font-text text-base">
            {isWhole && rows.length < MOST_OF_A_KIND ? rows.length : `${rows.length} or more`}
          </span>
        </h2>
        <p className="text-faint text-sm">{says}</p>
        {letter !== null && shown.length > 1 && (
          <button
            type="button"
            className="press mt-1"
            aria-label={`${choiceLabel}: ${title}`}
            onClick={() => onChoose(choice, !areChosen)}
          >
            {choiceLabel}
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
        {!isWhole && (
          <button type="button" className="press mt-1" aria-label={`Show more: ${title}`} onClick={onOpen}>
            Show more
          </button>
        )}
      </div>
    </section>
  );
}
