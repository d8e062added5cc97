import { useState } from 'react';
import { type Activity, rateWarning } from '@/core/examination/gait/camera';
import { heelAngle, pixelError, toHalfDegree } from '@/core/examination/gait/heel-angle';
import {
  BAREFOOT,
  GAIT_EVENTS,
  GAIT_FINDINGS,
  type GaitEvent,
  type GaitReading,
  gaitFindings,
} from '@/core/examination/gait/readings';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import type { PlacedValue } from '@/core/findings/with-values';
import { keysOf } from '@/core/tables/keys-of';
import { figureIn } from '@/core/units/parse';
import { Amount } from '@/ui/fields/Amount';
import { Choice } from '@/ui/fields/Choice';
import { useRecord, useStepContent } from '../use-findings';
import { useExamined, useHeld } from '../visit-context';
import { AngleCourse } from './AngleCourse';
import { CameraCheck, type Edges } from './CameraCheck';
import { FROM_HOME_MARK, FromHome } from './FromHome';
import { GaitReadings } from './GaitReadings';
import { GaitStage } from './GaitStage';
import { TakeButton } from './TakeButton';
import { TaskLine } from './TaskLine';
import { Touchdowns } from './Touchdowns';
import { Transport } from './Transport';
import { useGaitClip } from './use-gait-clip';

const SIDE_OPTIONS = { left: 'left', right: 'right' };
const ACTIVITY_OPTIONS: Record<Activity, string> = { walk: 'walking', run: 'running' };

const deviceFields = (side: Side) => [
  { key: 'side', label: 'foot', value: side, options: SIDE_OPTIONS },
  { key: 'activity', label: 'doing', value: 'walk', options: ACTIVITY_OPTIONS },
  { key: 'stanceDeg', label: 'standing', unit: '°', value: '3' },
  { key: 'touchdownDeg', label: 'touchdown', unit: '°', value: '-2' },
  { key: 'peakDeg', label: 'peak', unit: '°', value: side === 'left' ? '9' : '7' },
  { key: 'framesPerSecond', label: 'frames a second', value: '60' },
  { key: 'frames', label: 'frames', value: '30' },
  { key: 'offAxisDeg', label: 'camera off axis', unit: '°', value: '0' },
  { key: 'rollDeg', label: 'camera rolled', unit: '°', value: '0' },
  { key: 'grain', label: 'noise', value: '4' },
];

