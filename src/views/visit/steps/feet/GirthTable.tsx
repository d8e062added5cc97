import { useState } from 'react';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { definitionOf, shortLabelOf } from '@/core/findings/findings';
import { awakeAt } from '@/core/swelling/awake';
import {
  COMPRESSION,
  GIRTH_MEASURES,
  type GirthMeasure,
  type SwellingReading,
  TREATMENTS,
} from '@/core/swelling/course';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { parseLength } from '@/core/units/length';
import { MomentInput } from '@/ui/fields/MomentInput';
import { Select } from '@/ui/fields/Select';
import { DataTable } from '@/ui/table/DataTable';

interface Props {
  readings: readonly SwellingReading[];
  disabled: boolean;
  onChange: (readings: SwellingReading[]) => void;
}

/** Girths of this visit, a row for each round of the tape, with what moves them. */
export function GirthTable({ readings, disabled, onChange }: Props) {
  const put = (at: number, part: Partial<SwellingReading>) =>
    onChange(
      readings.map((reading, index) => (index === at ? omitUndefined({ ...reading, ...part }) : reading)),
    );
  const girth = (at: number, side: Side, measure: GirthMeasure, value: number | undefined) =>
    put(at, { [side]: { ...readings[at]?.[side], [measure]: value } });
  return (
    <DataTable
      spacing="close"
      rows={readings}
      keyOf={(_, at) => at}
      columns={[
        {
          id: 'when',
          head: 'When',
          cell: (entry, at) => (
            <MomentInput
              label={`Reading ${at + 1}`}
              value={entry.at}
              disabled={disabled}
              onChange={(moment) => put(at, { at: moment })}
            />
          ),
        },
        {
          id: 'awake',
          head: 'Awake, h',
          cell: (entry, at) => (
            <input
              type="number"
              min={0}
              max={24}
              step={0.5}
              className="figure w-14"
              aria-label={`Hours since rising, reading ${at + 1}`}
              placeholder={String(Math.round(awakeAt(entry)))}
              value={entry.awakeHours ?? ''}
              disabled={disabled}
              onChange={({ target }) =>
                put(at, {
                  awakeHours:
                    target.value === '' ? undefined : Math.min(24, Math.max(0, Number(target.value))),
                })
              }
            />
          ),
        },
        {
          id: 'under',
          head: 'Compression, treatment',
          className: 'min-w-32',
          cell: (entry, at) => (
            <span className="grid gap-0.5">
              <Select
                quiet
                className="w-28"
                label={`Compression at reading ${at + 1}`}
                options={COMPRESSION}
                none="not said"
                value={entry.compression}
                disabled={disabled}
                onChange={(compression) => put(at, { compression })}
              />
              <Select
                quiet
                className="w-28"
                label={`Treatment at reading ${at + 1}`}
                options={TREATMENTS}
                none="not said"
                value={entry.treatment}
                disabled={disabled}
                onChange={(treatment) => put(at, { treatment })}
              />
            </span>
          ),
        },
        ...SIDES.flatMap((side) =>
          GIRTH_MEASURES.map((measure) => ({
            id: `${side}-${measure}`,
            head: `${shortLabelOf(measure)}, ${side}`,
            cell: (entry: SwellingReading, at: number) => (
              <GirthField
                label={`${definitionOf(measure).label}, ${side}, reading ${at + 1}`}
                value={entry[side]?.[measure]}
                disabled={disabled}
                onChange={(value) => girth(at, side, measure, value)}
              />
            ),
          })),
        ),
        {
          id: 'remove',
          head: 'Remove',
          quiet: true,
          cell: (_, at) => (
            <button
              type="button"
              className="press press-quiet"
              aria-label={`Remove reading ${at + 1}`}
              disabled={disabled}
              onClick={() => onChange(readings.filter((_, index) => index !== at))}
            >
              ×
            </button>
          ),
        },
      ]}
    />
  );
}

/** A girth in any unit of length; what cannot be is marked at its field and not taken. */
function GirthField({
  label,
  value,
  disabled,
  onChange,
}: {
  label: string;
  value: number | undefined;
  disabled: boolean;
  onChange: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = (text: string) => {
    setTyped(text);
    if (text.trim() === '') {
      setProblem(null);
      onChange(undefined);
      return;
    }
    const read = parseLength(text);
    const inside = read.ok && read.value >= 100 && read.value <= 900;
    const cm = read.ok && read.value >= 10 && read.value <= 90;
    setProblem(inside ? null : read.ok ? `100 to 900 mm${cm ? `; ${text.trim()} cm?` : ''}` : 'not a length');
    if (inside) onChange(Math.round(read.value * 10) / 10);
  };
  return (
    <>
      <input
        aria-label={label}
        className="figure w-14 text-right"
        inputMode="decimal"
        disabled={disabled}
        aria-invalid={problem !== null}
        value={typed ?? (value === undefined ? '' : String(value))}
        onChange={(event) => take(event.target.value)}
        onBlur={() => problem === null && setTyped(null)}
      />
      {problem && <span className="problem block text-xs">{problem}</span>}
    </>
  );
}
