import { useState } from 'react';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { definitionOf, shortLabelOf } from '@/core/findings/findings';
import type { PlacedValue } from '@/core/findings/with-values';
import { awakeAt } from '@/core/swelling/awake';
import {
  COMPRESSION,
  GIRTH_MEASURES,
  type GirthMeasure,
  inOrder,
  type SwellingReading,
  swellingAdvice,
  worstGirths,
} from '@/core/swelling/course';
import { contextLines, courseLines } from '@/core/swelling/course-words';
import { dayCourse } from '@/core/swelling/day-course';
import { parseLength } from '@/core/units/length';
import { Spark } from '@/ui/charts/Spark';
import { Select } from '@/ui/fields/Select';
import { DataTable } from '@/ui/table/DataTable';
import { localNow } from '../../../local-now';
import { DerivedRow, DerivedRows } from '../../DerivedRow';
import { BothFeet } from '../../FindingField';
import { useRecord, useStepContent } from '../../use-findings';
import { useVisit } from '../../visit-context';
import { LegVolume } from './LegVolume';

/** Girths through the day and over days, pitting, leg volume, and what they mean for size and closure. */
export function Swelling() {
  const { visit, picture, readOnly } = useVisit();
  const { content } = useStepContent('feet');
  const record = useRecord('feet');
  const recordHistory = useRecord('ask');
  const own = content.swelling ?? [];
  const earlier = visit.earlier.flatMap((entry) => entry.swelling);
  const readings = inOrder([...earlier, ...visit.girthsFromHome, ...own]);

  /** The worst of this visit’s girths become the findings: shoes are sized at the worst state. */
  const put = (next: SwellingReading[]) => {
    const values = SIDES.flatMap((side) => {
      const worst = worstGirths(next, side);
      const swing = dayCourse([...earlier, ...visit.girthsFromHome, ...next], side, 'figureOfEight')?.swing
        .mm;
      return [
        ...GIRTH_MEASURES.map((id): PlacedValue => ({ place: side, id, value: worst[id] })),
        {
          place: side,
          id: 'daySwing',
          value: swing === undefined ? undefined : Math.max(0, Math.round(swing)),
        } satisfies PlacedValue,
      ];
    });
    record(values, { with: 'hand', method: 'worst state of the day' }, { swelling: next });
  };
  const change = (at: number, side: Side, measure: GirthMeasure, value: number | undefined) =>
    put(
      own.map((entry, index) =>
        index === at ? { ...entry, [side]: { ...entry[side], [measure]: value } } : entry,
      ),
    );
  return (
    <div className="grid gap-3">
      <section aria-label="Girths" className="grid gap-1">
        <DataTable
          spacing="close"
          rows={own}
          keyOf={(_, at) => at}
          columns={[
            {
              id: 'when',
              head: 'When',
              cell: (entry, at) => (
                <input
                  type="datetime-local"
                  className="w-44"
                  aria-label={`Moment of reading ${at + 1}`}
                  value={entry.at}
                  disabled={readOnly}
                  onChange={({ target }) =>
                    target.value &&
                    put(own.map((other, index) => (index === at ? { ...other, at: target.value } : other)))
                  }
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
                  className="figure w-12"
                  aria-label={`Hours since rising, reading ${at + 1}`}
                  placeholder={String(Math.round(awakeAt(entry)))}
                  value={entry.awakeHours ?? ''}
                  disabled={readOnly}
                  onChange={({ target }) =>
                    put(
                      own.map((other, index) => {
                        if (index !== at) return other;
                        const { awakeHours: _, ...rest } = other;
                        return target.value === ''
                          ? rest
                          : { ...rest, awakeHours: Math.min(24, Math.max(0, Number(target.value))) };
                      }),
                    )
                  }
                />
              ),
            },
            {
              id: 'worn',
              head: 'Compression',
              cell: (entry, at) => (
                <Select
                  quiet
                  className="w-24"
                  label={`Compression at reading ${at + 1}`}
                  options={COMPRESSION}
                  none="not said"
                  value={entry.compression}
                  disabled={readOnly}
                  onChange={(compression) =>
                    put(
                      own.map((other, index) => {
                        if (index !== at) return other;
                        const { compression: _, ...rest } = other;
                        return compression ? { ...rest, compression } : rest;
                      }),
                    )
                  }
                />
              ),
            },
            ...SIDES.flatMap((side) =>
              GIRTH_MEASURES.map((measure) => ({
                id: `${side}-${measure}`,
                head: `${shortLabelOf(measure)}, ${side}`,
                cell: (entry: (typeof own)[number], at: number) => (
                  <GirthField
                    label={`${definitionOf(measure).label}, ${side}, reading ${at + 1}`}
                    value={entry[side]?.[measure]}
                    disabled={readOnly}
                    onChange={(value) => change(at, side, measure, value)}
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
                  disabled={readOnly}
                  onClick={() => put(own.filter((_, index) => index !== at))}
                >
                  ×
                </button>
              ),
            },
          ]}
        />
        <p className="flex gap-4 items-baseline">
          <button
            type="button"
            className="press"
            disabled={readOnly}
            onClick={() => put([...own, { at: localNow() }])}
          >
            Add a reading
          </button>
          <span className="text-faint text-sm">
            Figure-of-eight: from between the front tendon and the outer ankle, under the arch behind the
            navicular, behind both ankles, back. Tape flat, ankle square. Millimetres, or any unit.
          </span>
        </p>
      </section>
      <div className="grid grid-cols-[1fr_auto] gap-6 items-start">
        <div role="status">
          <ul className="grid gap-1">
            {swellingAdvice(readings).map((advice) => (
              <li key={advice.message} className={advice.code === 'one-sided' ? 'text-warn' : ''}>
                {advice.message}
                {advice.code === 'changes' && advice.side && picture[advice.side].swelling !== 'changes' && (
                  <button
                    type="button"
                    className="press press-quiet"
                    disabled={readOnly}
                    onClick={() =>
                      recordHistory([{ place: advice.side!, id: 'swelling', value: 'changes' }], {
                        with: 'hand',
                        method: 'girths of a day',
                      })
                    }
                  >
                    Note it as swelling that comes and goes, {advice.side}
                  </button>
                )}
              </li>
            ))}
            {SIDES.flatMap((side) => courseLines(readings, side)).map((line) => (
              <li key={line} className="figure">
                {line}
              </li>
            ))}
            {contextLines(picture).map((line) => (
              <li key={line} className="text-hold">
                {line}
              </li>
            ))}
          </ul>
        </div>
        <figure className="text-center">
          <Spark
            label="Figure-of-eight girth over time"
            error={10}
            courses={SIDES.map((side) => ({
              name: side,
              dashed: side === 'right',
              points: readings.flatMap((entry) => {
                const value = entry[side]?.figureOfEight;
                return value === undefined ? [] : [{ on: entry.at, value }];
              }),
            }))}
          />
          <figcaption className="text-faint text-xs">figure-of-eight; left line, right dashes</figcaption>
        </figure>
      </div>
      <BothFeet ids={['pittingDepth', 'pittingSeconds']} />
      <DerivedRows>
        <DerivedRow
          id="pittingGrade"
          needs="press 5 s over bone, note depth and time"
          note="the deeper of depth and time; several versions exist"
          mark="brodovicz-2009"
        />
      </DerivedRows>
      <LegVolume />
    </div>
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
