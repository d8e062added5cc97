import type { Side } from '@/core/findings/finding-kinds';
import { definitionOf, type FindingId } from '@/core/findings/findings';
import { valueAt } from '@/core/findings/picture';
import type { Instrument } from '@/core/findings/taken';
import { figureIn, printIn, type Unit } from '@/core/units/parse';
import { DataTable } from '@/ui/table/DataTable';
import { BandLine } from '../BandLine';
import { useRecord } from '../use-findings';
import { useExamined } from '../visit-context';

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

const unitOf = (id: FindingId): Unit => {
  const definition = definitionOf(id);
  return definition.kind === 'number' ? definition.unit : 'count';
};

/** What a device read, with bands, what the tape said, and one press to take it into the visit. */
export function KeepReadings({ step, side, readings, with: instrument, method }: Props) {
  const { picture, readOnly } = useExamined();
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
      <DataTable
        label={`Readings, ${side}`}
        spacing="close"
        quietHeads
        rows={readings}
        keyOf={({ id }) => id}
        columns={[
          { id: 'measure', head: 'Measure', namesRow: true, cell: ({ id }) => definitionOf(id).label },
          {
            id: 'read',
            head: 'Read',
            figure: true,
            className: 'whitespace-nowrap',
            cell: ({ id, value, note }) => (
              <>
                {printIn(unitOf(id), value)}
                {note && <span className="block text-faint text-xs">{note}</span>}
              </>
            ),
          },
          {
            id: 'band',
            head: 'Band, and what the visit holds',
            className: 'text-faint text-xs w-36',
            cell: ({ id, value }) => {
              const held = valueAt(picture, side, id);
              const differs = typeof held === 'number' && held !== rounded(id, value);
              return (
                <>
                  <BandLine id={id} value={value} />
                  {differs &&
                    `${figureIn(unitOf(id), held)} held: ${figureIn(unitOf(id), value - held)} apart`}
                </>
              );
            },
          },
        ]}
      />
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
