import {
  COMPARISONS,
  clipInWords,
  differenceInWords,
  gaitDifferences,
  paceInWords,
} from '@/core/examination/gait/differences';
import { reproducibility, toHalfDegree } from '@/core/examination/gait/heel-angle';
import { GAIT_EVENTS, type GaitReading, gaitSentence, summariseGait } from '@/core/examination/gait/readings';
import type { Side } from '@/core/findings/finding-kinds';
import { groupBy } from '@/core/tables/group-by';
import { figureIn } from '@/core/units/parse';
import { DataTable } from '@/ui/table/DataTable';

interface Props {
  readings: readonly GaitReading[];
  aches: Record<Side, boolean>;
  onRemove: ((index: number) => void) | null;
}

const degrees = (value: number | null) => (value === null ? '' : `${figureIn('deg', toHalfDegree(value))}°`);

/** Angles brought together: barefoot first, each shoe against it, in words that never label. */
export function GaitReadings({ readings, aches, onRemove }: Props) {
  if (readings.length === 0) return null;
  return (
    <section aria-label="Gait readings" className="grid gap-2">
      <DataTable
        rows={summariseGait(readings)}
        keyOf={(entry) => `${clipInWords(entry)}-${entry.side}`}
        columns={[
          { id: 'condition', head: 'On the feet', namesRow: true, cell: (entry) => entry.condition },
          {
            id: 'activity',
            head: 'Doing',
            cell: paceInWords,
          },
          { id: 'side', head: 'Foot', cell: (entry) => entry.side },
          { id: 'stance', head: 'One leg', figure: true, cell: (entry) => degrees(entry.stanceDeg) },
          { id: 'both', head: 'Both feet', figure: true, cell: (entry) => degrees(entry.bothFeetDeg) },
          { id: 'touchdown', head: 'Touchdown', figure: true, cell: (entry) => degrees(entry.touchdownDeg) },
          { id: 'peak', head: 'Peak', figure: true, cell: (entry) => degrees(entry.peakDeg) },
          { id: 'excursion', head: 'Excursion', figure: true, cell: (entry) => degrees(entry.excursionDeg) },
          { id: 'words', head: 'In words', cell: (entry) => gaitSentence(entry, aches[entry.side]) },
        ]}
      />
      <Differences readings={readings} />
      <details>
        <summary className="cursor-pointer">Each placing, and how well it repeats</summary>
        <ul className="text-sm columns-2">
          {readings.map((reading, index) => (
            <li key={index}>
              {reading.side}, {reading.condition}, {GAIT_EVENTS[reading.event]}, frame {reading.frame + 1}:{' '}
              <span className="figure">{degrees(reading.angleDeg)}</span>
              {onRemove && (
                <button
                  type="button"
                  className="press press-quiet min-h-0 py-0"
                  aria-label={`Remove placing ${index + 1}`}
                  onClick={() => onRemove(index)}
                >
                  remove
                </button>
              )}
            </li>
          ))}
        </ul>
        <Repeats readings={readings} />
      </details>
      <p className="text-faint text-xs max-w-prose">
        There is no agreed angle at which rolling becomes “over”. The eye does not see 5°. What counts is the
        number, the change from standing and with each shoe, and whether it goes with symptoms.
      </p>
    </section>
  );
}

/** Clips compared where they differ in one thing. */
function Differences({ readings }: { readings: readonly GaitReading[] }) {
  const found = gaitDifferences(readings);
  if (found.length === 0) return null;
  return (
    <DataTable
      label="Clips compared"
      spacing="close"
      rows={found}
      keyOf={({ kind, side, from, to }) => `${kind}-${side}-${clipInWords(from)}-${clipInWords(to)}`}
      columns={[
        {
          id: 'kind',
          head: 'Held against each other',
          namesRow: true,
          cell: ({ kind }) => COMPARISONS[kind],
        },
        { id: 'side', head: 'Foot', cell: ({ side }) => side },
        { id: 'from', head: 'From', cell: ({ from }) => clipInWords(from) },
        { id: 'to', head: 'To', cell: ({ to }) => clipInWords(to) },
        { id: 'by', head: 'Peak', cell: (entry) => differenceInWords(entry) },
      ]}
    />
  );
}

/** Spread of the angles placed more than once on the same frame. */
function Repeats({ readings }: { readings: readonly GaitReading[] }) {
  const repeated = [
    ...groupBy(
      readings,
      (reading) =>
        `${reading.side}, ${clipInWords(reading)}, ${GAIT_EVENTS[reading.event]}, frame ${reading.frame + 1}`,
    ),
  ].filter(([, placed]) => placed.length > 1);
  if (repeated.length === 0)
    return (
      <p className="text-faint text-sm">Place and keep the same frame again to see how well it repeats.</p>
    );
  return (
    <ul className="text-sm">
      {repeated.map(([key, placed]) => {
        const { mean, repeatability, count } = reproducibility(placed.map(({ angleDeg }) => angleDeg));
        return (
          <li key={key}>
            {key}: {count} placings, mean {degrees(mean)}; two placings differ by less than{' '}
            {repeatability!.toFixed(1)}° in 95 of 100.
          </li>
        );
      })}
    </ul>
  );
}
