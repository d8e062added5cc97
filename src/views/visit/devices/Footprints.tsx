import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import type { PrintIndices, Segment } from '@/core/examination/footprint/indices';
import { type FoundPrint, PRINT_NOTES, type PrintOptions } from '@/core/examination/footprint/read-print';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import { keysOf } from '@/core/tables/keys-of';
import { Choice } from '@/ui/fields/Choice';
import type { FootprintAnswer, FootprintQuestion } from '@/workers/footprint-worker';
import { useTask } from '../../use-task';
import { useExamined, useHeld } from '../visit-context';
import { FROM_HOME_MARK, FromHome } from './FromHome';
import { KeepReadings } from './keep';
import { PRINT_TOOLS, PrintDrawing, type PrintTool } from './PrintDrawing';
import { PrintScale } from './PrintScale';
import { TakeButton } from './TakeButton';
import { TaskLine } from './TaskLine';

const startWorker = () =>
  new Worker(new URL('../../../workers/footprint-worker.ts', import.meta.url), { type: 'module' });

const YES_NO = { no: 'no', yes: 'yes' };

const deviceFields = (side: Side) => [
  { key: 'archIndex', label: 'arch index', value: side === 'left' ? '0.242' : '0.251' },
  { key: 'lengthMm', label: 'length', unit: 'mm', value: '258' },
  { key: 'turnDeg', label: 'turn', unit: '°', value: '6' },
  { key: 'gapMm', label: 'gap under the arch', unit: 'mm', value: '0' },
  { key: 'tracedLineMm', label: 'as a tracing, pen', unit: 'mm', value: '0' },
  { key: 'grain', label: 'noise', value: '5' },
  { key: 'mirrored', label: 'mirrored', value: 'no', options: YES_NO },
  { key: 'toes', label: 'with toes', value: 'yes', options: YES_NO },
];

/** Both prints side by side: taken, corrected, measured, kept. */
export default function Footprints() {
  return (
    <div className="grid grid-cols-2 gap-5">
      {SIDES.map((side) => (
        <Footprint key={side} side={side} />
      ))}
    </div>
  );
}

interface Taken {
  print: FoundPrint;
  indices: PrintIndices;
  lengthPx: number;
}

