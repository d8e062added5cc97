import { useState } from 'react';
import type { Point } from '@/core/examination/footprint/orient';
import {
  KNEE_BEND_METHODS,
  KNEE_BEND_PLACINGS,
  type KneeBendMarks,
  type KneeBendMethod,
  type KneeBendPlacing,
  kneeBendClass,
  readKneeBend,
  summariseKneeBend,
} from '@/core/examination/gait/knee-bend';
import { snapToMark } from '@/core/examination/gait/skin-marks';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import type { PlacedValue } from '@/core/findings/with-values';
import { figureIn } from '@/core/units/parse';
import { Handle } from '@/ui/drawing/Handle';
import { Choice } from '@/ui/fields/Choice';
import { DataTable } from '@/ui/table/DataTable';
import { useRecord, useStepContent } from '../use-findings';
import { useExamined, useHeld } from '../visit-context';
import { FrameStage, PlacedLine, withEnd } from './FrameStage';
import { type Clip, pixelsOf } from './load-frames';
import { TakeButton } from './TakeButton';
import { TaskLine } from './TaskLine';
import { Transport } from './Transport';
import { useClip } from './use-clip';

/** How far around a point its dot is looked for, of the height of the picture: nothing else dark is near a bare leg. */
const SNAP_SHARE = 0.07;
const SIDE_OPTIONS = { left: 'left', right: 'right' };
/** Two dots on the floor, as the simulated camera has them. */
const USUAL_SCALE_MM = 200;

const deviceFields = (side: Side) => [
  { key: 'side', label: 'foot', value: side, options: SIDE_OPTIONS },
  { key: 'insideMm', label: 'falls inside', unit: 'mm', value: side === 'left' ? '22' : '6' },
  { key: 'aheadMm', label: 'knee before the toe', unit: 'mm', value: '20' },
  { key: 'rollDeg', label: 'camera rolled', unit: '°', value: '0' },
  { key: 'frames', label: 'frames', value: '12' },
  { key: 'grain', label: 'noise', value: '4' },
];

/** Where the marks lie before anybody has placed them. */
const firstMarks = ({ width, height }: Clip): KneeBendMarks => ({
  knee: { x: width * 0.5, y: height * 0.3 },
  toe: { x: width * 0.5, y: height * 0.84 },
  plumb: [
    { x: width * 0.22, y: height * 0.1 },
    { x: width * 0.22, y: height * 0.8 },
  ],
  scale: [
    { x: width * 0.32, y: height * 0.9 },
    { x: width * 0.68, y: height * 0.9 },
  ],
});

