import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { KeptOutings } from '@/contract/tracks';
import type { WornThen } from '@/core/tracks/assign';
import { usualStepM } from '@/core/tracks/steps';
import type { TracksAnswer, TracksQuestion } from '@/workers/tracks-worker';
import { useTask } from '../../use-task';
import { OutingTable } from './OutingTable';
import { rowsOf, type TrackRow } from './track-rows';

const startWorker = () =>
  new Worker(new URL('../../../workers/tracks-worker.ts', import.meta.url), { type: 'module' });

interface Props {
  patientId: string;
  /** Pairs that the patient has or had. */
  worn: readonly WornThen[];
  heightMm: number | null;
}

/** Distance from devices: files are read here, each outing finds its pair, and nothing is kept before somebody says so. */
export function TrackImport({ patientId, worn, heightMm }: Props) {
  const { ask, state, cancel } = useTask<TracksQuestion, TracksAnswer>(startWorker);
  const [rows, setRows] = useState<TrackRow[] | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const [step, setStep] = useState(heightMm === null ? '' : String(usualStepM(heightMm)));
  const [kept, setKept] = useState<KeptOutings | null>(null);
  const [failure, setFailure] = useState<string>();

  const read = async (files: TracksQuestion['files']) => {
    setKept(null);
    setFailure(undefined);
    const stepM = Number(step.replace(',', '.'));
    const answer = await ask({
      files,
      now: Date.now() / 1000,
      stepM: step.trim() !== '' && Number.isFinite(stepM) ? stepM : null,
    });
    if (!answer) return;
    setRows(rowsOf(answer, worn));
    setProblems(answer.problems.map(({ message }) => message));
  };
  const fromCounter = async () => {
    const answer = await fetch('/api/v1/devices/step-counter');
    if (!answer.ok) return setFailure('The step counter does not answer.');
    await read([{ name: 'step-counter.csv', bytes: await answer.blob() }]);
  };
  const keep = async () => {
    const outings = (rows ?? []).flatMap(({ outing, on, pair, isChosen }) =>
      isChosen && pair !== null && on !== null
        ? [
            {
              pair,
              source: outing.name,
              on,
              from: outing.from ?? Date.parse(`${on}T12:00`) / 1000,
              to: outing.to ?? Date.parse(`${on}T12:00`) / 1000,
              km: outing.km,
              ascentM: outing.ascentM,
              cadence: outing.cadence,
              surface: outing.surface,
            },
          ]
        : [],
    );
    const answer = await call('keepOutings', { params: { id: patientId }, body: { outings } });
    if (!answer.ok) return setFailure(failureInWords(answer));
    setFailure(undefined);
    setKept(answer.value);
    setRows(null);
  };
  const isBusy = state.is === 'working';
  return (
    <div className="grid gap-3 mt-2">
      <p className="text-faint">
        GPX, TCX or FIT of a watch or phone, CSV of outings or steps, or a ZIP archive of them. They are read
        on this computer; only what you keep goes to the record.
      </p>
      <div className="flex flex-wrap gap-4 items-end">
        <label className="grid gap-1">
          Files
          <input
            type="file"
            multiple
            accept=".gpx,.tcx,.fit,.csv,.gz,.zip"
            disabled={isBusy}
            onChange={(event) =>
              void read(
                [...(event.currentTarget.files ?? [])].map((file) => ({ name: file.name, bytes: file })),
              )
            }
          />
        </label>
        <label className="grid gap-1">
          Length of a step, m
          <input
            inputMode="decimal"
            className="w-24"
            value={step}
            onChange={(event) => setStep(event.currentTarget.value)}
          />
        </label>
        <button type="button" className="press" disabled={isBusy} onClick={() => void fromCounter()}>
          From the step counter (simulated)
        </button>
      </div>
      {state.is === 'working' && (
        <p role="status" className="flex flex-wrap gap-3 items-center">
          <progress max={1} value={state.share} aria-label="Reading" /> {state.stage}
          <button type="button" className="press" onClick={cancel}>
            Cancel
          </button>
        </p>
      )}
      {state.is === 'cancelled' && <p role="status">Cancelled; nothing was kept.</p>}
      {[
        ...problems,
        ...(state.is === 'failed' ? [state.problem.message] : []),
        ...(failure ? [failure] : []),
      ].map((problem) => (
        <p key={problem} role="alert" className="text-warn">
          {problem}
        </p>
      ))}
      {rows && rows.length > 0 && (
        <OutingTable rows={rows} pairs={worn} onChange={setRows} onKeep={() => void keep()} />
      )}
      {kept && <Kept kept={kept} />}
    </div>
  );
}

function Kept({ kept: { kept, doubled, refused } }: { kept: KeptOutings }) {
  return (
    <div role="status">
      <p>
        <strong>{kept === 1 ? 'One outing is kept.' : `${kept} outings are kept.`}</strong>{' '}
        {doubled.length > 0 && `${doubled.length} were there already. `}
        <button type="button" className="press press-quiet" onClick={() => location.reload()}>
          Assign the pairs again
        </button>
      </p>
      {refused.map(({ source, why }) => (
        <p key={source} className="text-hold">
          {source}: {why}
        </p>
      ))}
    </div>
  );
}
