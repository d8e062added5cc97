import { useRef, useState } from 'react';
import type { PreviewLine } from '@/contract/records';
import { featureOf } from '@/core/shoe/features';
import { writtenDay } from '@/ui/formats';
import { readPreview } from './read-preview';
import type { HouseDraft } from './use-house-draft';

type Change = Extract<PreviewLine, { change: unknown }>['change'];

type State =
  | { is: 'idle' }
  | { is: 'working'; done: number; of: number }
  | { is: 'finished'; looked: number; changed: number }
  | { is: 'cancelled' }
  | { is: 'failed'; message: string };

/** Most changed specifications listed; the count is of all. */
const LISTED = 100;

/** What a draft would change for past patients, before it is put in force. */
export function PreviewPanel({ changes, settings }: Pick<HouseDraft, 'changes' | 'settings'>) {
  const [state, setState] = useState<State>({ is: 'idle' });
  const [found, setFound] = useState<readonly Change[]>([]);
  const abort = useRef<AbortController | null>(null);
  const start = async () => {
    const controller = new AbortController();
    abort.current = controller;
    setFound([]);
    setState({ is: 'working', done: 0, of: 0 });
    const list: Change[] = [];
    const failed = await readPreview({ changes, settings }, controller.signal, (line) => {
      if ('done' in line) {
        setState({ is: 'working', ...line });
        setFound([...list]);
      } else if ('finished' in line) {
        setFound([...list]);
        setState({ is: 'finished', ...line.finished });
      } else if (list.length < LISTED) list.push(line.change);
    });
    if (controller.signal.aborted) setState({ is: 'cancelled' });
    else if (failed) setState({ is: 'failed', message: failed });
  };
  return (
    <section aria-label="Preview" className="border-t border-rule pt-3 grid gap-2">
      <p className="flex gap-3 items-center">
        <button type="button" className="press" disabled={state.is === 'working'} onClick={start}>
          Preview on past patients
        </button>
        {state.is === 'working' && (
          <>
            <progress max={state.of || 1} value={state.done} aria-label="Specifications looked at" />
            <span className="figure">
              {state.done} of {state.of}
            </span>
            <button type="button" className="press" onClick={() => abort.current?.abort()}>
              Cancel
            </button>
          </>
        )}
      </p>
      <p role="status">
        {state.is === 'finished' &&
          `${state.changed} of ${state.looked} specifications would change${state.changed > 0 ? ': these.' : '.'}`}
        {state.is === 'cancelled' && 'Cancelled; nothing was changed.'}
      </p>
      {state.is === 'failed' && (
        <p role="alert" className="problem">
          {state.message}
        </p>
      )}
      <ul className="max-h-72 overflow-y-auto" tabIndex={0} aria-label="Specifications that would change">
        {found.map((change) => (
          <li key={change.specificationId} className="border-b border-line py-1">
            <a href={`/specifications/${change.specificationId}`}>
              {change.patient}, {writtenDay(change.issuedAt)}
            </a>
            <ul className="text-sm pl-4">
              {change.targets.map((target) => (
                <li key={target.feature + (target.side ?? '')}>
                  {featureOf(target.feature).label}
                  {target.side && `, ${target.side}`}: {target.before || 'nothing asked'} →{' '}
                  <strong>{target.after || 'nothing asked'}</strong>
                </li>
              ))}
              {change.deadlocks.map((message) => (
                <li key={message} className="problem">
                  {message}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