/** A rear view, frame by frame: lines on leg and heel, the angle, what it does against standing and in each shoe. */
export default function GaitClip({ wearing = BAREFOOT }: { wearing?: string }) {
  const { readOnly, picture } = useExamined();
  const { content } = useStepContent('move');
  const record = useRecord('move');
  const gait = useGaitClip();
  const [side, setSide] = useState<Side>('left');
  const [activity, setActivity] = useState<Activity>('walk');
  const [condition, setCondition] = useState<string>(wearing);
  const [speedKmh, setSpeedKmh] = useState<number | undefined>();
  const [minutes, setMinutes] = useState<number | undefined>();
  const [isFromHome, setFromHome] = useHeld('clip-home', false);
  const [edges, setEdges] = useState<Edges | null>(null);
  const { clip, linesNow: lines, frame } = gait;
  const readings = content.gait ?? [];
  const angle = lines ? heelAngle(lines, side) : null;

  const put = (next: GaitReading[]) => {
    const found = gaitFindings(next).map(({ side: place, id, value }): PlacedValue => ({ place, id, value }));
    // An angle that came from a clip goes with its last reading; one that was typed stays.
    const gone = SIDES.flatMap((place) =>
      GAIT_FINDINGS.filter(
        (id) =>
          picture.taken[`${place}.${id}`]?.with === 'clip' &&
          !found.some((entry) => entry.place === place && entry.id === id),
      ).map((id): PlacedValue => ({ place, id, value: undefined })),
    );
    record(
      [...found, ...gone],
      { with: 'clip', method: `rear view, heel against leg${isFromHome ? `, ${FROM_HOME_MARK}` : ''}` },
      { gait: next },
    );
  };
  const keep = (event: GaitEvent) => {
    if (!lines || angle === null) return;
    put([
      ...readings,
      {
        side,
        condition: condition.trim() || BAREFOOT,
        activity,
        ...(speedKmh === undefined ? {} : { speedKmh }),
        ...(minutes === undefined ? {} : { minutes }),
        event,
        angleDeg: toHalfDegree(angle),
        frame,
        lines,
      },
    ]);
  };
  return (
    <div className="grid gap-2">
      <header className="flex flex-wrap items-end gap-4">
        <TakeButton
          label="Load a clip"
          accept="video/*,image/png,image/jpeg"
          multiple
          onFiles={(files) => {
            setFromHome(false);
            void gait.load(files);
          }}
          device="Gait camera"
          fields={deviceFields(side)}
          onSimulate={(settings) => {
            setSide(settings.side === 'left' ? 'left' : 'right');
            setActivity(settings.activity === 'run' ? 'run' : 'walk');
            setFromHome(false);
            return gait.simulate(settings);
          }}
        >
          {(close) => (
            <>
              <p className="text-faint text-xs">
                One video, or all pictures of a folder of frames: they are taken in the order of their names.
              </p>
              <FromHome
                kind="clip"
                onFiles={(files, perSecond) => {
                  close();
                  setFromHome(true);
                  void gait.load(files, perSecond);
                }}
              />
            </>
          )}
        </TakeButton>
        <Choice
          label="Foot"
          options={SIDE_OPTIONS}
          value={side}
          onChange={(value) => value && setSide(value)}
        />
        <Choice
          label="Doing"
          options={ACTIVITY_OPTIONS}
          value={activity}
          onChange={(value) => value && setActivity(value)}
        />
        <label>
          <span className="block text-faint">On the feet</span>
          <input
            list="gait-conditions"
            className="w-36"
            value={condition}
            onChange={(event) => setCondition(event.target.value)}
          />
          <datalist id="gait-conditions">
            {[BAREFOOT, 'old pair', 'Pair A', 'Pair B', 'Pair C'].map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
        </label>
        <span className="grid">
          <span className="text-faint">Speed</span>
          <Amount
            label="Speed, km/h"
            unit="km/h"
            most={40}
            value={speedKmh}
            disabled={readOnly}
            onChange={(speed) => setSpeedKmh(speed || undefined)}
          />
        </span>
        <span className="grid">
          <span className="text-faint">After</span>
          <Amount
            label="After, min"
            unit="min"
            most={1440}
            value={minutes}
            disabled={readOnly}
            onChange={(after) => setMinutes(after || undefined)}
          />
        </span>
        <label>
          <span className="block text-faint">Frames a second</span>
          <input
            type="number"
            min={10}
            max={1000}
            className="figure w-20"
            value={gait.rate}
            onChange={(event) => gait.setRate(Number(event.target.value) || 60)}
          />
        </label>
      </header>
      <TaskLine state={gait.state} onCancel={gait.cancel} />
      {gait.message && (
        <p role="status" className="text-hold">
          {gait.message}
        </p>
      )}
      {clip && rateWarning(gait.rate, activity) && (
        <p role="status" className="text-hold">
          {rateWarning(gait.rate, activity)}
        </p>
      )}
      {clip && lines && angle !== null && (
        <div className="grid grid-cols-[minmax(15rem,20rem)_1fr] gap-4">
          <div className="grid gap-1 content-start">
            <GaitStage
              clip={clip}
              frame={frame}
              lines={lines}
              edges={edges}
              onLines={(next) => gait.place(frame, next)}
              onEdges={setEdges}
            />
            <Transport loaded={gait} />
          </div>
          <div className="grid gap-2 content-start">
            <p>
              <strong className="font-display text-2xl figure" aria-live="polite">
                {figureIn('deg', toHalfDegree(angle))}°
              </strong>{' '}
              heel against leg, {angle >= 0 ? 'turned out' : 'turned in'}
              <span className="block text-faint text-xs">
                to half a degree; one pixel at the ends is worth {pixelError(lines).toFixed(1)}° here
              </span>
            </p>
            <p className="flex flex-wrap gap-2">
              <button type="button" className="press" onClick={gait.snap}>
                Snap to the dots
              </button>
              <button type="button" className="press" onClick={() => void gait.follow()}>
                Follow to the end
              </button>
            </p>
            <AngleCourse
              angles={clip.frames.map((_, at) => {
                const there = gait.lines.get(at);
                return there ? heelAngle(there, side) : null;
              })}
              frame={frame}
              onFrame={gait.show}
            />
            <fieldset className="flex flex-wrap gap-2">
              <legend className="text-faint">Keep this angle as</legend>
              {keysOf(GAIT_EVENTS).map((event) => (
                <button
                  key={event}
                  type="button"
                  className="press press-main"
                  disabled={readOnly}
                  onClick={() => keep(event)}
                >
                  {GAIT_EVENTS[event]}
                </button>
              ))}
            </fieldset>
            <CameraCheck size={clip} foot={lines.heel[1]} edges={edges} onEdges={setEdges} />
            <Touchdowns frame={frame} framesPerSecond={gait.rate} />
          </div>
        </div>
      )}
      {!clip && gait.state.is !== 'working' && (
        <p className="text-faint max-w-prose">
          Rear view, camera at knee height straight behind, trousers up, two pen dots each on the leg and on
          the heel. 120 frames a second or more for running. In a shoe you see the counter, not the heel bone:
          marks on a shoe move 2–4° more (from memory, check). A foot turned out by more than 10–15° hides it.
        </p>
      )}
      <GaitReadings
        readings={readings}
        aches={{
          left: Array.isArray(picture.left.pain) && picture.left.pain.length > 0,
          right: Array.isArray(picture.right.pain) && picture.right.pain.length > 0,
        }}
        onRemove={readOnly ? null : (index) => put(readings.filter((_, at) => at !== index))}
      />
    </div>
  );
}
