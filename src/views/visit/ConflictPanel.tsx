import { useState } from 'react';
import { FINDINGS, isFindingId } from '@/core/findings/findings';
import type { SavedStep } from '@/core/visit/steps';
import { STEP_NAME } from '@/core/visit/steps';
import { DataTable } from '@/ui/table/DataTable';
import { type Difference, differences, withMine } from './differences';
import { useExamined } from './visit-context';

const say = (value: unknown): string => {
  if (value === undefined) return 'not examined';
  if (Array.isArray(value))
    return value.length === 0
      ? 'none'
      : value.map((entry) => (typeof entry === 'object' ? JSON.stringify(entry) : String(entry))).join(', ');
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
};

const nameOf = (path: readonly string[]): string => {
  const last = path.at(-1) ?? '';
  const side = path.find((part) => part === 'left' || part === 'right');
  const label = isFindingId(last) ? FINDINGS[last].label : last;
  return side ? `${label}, ${side}` : label;
};

/** Path of the value that a `taken` entry belongs to: findings.taken.left.arch.at → findings.left.arch. */
function keyOfValue(path: readonly string[]): string {
  const at = path.indexOf('taken');
  return at < 0 ? '' : [...path.slice(0, at), path[at + 1]].join('.');
}

/** Somebody saved this step first: both versions value by value, and the person decides; nothing is overwritten. */
export function ConflictPanel({ step }: { step: SavedStep }) {
  const { state, store } = useExamined();
  const entry = state.steps[step];
  const all = differences(entry.content, entry.theirs?.content);
  // How a value was taken goes where the value goes; it is no choice of its own.
  const rows = all.filter((row) => !row.path.includes('taken'));
  const [keepMine, setKeepMine] = useState<ReadonlySet<string>>(
    () => new Set(rows.map((row) => row.path.join('.'))),
  );
  const choose = (key: string, mine: boolean) => {
    const next = new Set(keepMine);
    if (mine) next.add(key);
    else next.delete(key);
    setKeepMine(next);
  };
  const choice = (row: Difference, mine: boolean) => {
    const key = row.path.join('.');
    return (
      <label className="flex gap-2">
        <input
          type="radio"
          name={key}
          checked={keepMine.has(key) === mine}
          onChange={() => choose(key, mine)}
        />
        {say(mine ? row.mine : row.theirs)}
      </label>
    );
  };
  const settle = () => {
    if (!entry.theirs) return;
    const kept = all.filter((row) => keepMine.has(row.path.join('.')) || keepMine.has(keyOfValue(row.path)));
    store.settle(step, withMine(entry.theirs.content, kept));
  };
  return (
    <div role="alert" aria-label="Two versions" className="grid gap-3">
      <p>
        <strong>
          {entry.theirs?.savedBy || 'Somebody'} saved {STEP_NAME[step]} while you worked on it.
        </strong>{' '}
        Nothing has been overwritten. Choose for each value which one stays.
      </p>
      <DataTable
        className=""
        rows={rows}
        keyOf={(row) => row.path.join('.')}
        columns={[
          { id: 'value', head: 'Value', namesRow: true, cell: (row) => nameOf(row.path) },
          { id: 'mine', head: 'Yours', cell: (row) => choice(row, true) },
          { id: 'theirs', head: entry.theirs?.savedBy || 'Theirs', cell: (row) => choice(row, false) },
        ]}
      />
      <button type="button" className="press press-main justify-self-start" onClick={settle}>
        Save these values
      </button>
    </div>
  );
}
