import { SIDES } from '@/core/findings/finding-kinds';
import type { PlacedValue } from '@/core/findings/with-values';
import {
  GIRTH_MEASURES,
  inOrder,
  type SwellingReading,
  swellingAdvice,
  worstGirths,
} from '@/core/swelling/course';
import { contextLines, courseLines } from '@/core/swelling/course-words';
import { dayCourse } from '@/core/swelling/day-course';
import { Spark } from '@/ui/charts/Spark';
import { localNow } from '../../../local-now';
import { DerivedRow, DerivedRows } from '../../DerivedRow';
import { BothFeet } from '../../FindingField';
import { useRecord, useStepContent } from '../../use-findings';
import { useExamined } from '../../visit-context';
import { GirthTable } from './GirthTable';
import { LegVolume } from './LegVolume';

/** Girths through the day and over days, pitting, leg volume, and what they mean for size and closure. */
export function Swelling() {
  const { visit, picture, readOnly } = useExamined();
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
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section aria-label="Girths" className="grid grid-cols-[minmax(0,1fr)] gap-1">
        <div className="overflow-x-auto">
          <GirthTable readings={own} disabled={readOnly} onChange={put} />
        </div>
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
      <div className="grid min-[1150px]:grid-cols-[minmax(0,1fr)_auto] gap-6 items-start">
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
