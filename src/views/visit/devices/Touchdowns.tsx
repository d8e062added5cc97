import { useState } from 'react';
import { cadenceOf } from '@/core/examination/gait/cadence';
import { useRecord } from '../use-findings';

/** Cadence from the frames at which the same foot touches down. */
export function Touchdowns({ frame, framesPerSecond }: { frame: number; framesPerSecond: number }) {
  const record = useRecord('move');
  const [marked, setMarked] = useState<readonly number[]>([]);
  const cadence = cadenceOf(marked.map((at) => at / framesPerSecond));
  return (
    <p className="text-sm">
      <button
        type="button"
        className="press press-quiet"
        onClick={() => setMarked([...new Set([...marked, frame])])}
      >
        This foot touches down here
      </button>
      {marked.length > 0 && (
        <>
          {marked.length} marked
          {cadence ? `: ${Math.round(cadence.perMinute)} a minute ` : ', three are needed '}
          {cadence && (
            <button
              type="button"
              className="press press-quiet"
              onClick={() =>
                record([{ place: 'body', id: 'cadence', value: Math.round(cadence.perMinute * 10) / 10 }], {
                  with: 'clip',
                  method: `${cadence.intervals} strides`,
                })
              }
            >
              Keep as cadence
            </button>
          )}
          <button type="button" className="press press-quiet" onClick={() => setMarked([])}>
            Clear
          </button>
        </>
      )}
    </p>
  );
}
