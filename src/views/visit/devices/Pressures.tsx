import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import type { FootAxis } from '@/core/examination/footprint/orient';
import {
  PRESSURE_LINES,
  relieves,
  type Spread,
  type StepsSummary,
  summarise,
} from '@/core/examination/pressure/analyse';
import { PLANTAR_REGIONS, type PlantarRegion } from '@/core/examination/pressure/masks';
import { EXAMINATION_SOURCES } from '@/core/examination/sources';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { Choice } from '@/ui/fields/Choice';
import { Select } from '@/ui/fields/Select';
import { DataTable } from '@/ui/table/DataTable';
import type { PressureAnswer, PressureQuestion } from '@/workers/pressure-worker';
import { useTask } from '../../use-task';
import { useExamined, useHeld } from '../visit-context';
import { KeepReadings, type Reading } from './keep';
import { PressureFilm, type PressureLine } from './PressureFilm';
import { TakeButton } from './TakeButton';
import { TaskLine } from './TaskLine';

const startWorker = () =>
  new Worker(new URL('../../../workers/pressure-worker.ts', import.meta.url), { type: 'module' });

const deviceFields = (side: Side) => [
  { key: 'peakKpa', label: 'peak', unit: 'kPa', value: side === 'left' ? '430' : '380' },
  { key: 'excursionIndex', label: 'excursion index', unit: '%', value: side === 'left' ? '14' : '17' },
  { key: 'midfoot', label: 'midfoot contact', value: '0.4' },
  { key: 'lengthMm', label: 'length', unit: 'mm', value: '258' },
  { key: 'frames', label: 'frames', value: '70' },
  { key: 'turnDeg', label: 'turn', unit: '°', value: '4' },
  { key: 'grain', label: 'noise', unit: 'kPa', value: '2' },
  { key: 'seed', label: 'seed', value: '1' },
];

/** Steps over a plate or insole: rolled, masked, measured; several steps make a mean with its spread. */
export default function Pressures() {
  const { picture } = useExamined();
  const risk = SIDES.some((side) => {
    const category = picture[side].atRiskCategory;
    return category !== NOT_EXAMINED && category >= 1;
  });
  const [line, setLine] = useState<PressureLine>('barefoot');
  return (
    <div className="grid gap-3">
      <div className="flex items-end gap-4">
        <Choice
          label="Recorded"
          options={{ barefoot: 'barefoot', 'in-shoe': 'in the shoe' }}
          value={line}
          onChange={(value) => value && setLine(value)}
        />
        <p className="text-faint text-xs max-w-lg">
          {risk
            ? `Outlined cells reach ${PRESSURE_LINES[line].kpa} kPa. ${PRESSURE_LINES[line].says}`
            : `Outlined cells reach ${PRESSURE_LINES[line].kpa} kPa: a line for at-risk feet, no injury limit for others.`}{' '}
          {PRESSURE_LINES[line].cite} (
          {PRESSURE_LINES[line].trust >= 85 ? 'from memory' : 'from memory, check'}).
        </p>
      </div>
      <div className="grid grid-cols-2 gap-5">
        {SIDES.map((side) => (
          <Steps key={side} side={side} line={line} />
        ))}
      </div>
      <p className="text-faint text-xs">
        Bands of the excursion index: {EXAMINATION_SOURCES['song-1996'].cite}. Never compare plates with
        insoles, or sensors of different size.
      </p>
    </div>
  );
}

/** The step taken last, however many there are. */
const LATEST = Number.POSITIVE_INFINITY;

const meanAndSpread = ({ mean, sd }: Spread, decimals: number) =>
  `${mean.toFixed(decimals)}${sd > 0 ? ` ± ${sd.toFixed(decimals)}` : ''}`;