/** The knee bend on a frame from in front: a plumb line from the kneecap, millimetres to the second toe, three placings a side. */
export default function KneeBend() {
  const { readOnly } = useExamined();
  const { content } = useStepContent('load');
  const record = useRecord('load');
  const [marks, setMarks] = useHeld<ReadonlyMap<number, KneeBendMarks>>('knee-marks', new Map());
  const loaded = useClip('knee', 'kneeCamera', () => setMarks(new Map()));
  const [side, setSide] = useState<Side>('left');
  const [method, setMethod] = useState<KneeBendMethod>('parallel');
  const [scaleMm, setScaleMm] = useHeld('knee-scale', USUAL_SCALE_MM);
  const { clip, frame } = loaded;
  const placings = content.kneeBend ?? [];
  const now = clip && (marks.get(frame) ?? firstMarks(clip));
  // Points that nobody has placed measure nothing.
  const isPlaced = marks.has(frame);
  const reading = now && isPlaced ? readKneeBend(now, side, scaleMm) : null;

  const put = (next: KneeBendPlacing[], of: KneeBendMethod = method) => {
    const means = summariseKneeBend(next).filter((entry) => entry.method === of);
    record(
      [
        ...SIDES.map((place): PlacedValue => {
          const mean = means.find((entry) => entry.side === place);
          return { place, id: 'kneeBendMm', value: mean && Math.round(mean.insideMm * 2) / 2 };
        }),
        { place: 'body', id: 'kneeBendMethod', value: of },
      ],
      { with: 'clip', method: `from in front, ${KNEE_BEND_METHODS[of]}` },
      { kneeBend: next },
    );
  };
  const keep = () => {
    if (now && reading) put([...placings, { side, method, ...reading, frame, marks: now, scaleMm }]);
  };
  const move = (next: KneeBendMarks) => setMarks((all) => new Map(all).set(frame, next));
  const snap = () => {
    const picture = clip?.frames[frame];
    if (!picture || !now) return;
    const pixels = pixelsOf(picture);
    const to = (point: Point) => snapToMark(pixels, point, picture.height * SNAP_SHARE);
    const [knee, toe, left, right] = [to(now.knee), to(now.toe), to(now.scale[0]), to(now.scale[1])];
    if (knee && toe && left && right) {
      loaded.setMessage(null);
      move({ ...now, knee, toe, scale: [left, right] });
    } else loaded.setMessage('Not every point has a dark mark near it: move it closer, or place it by eye.');
  };
  return (
    <div className="grid gap-2">
      <header className="flex flex-wrap items-end gap-4">
        <TakeButton
          label="Load a front view"
          accept="video/*,image/png,image/jpeg"
          multiple
          onFiles={(files) => void loaded.load(files)}
          device="Camera from in front"
          fields={deviceFields(side)}
          onSimulate={(settings) => {
            setSide(settings.side === 'right' ? 'right' : 'left');
            setScaleMm(USUAL_SCALE_MM);
            return loaded.simulate(settings);
          }}
        />
        <Choice
          label="Foot"
          options={SIDE_OPTIONS}
          value={side}
          onChange={(value) => value && setSide(value)}
        />
        <Choice
          label="Bent how"
          options={KNEE_BEND_METHODS}
          value={method}
          onChange={(value) => value && setMethod(value)}
        />
        <label>
          <span className="block text-faint">Scale, point to point</span>
          <input
            type="number"
            min={1}
            max={2000}
            className="figure w-20 text-right"
            value={scaleMm}
            onChange={({ target }) => setScaleMm(Number(target.value))}
          />{' '}
          mm
        </label>
      </header>
      <TaskLine state={loaded.state} onCancel={loaded.cancel} />
      {loaded.message && (
        <p role="status" className="text-hold">
          {loaded.message}
        </p>
      )}
      {clip && now && (
        <div className="grid grid-cols-[minmax(15rem,20rem)_1fr] gap-4">
          <div className="grid gap-1 content-start">
            <KneeStage clip={clip} frame={frame} marks={now} onMarks={move} />
            <Transport loaded={loaded} />
          </div>
          <div className="grid gap-2 content-start">
            {reading ? (
              <p>
                <strong className="font-display text-2xl figure" aria-live="polite">
                  {figureIn('mm', Math.round(Math.abs(reading.insideMm) * 2) / 2)} mm
                </strong>{' '}
                {reading.insideMm >= 0 ? 'inside' : 'outside'} the second toe, leaning{' '}
                <span className="figure">{figureIn('deg', Math.abs(reading.leanDeg))}°</span>{' '}
                {reading.leanDeg >= 0 ? 'inward' : 'outward'}
                <span className="block text-faint text-sm">
                  The line falls {FINDINGS.kneeBend.options[kneeBendClass(reading.insideMm)]}.
                </span>
              </p>
            ) : (
              <p role="status" className="text-hold">
                {isPlaced
                  ? 'Place the plumb line and both points of the scale.'
                  : 'Place the points: kneecap, second toe, plumb line, scale.'}
              </p>
            )}
            <p className="flex flex-wrap gap-2">
              <button type="button" className="press" onClick={snap}>
                Snap to the dots
              </button>
              <button
                type="button"
                className="press press-main"
                disabled={readOnly || !reading}
                onClick={keep}
              >
                Keep this placing
              </button>
            </p>
            <Placings
              placings={placings}
              onRemove={
                readOnly
                  ? null
                  : (at) =>
                      put(
                        placings.filter((_, index) => index !== at),
                        placings[at]!.method,
                      )
              }
            />
          </div>
        </div>
      )}
      {!clip && (
        <>
          {loaded.state.is !== 'working' && (
            <p className="text-faint max-w-prose">
              From in front, camera at knee height, 2 to 3 m away, trousers up. A pen dot on the middle of the
              kneecap and on the second toe, two dots at a known distance beside the foot, and something
              upright in the picture. Feet parallel, 15 cm apart, the other leg straight; or on one leg. Bend
              as far as the heel stays down; three placings a side.
            </p>
          )}
          <Placings placings={placings} onRemove={null} />
        </>
      )}
    </div>
  );
}

