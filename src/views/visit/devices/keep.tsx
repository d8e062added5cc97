import type { Side } from '@/core/findings/finding-kinds';
import { definitionOf, type FindingId } from '@/core/findings/findings';
import { valueAt } from '@/core/findings/picture';
import type { Instrument } from '@/core/findings/taken';
import { figureIn, printIn } from '@/core/units/parse';
import { BandLine } from '../BandLine';
import { useRecord } from '../use-findings';
import { useVisit } from '../visit-context';

/** One measured value, ready to be kept. */
export interface Reading {
  id: FindingId;
  value: number;
  /** Beside the value: a spread, a variant. */
  note?: string;
}

interface Props {
  step: 'feet' | 'move';
  side: Side;
  readings: readonly Reading[];
  with: Instrument;
  method?: string;
}

const rounded = (id: FindingId, value: number): number => {
  const definition = definitionOf(id);
  const scale = definition.kind === 'number' && definition.unit === 'index' ? 1000 : 10;
  return Math.round(value * scale) / scale;
};

/** What a device read, with bands, what the tape said, and one press to take it into the visit. */
export function KeepReadings({ step, side, readings, with: instrument, method }: Props) {
  const { picture, readOnly } = useVisit();
  const record = useRecord(step);
  const kept = readings.every(({ id, value }) => {
    const taken = picture.taken[`${side}.${id}`];
    return taken?.with === instrument && valueAt(picture, side, id) === rounded(id, value);
  });
  const keep = () =>
    record(
      readings.map(({ id, value }) => ({ place: side, id, value: rounded(id, value) })),
      { with: instrument, ...(method ? { method } : {}) },
    );
  return (
    <div className="grid gap-1.5">
      <table className="text-sm">
        <caption className="sr-only">Readings, {side}</caption>
        <thead className="sr-only">
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">Read</th>
            <th scope="col">Band, and what the visit holds</th>
          </tr>
        </thead>
        <tbody>
          {readings.map(({ id, value, note }) => {
            const definition = definitionOf(id);
            if (definition.kind !== 'number') return null;
            const held = valueAt(picture, side, id);
            const differs = typeof held === 'number' && held !== rounded(id, value);
            return (
              <tr key={id}>
                <th scope="row" className="!py-1">
                  {definition.label}
                </th>
                <td className="!py-1 figure text-right whitespace-nowrap">
                  {printIn(definition.unit, value)}
                  {note && <span className="block text-faint text-xs">{note}</span>}
                </td>
                <td className="!py-1 !pr-0 text-faint text-xs w-36">
                  <BandLine id={id} value={value} />
                  {differs &&
                    `${figureIn(definition.unit, held)} held: ${figureIn(definition.unit, value - held)} apart`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="flex items-baseline gap-3">
        <button type="button" className="press" onClick={keep} disabled={readOnly || kept}>
          Keep, {side}
        </button>
        {kept && (
          <span role="status" className="text-faint">
            Kept in the visit.
          </span>
        )}
      </p>
    </div>
  );
}
