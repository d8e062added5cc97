import { useState } from 'react';
import type { WornThen } from '@/core/tracks/assign';
import { noteInWords } from '@/core/tracks/track';
import { DayInput } from '@/ui/fields/DayInput';
import { writtenDay } from '@/ui/formats';
import { type TrackRow, wornOn } from './track-rows';

/** Rows that are drawn at once; more come by a press. */
const SHOWN = 200;

interface Props {
  rows: readonly TrackRow[];
  pairs: readonly WornThen[];
  onChange: (rows: TrackRow[]) => void;
  onKeep: () => void;
}

/** Outings as they were read, each to be kept or not, in the pair that it was in. */
export function OutingTable({ rows, pairs, onChange, onKeep }: Props) {
  const [shown, setShown] = useState(SHOWN);
  const change = (at: number, part: Partial<TrackRow>) =>
    onChange(rows.map((row, index) => (index === at ? { ...row, ...part } : row)));
  const ready = rows.filter(({ isChosen, pair, on }) => isChosen && pair !== null && on !== null);
  const km = ready.reduce((sum, { outing }) => sum + outing.km, 0);
  return (
    <div>
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr>
              <th scope="col">Keep</th>
              <th scope="col">Day</th>
              <th scope="col" className="figure">
                km
              </th>
              <th scope="col" className="figure">
                m up
              </th>
              <th scope="col">Pair</th>
              <th scope="col">What it rests on</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, shown).map(({ outing, on, pair, because, isChosen, isRepeat }, at) => (
              <tr key={`${outing.name} ${outing.from}`}>
                <td>
                  <input
                    type="checkbox"
                    aria-label={`Keep ${outing.name}`}
                    checked={isChosen && pair !== null && on !== null}
                    disabled={pair === null || on === null}
                    onChange={(event) => change(at, { isChosen: event.currentTarget.checked })}
                  />
                </td>
                <td>
                  {outing.from === null ? (
                    <DayInput
                      aria-label={`Day of ${outing.name}`}
                      value={on ?? ''}
                      onChange={(day) => change(at, { on: day || null })}
                    />
                  ) : (
                    on !== null && writtenDay(on)
                  )}
                </td>
                <td className="figure">{outing.km.toFixed(2)}</td>
                <td className="figure">{outing.ascentM ?? ''}</td>
                <td>
                  <select
                    aria-label={`Pair of ${outing.name}`}
                    value={pair ?? ''}
                    onChange={(event) => {
                      const chosen = event.currentTarget.value;
                      change(
                        at,
                        chosen === ''
                          ? { pair: null, isChosen: false }
                          : { pair: chosen, isChosen: true, because: 'chosen by hand' },
                      );
                    }}
                  >
                    <option value="">none</option>
                    {wornOn(on, pairs).map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="text-faint">
                  {[
                    isRepeat ? 'the same run as another one here' : because,
                    ...outing.notes.map(noteInWords),
                    outing.name,
                  ].join('; ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {rows.length > shown && (
        <p>
          {rows.length - shown} more, kept alike.{' '}
          <button type="button" className="press press-quiet" onClick={() => setShown(shown + SHOWN)}>
            Show {Math.min(SHOWN, rows.length - shown)} more
          </button>
        </p>
      )}
      <button type="button" className="press press-main mt-2" disabled={ready.length === 0} onClick={onKeep}>
        Keep {ready.length === 1 ? 'one outing' : `${ready.length} outings`}, {km.toFixed(1)} km
      </button>
    </div>
  );
}