interface StageProps {
  clip: Clip;
  frame: number;
  marks: KneeBendMarks;
  onMarks: (marks: KneeBendMarks) => void;
}

/** One frame with kneecap, toe, plumb line and scale; each point is dragged, or moved by arrow keys. */
function KneeStage({ clip, frame, marks, onMarks }: StageProps) {
  const unit = clip.height / 480;
  const { knee, toe, plumb, scale } = marks;
  const [upper, lower] = plumb;
  const length = Math.max(1, Math.hypot(lower.x - upper.x, lower.y - upper.y));
  const down = { x: (lower.x - upper.x) / length, y: (lower.y - upper.y) / length };
  const fall = Math.max(0, (toe.x - knee.x) * down.x + (toe.y - knee.y) * down.y);
  const foot = { x: knee.x + down.x * fall, y: knee.y + down.y * fall };
  const handle = (at: Point, label: string, onMove: (to: Point) => void) => (
    <Handle key={label} at={at} label={label} unit={unit * 0.8} step={0.5} onMove={onMove} />
  );
  return (
    <FrameStage clip={clip} frame={frame} label="with plumb line and scale">
      <PlacedLine line={plumb} colour="#6f4600" width={unit * 1.5} past={0} />
      <PlacedLine line={scale} colour="#2f5d3a" width={unit * 1.5} past={0} />
      <PlacedLine line={[knee, foot]} colour="#0b3d91" width={unit * 2} past={0} />
      <PlacedLine line={[foot, toe]} colour="#8c1f13" width={unit * 2} past={0} />
      {handle(knee, 'Middle of the kneecap', (to) => onMarks({ ...marks, knee: to }))}
      {handle(toe, 'Tip of the second toe', (to) => onMarks({ ...marks, toe: to }))}
      {([0, 1] as const).map((end) =>
        handle(plumb[end], `Plumb line, ${end === 0 ? 'upper' : 'lower'} end`, (to) =>
          onMarks({ ...marks, plumb: withEnd(plumb, end, to) }),
        ),
      )}
      {([0, 1] as const).map((end) =>
        handle(scale[end], `Scale, ${end === 0 ? 'first' : 'second'} point`, (to) =>
          onMarks({ ...marks, scale: withEnd(scale, end, to) }),
        ),
      )}
    </FrameStage>
  );
}

/** Both sides with mean and spread, and each placing to be taken out again. */
function Placings({
  placings,
  onRemove,
}: {
  placings: readonly KneeBendPlacing[];
  onRemove: ((at: number) => void) | null;
}) {
  if (placings.length === 0) return null;
  const mm = (value: number) => `${figureIn('mm', Math.round(value * 2) / 2)} mm`;
  return (
    <section aria-label="Knee bend placings" className="grid gap-1">
      <DataTable
        spacing="close"
        rows={summariseKneeBend(placings)}
        keyOf={({ side, method }) => `${side}-${method}`}
        columns={[
          { id: 'side', head: 'Foot', namesRow: true, cell: ({ side }) => side },
          { id: 'method', head: 'Bent', cell: ({ method }) => KNEE_BEND_METHODS[method] },
          { id: 'inside', head: 'Inside the toe', figure: true, cell: ({ insideMm }) => mm(insideMm) },
          {
            id: 'spread',
            head: 'Spread',
            figure: true,
            cell: ({ spreadMm, placings: count }) =>
              `${spreadMm === null ? '' : `${mm(spreadMm)} in `}${count}${count < KNEE_BEND_PLACINGS ? ` of ${KNEE_BEND_PLACINGS}` : ''}`,
          },
        ]}
      />
      {onRemove && (
        <ul className="text-sm columns-2">
          {placings.map(({ side, insideMm, frame }, at) => (
            <li key={at}>
              {side}, frame {frame + 1}: <span className="figure">{mm(insideMm)}</span>{' '}
              <button
                type="button"
                className="press press-quiet min-h-0 py-0"
                aria-label={`Remove placing ${at + 1}`}
                onClick={() => onRemove(at)}
              >
                remove
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