function Footprint({ side }: { side: Side }) {
  const { picture } = useExamined();
  const task = useTask<FootprintQuestion, FootprintAnswer>(startWorker);
  const [file, setFile] = useHeld<File | null>(`print-file-${side}`, null);
  const [options, setOptions] = useHeld<Omit<PrintOptions, 'side'>>(`print-options-${side}`, {});
  const [taken, setTaken] = useHeld<Taken | null>(`print-${side}`, null);
  const [isFromHome, setFromHome] = useHeld(`print-home-${side}`, false);
  const [tool, setTool] = useState<PrintTool>('axis');
  const [brush, setBrush] = useState(12);
  const [scale, setScale] = useState<Segment | null>(null);

  const find = async (from: File, how: Omit<PrintOptions, 'side'>) => {
    setFile(from);
    setOptions(how);
    const answer = await task.ask({ find: from, options: { ...how, side } });
    if (!answer?.found) return;
    setTaken({ print: answer.found, indices: answer.indices, lengthPx: answer.lengthPx });
    setScale(null);
  };
  const again = async () => {
    if (!taken) return;
    const { sole, toes, axis } = taken.print;
    const answer = await task.ask({ measure: { sole, toes, axis, side } });
    if (answer) setTaken((now) => now && { ...now, indices: answer.indices, lengthPx: answer.lengthPx });
  };
  const redo = (part: Omit<PrintOptions, 'side'>) => file && void find(file, { ...options, ...part });
  const twoPrints = task.state.is === 'failed' && task.state.problem.code === 'two-prints';
  return (
    <section aria-label={`Footprint, ${side}`} className="grid gap-2 content-start min-w-0">
      <header className="flex items-center gap-3">
        <h2 className="capitalize text-base">{side}</h2>
        <TakeButton
          label={`Take a print, ${side}`}
          accept="image/png,image/jpeg"
          onFiles={([first]) => {
            if (!first) return;
            setFromHome(false);
            void find(first, {});
          }}
          device="Footprint scanner"
          fields={deviceFields(side)}
          onSimulate={async (settings) => {
            const answer = await fetchFile('footprintScanner', { query: { ...settings, side } });
            if (!answer.ok) return failureInWords(answer);
            setFromHome(false);
            void find(answer.value, {});
            return null;
          }}
        >
          {(close) => (
            <FromHome
              kind="print"
              onFiles={([first]) => {
                if (!first) return;
                close();
                setFromHome(true);
                void find(first, {});
              }}
            />
          )}
        </TakeButton>
      </header>
      <TaskLine state={task.state} onCancel={task.cancel} />
      {twoPrints && (
        <p className="flex gap-2">
          <button type="button" className="press" onClick={() => redo({ which: 'first' })}>
            Read the left or upper one
          </button>
          <button type="button" className="press" onClick={() => redo({ which: 'second' })}>
            Read the other
          </button>
        </p>
      )}
      {!taken && task.state.is !== 'working' && (
        <p className="text-faint">
          A photo or scan of a wet, ink or traced print, PNG or JPEG. The print is found, the toes are taken
          off, and you correct what is not right.
        </p>
      )}
      {file && (
        <div className="flex flex-wrap gap-x-4 text-sm">
          {(
            [
              ['mirrored', 'seen from below'],
              ['turned', 'toes at the other end'],
            ] as const
          ).map(([key, label]) => (
            <label key={key} className="flex gap-1.5 items-center">
              <input
                type="checkbox"
                checked={options[key] ?? false}
                onChange={(event) => redo({ [key]: event.target.checked })}
              />
              {label}
            </label>
          ))}
          <Crop crop={options.crop} onCrop={(crop) => redo({ crop })} />
        </div>
      )}
      {taken && (
        <>
          <div className="flex flex-wrap items-end gap-2">
            <Choice
              label={`Tool, ${side}`}
              quiet
              options={PRINT_TOOLS}
              value={tool}
              onChange={(value) => setTool(value ?? 'axis')}
            />
            {tool !== 'axis' && (
              <label className="flex items-center gap-1 text-sm">
                brush
                <input
                  type="range"
                  min={3}
                  max={40}
                  value={brush}
                  onChange={(event) => setBrush(Number(event.target.value))}
                  className="w-20"
                />
              </label>
            )}
          </div>
          <PrintDrawing
            print={taken.print}
            indices={taken.indices}
            tool={tool}
            brush={brush}
            scale={scale}
            onScale={setScale}
            onMask={(sole, toes) => setTaken((now) => now && { ...now, print: { ...now.print, sole, toes } })}
            onAxis={(axis) => setTaken((now) => now && { ...now, print: { ...now.print, axis } })}
            onEnd={() => void again()}
          />
          {taken.print.notes.map((note) => (
            <p key={note} role="status" className="text-hold text-sm">
              {PRINT_NOTES[note]}
            </p>
          ))}
          <KeepReadings
            step="feet"
            side={side}
            with="footprint"
            method={[
              taken.print.notes.includes('tracing') ? 'drawn outline' : 'print',
              ...(isFromHome ? [FROM_HOME_MARK] : []),
            ].join(', ')}
            readings={[
              { id: 'archIndex', value: taken.indices.archIndex },
              { id: 'chippauxSmirak', value: taken.indices.chippauxSmirak },
              { id: 'staheli', value: taken.indices.staheli },
              { id: 'clarkeAngle', value: taken.indices.clarkeDeepest },
              { id: 'clarkeAngleTangent', value: taken.indices.clarkeTangent },
            ]}
          />
          <PrintScale
            side={side}
            lengthPx={taken.lengthPx}
            indices={taken.indices}
            size={taken.print.picture}
            line={scale}
            onLine={setScale}
            footLengthMm={numberAt(picture, 'footLength', side)}
          />
        </>
      )}
    </section>
  );
}

type CropBox = NonNullable<PrintOptions['crop']>;
const WHOLE: CropBox = { left: 0, top: 0, right: 1, bottom: 1 };

/** The part of the picture to read, in per cent of its width and height. */
function Crop({ crop = WHOLE, onCrop }: { crop: CropBox | undefined; onCrop: (crop: CropBox) => void }) {
  return (
    <details>
      <summary className="cursor-pointer">crop</summary>
      <span className="flex flex-wrap gap-2">
        {keysOf(WHOLE).map((edge) => (
          <label key={edge} className="flex items-center gap-1">
            {edge}
            <input
              type="number"
              min={0}
              max={100}
              step={5}
              className="figure w-16"
              value={Math.round(crop[edge] * 100)}
              onChange={(event) => onCrop({ ...crop, [edge]: Number(event.target.value) / 100 })}
            />
            %
          </label>
        ))}
      </span>
    </details>
  );
}
