import { useState } from 'react';
import { cadenceOf, raisedRate, STEP_RATE_CHANGES } from '@/core/examination/gait/cadence';
import { markInWords } from '@/core/examination/sources';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { FindingField } from '../FindingField';
import { useRecord } from '../use-findings';
import { useExamined } from '../visit-context';
import { useMetronome } from './use-metronome';

/** Cadence of one foot from tapped steps, and a metronome at that rate or a little above it. */
export function CadenceTap() {
  const { picture, readOnly } = useExamined();
  const record = useRecord('move');
  const [taps, setTaps] = useState<readonly number[]>([]);
  const [rate, setRate] = useState<number | null>(null);
  const [own, setOwn] = useState(170);
  const beats = useMetronome(rate);
  const cadence = cadenceOf(taps);
  const held = picture.body.cadence;
  return (
    <div className="grid gap-4 justify-items-start max-w-prose">
      <section aria-label="Tapped steps" className="grid gap-2 justify-items-start">
        <h2 className="text-base">Tap each time the same foot touches down</h2>
        <p className="flex gap-3 items-center">
          <button
            type="button"
            className="press press-main text-lg px-8 py-4 touch-manipulation"
            onPointerDown={() => setTaps((now) => [...now, performance.now() / 1000])}
            onKeyDown={(event) => {
              if (event.repeat || (event.key !== ' ' && event.key !== 'Enter')) return;
              event.preventDefault();
              setTaps((now) => [...now, performance.now() / 1000]);
            }}
          >
            Tap
          </button>
          <span className="figure" role="status">
            {taps.length === 0
              ? 'Space, Enter or a finger; twenty taps are plenty.'
              : cadence
                ? `${cadence.perMinute.toFixed(1)} a minute${cadence.within === null ? '' : ` ± ${cadence.within.toFixed(1)}`}, ${cadence.intervals} strides${cadence.dropped > 0 ? `, ${cadence.dropped} left out` : ''}`
                : `${taps.length} ${taps.length === 1 ? 'tap' : 'taps'}`}
          </span>
        </p>
        {taps.length > 0 && (
          <p className="flex gap-2">
            <button
              type="button"
              className="press"
              disabled={!cadence || readOnly}
              onClick={() =>
                cadence &&
                record([{ place: 'body', id: 'cadence', value: Math.round(cadence.perMinute * 10) / 10 }], {
                  with: 'taps',
                  method: `${cadence.intervals} strides`,
                })
              }
            >
              Keep this cadence
            </button>
            <button type="button" className="press press-quiet" onClick={() => setTaps([])}>
              Start again
            </button>
          </p>
        )}
        <FindingField id="cadence" />
        <p className="text-faint text-sm">
          Common values are 75–80 at the low end and 85–95 higher (common practice); they rise with speed, and
          no number is right for all.
        </p>
      </section>
      <section aria-label="Metronome" className="grid gap-2">
        <h2 className="text-base">Metronome, steps of both feet</h2>
        <p className="flex flex-wrap gap-2 items-center">
          {held !== NOT_EXAMINED &&
            STEP_RATE_CHANGES.map(({ percent }) => {
              const steps = Math.round(raisedRate(held, percent) * 10) / 10;
              return (
                <button
                  key={percent}
                  type="button"
                  className="press"
                  aria-pressed={rate === steps}
                  onClick={() => setRate(rate === steps ? null : steps)}
                >
                  {percent === 0 ? 'as now' : `+${percent} %`} <span className="figure">{steps}</span>
                </button>
              );
            })}
          <label className="flex gap-1 items-center">
            <input
              type="number"
              min={30}
              max={240}
              className="figure w-20"
              aria-label="Beats a minute"
              value={own}
              onChange={(event) => setOwn(Number(event.target.value))}
            />
            /min
          </label>
          <button
            type="button"
            className="press"
            onClick={() => setRate(rate === null && own >= 30 && own <= 240 ? own : null)}
          >
            {rate === null ? 'Start' : `Stop ${rate}`}
          </button>
          <span className="figure" role="status" aria-live="off">
            {rate !== null && `${beats} beats`}
          </span>
        </p>
        <ul className="text-sm text-faint">
          {STEP_RATE_CHANGES.filter((change) => change.knee).map((change) => (
            <li key={change.percent}>
              +{change.percent} %: {change.knee}
            </li>
          ))}
          <li>
            {markInWords('heiderscheit-2011')}. Calf and foot may take more for each kilometre; not proven to
            prevent injury.
          </li>
        </ul>
      </section>
    </div>
  );
}
