import { lazy, Suspense, useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import { readDifference } from '@/core/examination/real-difference';
import { SCAN_UNITS, type ScanReading, type ScanUnit } from '@/core/examination/scan/reading';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { definitionOf, shortLabelOf } from '@/core/findings/findings';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { keysOf } from '@/core/tables/keys-of';
import { figureIn } from '@/core/units/parse';
import { DataTable } from '@/ui/table/DataTable';
import type { ScanAnswer, ScanQuestion } from '@/workers/scan-worker';
import { useTask } from '../../use-task';
import { useRecord } from '../use-findings';
import { useExamined, useHeld } from '../visit-context';
import { TakeButton } from './TakeButton';
import { TaskLine } from './TaskLine';

const MeshView = lazy(() => import('./MeshView'));
const startWorker = () =>
  new Worker(new URL('../../../workers/scan-worker.ts', import.meta.url), { type: 'module' });

const YES_NO = { no: 'no', yes: 'yes' };
const deviceFields = (side: Side) => [
  { key: 'lengthMm', label: 'length', unit: 'mm', value: side === 'left' ? '257' : '259' },
  { key: 'ballWidthMm', label: 'ball width', unit: 'mm', value: '99' },
  { key: 'ballGirthMm', label: 'ball girth', unit: 'mm', value: '246' },
  { key: 'heelWidthMm', label: 'heel width', unit: 'mm', value: '64' },
  { key: 'dorsumHeightMm', label: 'dorsum', unit: 'mm', value: '66' },
  { key: 'toeHeightMm', label: 'toes', unit: 'mm', value: '24' },
  { key: 'turn', label: 'turn in the file', unit: '°', value: '25' },
  { key: 'grainMm', label: 'roughness', unit: 'mm', value: '0.05' },
  { key: 'holes', label: 'holes', value: '1' },
  {
    key: 'unit',
    label: 'unit of the file',
    value: 'mm',
    options: Object.fromEntries(Object.keys(SCAN_UNITS).map((unit) => [unit, unit])),
  },
  { key: 'floor', label: 'with its floor', value: 'yes', options: YES_NO },
  { key: 'insideOut', label: 'inside out', value: 'no', options: YES_NO },
];

const MEASURES = [
  'footLength',
  'heelBallLength',
  'ballWidth',
  'ballGirth',
  'instepGirth',
  'heelWidth',
  'toeHeight',
  'dorsumHeight',
] as const;
type ScanMeasure = (typeof MEASURES)[number];

/** Scans of both feet: read, stood on the floor, measured, held against the tape. */
export default function Scans() {
  return (
    <div className="grid grid-cols-2 gap-5">
      {SIDES.map((side) => (
        <Scan key={side} side={side} />
      ))}
    </div>
  );
}

function Scan({ side }: { side: Side }) {
  const task = useTask<ScanQuestion, ScanAnswer>(startWorker);
  const [file, setFile] = useHeld<File | null>(`scan-file-${side}`, null);
  const [reading, setReading] = useHeld<ScanAnswer | null>(`scan-${side}`, null);
  const [lit, setLit] = useState<string | null>(null);
  const read = async (from: File, unit: ScanUnit | null) => {
    setFile(from);
    const answer = await task.ask({ file: from, name: from.name, side, unit });
    if (answer) setReading(answer);
  };
  const asksUnit = task.state.is === 'failed' && task.state.problem.code === 'unit';
  return (
    <section aria-label={`Scan, ${side}`} className="grid gap-2 content-start min-w-0">
      <header className="flex items-center gap-3">
        <h2 className="capitalize text-base">{side}</h2>
        <TakeButton
          label={`Take a scan, ${side}`}
          accept=".stl,.ply,.obj"
          onFiles={([first]) => first && void read(first, null)}
          device="Foot scanner"
          fields={deviceFields(side)}
          onSimulate={async (settings) => {
            const answer = await fetchFile('footScanner', { query: { ...settings, side } });
            if (!answer.ok) return failureInWords(answer);
            void read(answer.value, null);
            return null;
          }}
        />
      </header>
      <TaskLine state={task.state} onCancel={task.cancel} />
      {asksUnit && file && (
        <p className="flex gap-2 items-center">
          The file is in
          {keysOf(SCAN_UNITS).map((unit) => (
            <button key={unit} type="button" className="press" onClick={() => void read(file, unit)}>
              {unit}
            </button>
          ))}
        </p>
      )}
      {!reading && task.state.is !== 'working' && (
        <p className="text-faint">
          One foot’s surface as STL, PLY or OBJ, in any unit and any position. Floor, heel, axis and side are
          found; small holes are closed and reported.
        </p>
      )}
      {reading && (
        <>
          <Suspense fallback={<div className="h-60 border border-line" />}>
            <MeshView reading={reading} lit={lit} />
          </Suspense>
          <p className="text-faint text-sm">
            {reading.triangles.toLocaleString('en')} triangles, {reading.unit}.{' '}
            {reading.notes.map((note) => note.message).join(' ')}
          </p>
          <ScanMeasureTable reading={reading} onLit={setLit} />
        </>
      )}
    </section>
  );
}

/** Scan against tape, measure by measure; each is taken into the visit on its own or all at once. */
function ScanMeasureTable({
  reading,
  onLit,
}: {
  reading: ScanReading;
  onLit: (name: string | null) => void;
}) {
  const { picture, readOnly } = useExamined();
  const record = useRecord('feet');
  const { side, measures } = reading;
  const rounded = (id: ScanMeasure) => Math.round(measures[id] * 10) / 10;
  const take = (ids: readonly ScanMeasure[]) =>
    record(
      ids.map((id) => ({ place: side, id, value: rounded(id) })),
      { with: 'scan' },
    );
  const heldOf = (id: ScanMeasure): number | null => {
    const held = picture[side][id];
    return held === NOT_EXAMINED ? null : held;
  };
  const apartOf = (id: ScanMeasure): number | null => {
    const held = heldOf(id);
    return held === null ? null : rounded(id) - held;
  };
  return (
    <>
      <DataTable
        spacing="tight"
        rows={MEASURES}
        keyOf={String}
        rowProps={(id) => ({ onMouseEnter: () => onLit(id), onMouseLeave: () => onLit(null) })}
        columns={[
          { id: 'measure', head: 'Measure, mm', namesRow: true, cell: shortLabelOf },
          { id: 'scan', head: 'Scan', figure: true, cell: (id) => rounded(id).toFixed(1) },
          {
            id: 'held',
            head: 'Held',
            figure: true,
            cell: (id) => {
              const held = heldOf(id);
              return held === null ? <span className="text-faint">–</span> : figureIn('mm', held);
            },
          },
          {
            id: 'apart',
            head: 'Apart',
            figure: true,
            className: (id) => (readDifference(id, apartOf(id) ?? 0) === 'beyond error' ? 'text-hold' : ''),
            cell: (id) => {
              const apart = apartOf(id);
              return apart === null ? '' : figureIn('mm', apart);
            },
          },
          {
            id: 'take',
            head: 'Take',
            quiet: true,
            className: 'text-right',
            cell: (id) => (
              <button
                type="button"
                className="press press-quiet min-h-0 py-0"
                aria-label={`Take ${definitionOf(id).label}, ${side}`}
                disabled={readOnly || heldOf(id) === rounded(id)}
                onFocus={() => onLit(id)}
                onBlur={() => onLit(null)}
                onClick={() => take([id])}
              >
                {heldOf(id) === rounded(id) ? 'held' : 'take'}
              </button>
            ),
          },
        ]}
      />
      <p className="flex gap-3 items-baseline">
        <button type="button" className="press" disabled={readOnly} onClick={() => take(MEASURES)}>
          Keep all, {side}
        </button>
        <span className="text-faint text-xs">
          Over 2 mm apart from the tape (girths 4) is more than scan and tape usually differ: ISO 20685-1,
          from memory, check.
        </span>
      </p>
    </>
  );
}