function Steps({ side, line }: { side: Side; line: PressureLine }) {
  const task = useTask<PressureQuestion, PressureAnswer>(startWorker);
  const [steps, setSteps] = useHeld<PressureAnswer[]>(`steps-${side}`, []);
  const [chosen, setShown] = useState(LATEST);
  const shown = Math.min(chosen, steps.length - 1);
  const [pitch, setPitch] = useState('');
  const read = async (files: readonly File[]) => {
    for (const file of files) {
      const pitchMm = Number(pitch.replace(',', '.'));
      const answer = await task.ask({ file, side, ...(pitchMm > 0 ? { pitchMm } : {}) });
      if (!answer) return;
      setSteps((now) => [...now, answer]);
      setShown(LATEST);
    }
  };
  const moveAxis = async (axis: FootAxis) => {
    const step = steps[shown];
    if (!step) return;
    const frames = step.recording.frames.map((frame) => frame.slice());
    const answer = await task.ask({ again: { ...step.recording, frames }, side, axis });
    if (answer) setSteps((now) => now.map((entry, at) => (at === shown ? answer : entry)));
  };
  const current = steps[shown];
  const summary = steps.length > 0 ? summarise(steps.map((step) => step.reading)) : null;
  const asksPitch = task.state.is === 'failed' && task.state.problem.code === 'no-pitch';
  return (
    <section aria-label={`Pressure, ${side}`} className="grid gap-2 content-start min-w-0">
      <header className="flex items-center gap-3 flex-wrap">
        <h2 className="capitalize text-base">{side}</h2>
        <TakeButton
          label={`Take a step, ${side}`}
          accept=".csv,.txt,text/csv"
          multiple
          onFiles={(files) => void read(files)}
          device="Pressure plate"
          fields={deviceFields(side)}
          onSimulate={async (settings) => {
            const answer = await fetchFile('pressurePlate', { query: { ...settings, side } });
            if (!answer.ok) return failureInWords(answer);
            void read([answer.value]);
            return null;
          }}
        />
        {steps.length > 0 && (
          <span className="flex gap-1 items-center text-sm">
            {steps.map((_, at) => (
              <button
                key={at}
                type="button"
                className="press px-2"
                aria-pressed={at === shown}
                aria-label={`Step ${at + 1}, ${side}`}
                onClick={() => setShown(at)}
              >
                {at + 1}
              </button>
            ))}
            <button
              type="button"
              className="press press-quiet"
              onClick={() => {
                setSteps(steps.filter((_, at) => at !== shown));
                setShown(LATEST);
              }}
            >
              drop this step
            </button>
          </span>
        )}
      </header>
      <TaskLine state={task.state} onCancel={task.cancel} />
      {asksPitch && (
        <label className="flex gap-2 items-center">
          Sensor pitch, mm
          <input className="figure w-16" value={pitch} onChange={(event) => setPitch(event.target.value)} />
          then take the file again
        </label>
      )}
      {!current && task.state.is !== 'working' && (
        <p className="text-faint">
          A step as CSV of frames (time, row, sensors; kPa). Take three or more a side: one step is not a
          measurement.
        </p>
      )}
      {current && summary && (
        <>
          <PressureFilm
            recording={current.recording}
            mask={current.mask}
            reading={current.reading}
            line={line}
            onAxis={(axis) => void moveAxis(axis)}
          />
          {current.recording.notes.map((note) => (
            <p key={note.code} role="status" className="text-hold text-sm">
              {note.message}
            </p>
          ))}
          <KeepReadings
            step="move"
            side={side}
            with="plate"
            method={`${line}, mean of ${steps.length}`}
            readings={readingsOf(summary)}
          />
          {line === 'in-shoe' && <Relief side={side} summary={summary} />}
          <details>
            <summary className="cursor-pointer">Twelve regions</summary>
            <DataTable
              spacing="tight"
              rows={summary.regions}
              keyOf={(region) => region.region}
              columns={[
                {
                  id: 'region',
                  head: 'Region',
                  namesRow: true,
                  cell: (region) => PLANTAR_REGIONS[region.region],
                },
                {
                  id: 'peak',
                  head: 'Peak, kPa',
                  figure: true,
                  cell: (region) => meanAndSpread(region.peakKpa, 0),
                },
                {
                  id: 'integral',
                  head: 'kPa·s',
                  figure: true,
                  cell: (region) => meanAndSpread(region.pressureTimeKpaS, 1),
                },
                {
                  id: 'contact',
                  head: 'cm²',
                  figure: true,
                  cell: (region) => meanAndSpread(region.contactCm2, 1),
                },
              ]}
            />
          </details>
        </>
      )}
    </section>
  );
}

/** Whether a shoe relieves a healed site enough: the region’s peak now against the one in the shoe before. */
function Relief({ side, summary }: { side: Side; summary: StepsSummary }) {
  const [region, setRegion] = useState<PlantarRegion>(summary.highest.peak);
  const [typed, setTyped] = useState('');
  const before = Number(typed.replace(',', '.'));
  const now = summary.regions.find((entry) => entry.region === region)!.peakKpa.mean;
  const answer = typed !== '' && before > 0 ? relieves(before, now) : null;
  return (
    <div className="flex flex-wrap gap-2 items-end text-sm">
      <Select
        label={`Healed site, ${side}`}
        options={PLANTAR_REGIONS}
        value={region}
        onChange={(next) => next && setRegion(next)}
      />
      <label>
        <span className="block text-faint">in the shoe before, kPa</span>
        <input
          aria-label={`In the shoe before, kPa, ${side}`}
          className="figure w-20 text-right"
          inputMode="decimal"
          value={typed}
          aria-invalid={typed !== '' && !(before > 0)}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <p role="status" className={answer && !answer.enough ? 'text-hold' : ''}>
        {now.toFixed(0)} kPa now
        {answer &&
          `, ${answer.fallPercent.toFixed(1)} % less: ${answer.enough ? 'reaches' : 'does not reach'} the target (30 % less, or under 200 kPa)`}
      </p>
    </div>
  );
}

function readingsOf(summary: StepsSummary): Reading[] {
  const spreadOf = (spread: Spread, decimals: number) =>
    spread.sd > 0 ? `± ${spread.sd.toFixed(decimals)}` : '';
  const integral = summary.regions.find((region) => region.region === summary.highest.pressureTime)!;
  const row = (id: Reading['id'], spread: Spread, decimals: number, where = ''): Reading => ({
    id,
    value: spread.mean,
    note: [spreadOf(spread, decimals), where].filter(Boolean).join(', '),
  });
  return [
    row('peakPressure', summary.peakKpa, 0, PLANTAR_REGIONS[summary.highest.peak]),
    row('pressureTimeIntegral', integral.pressureTimeKpaS, 1, PLANTAR_REGIONS[integral.region]),
    row('contactArea', summary.contactCm2, 1),
    ...(summary.excursionIndex ? [row('excursionIndex', summary.excursionIndex, 1)] : []),
    row('archIndexLoaded', summary.archIndex, 3),
  ];
}
