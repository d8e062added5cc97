import { centileOf } from '@/core/examination/measures/centile';
import { type ComparedMeasure, compareMeasure } from '@/core/examination/measures/compare';
import { growthRate, usualGrowth } from '@/core/examination/measures/growth';
import { realDifferenceOf } from '@/core/examination/real-difference';
import { markInWords } from '@/core/examination/sources';
import { SIDES } from '@/core/findings/finding-kinds';
import { definitionOf, type FootFindingId, shortLabelOf } from '@/core/findings/findings';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { figureIn } from '@/core/units/parse';
import { Spark } from '@/ui/charts/Spark';
import { writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { FeetDrawing } from '../../FeetDrawing';
import { useExamined } from '../../visit-context';

const MEASURES: readonly FootFindingId[] = [
  'footLength',
  'heelBallLength',
  'ballWidth',
  'ballGirth',
  'instepGirth',
  'heelWidth',
  'dorsumHeight',
  'toeHeight',
  'figureOfEight',
];

const signed = (value: number) => `${value > 0 ? '+' : ''}${figureIn('mm', value)}`;

/** Today beside the other foot, beside earlier visits, and beside a survey of adults. */
export function Compare() {
  const { picture, visit } = useExamined();
  const today = visit.startedAt.slice(0, 10);
  const age = picture.body.ageYears === NOT_EXAMINED ? null : picture.body.ageYears;
  const group = picture.body.sizingGroup === NOT_EXAMINED ? null : picture.body.sizingGroup;
  const rows = MEASURES.map((id) => compareMeasure(id, picture, today, visit.earlier)).filter(
    (row) => row.now.left !== null || row.now.right !== null,
  );
  const days = new Set(rows.flatMap(({ change }) => SIDES.flatMap((side) => change[side]?.since ?? [])));
  const [day] = days.size === 1 ? days : [];
  if (rows.length === 0)
    return (
      <p className="text-faint">
        Measure first: then each value is laid beside the other foot and earlier visits.
      </p>
    );
  return (
    <div className="grid gap-3">
      <div className="overflow-x-auto">
        <DataTable
          spacing="close"
          rows={rows}
          keyOf={(row) => row.id}
          columns={[
            { id: 'measure', head: 'Measure, mm', namesRow: true, cell: (row) => shortLabelOf(row.id) },
            ...SIDES.map((side) => ({
              id: side,
              head: side === 'left' ? 'Left' : 'Right',
              figure: true,
              cell: (row: ComparedMeasure) => (row.now[side] === null ? '–' : figureIn('mm', row.now[side])),
            })),
            { id: 'apart', head: 'Apart', figure: true, cell: (row) => <Apart row={row} /> },
            {
              id: 'since',
              head: day ? `Since ${writtenDay(day)}` : 'Since the visit before',
              cell: (row) => <Since row={row} dated={!day} />,
            },
            {
              id: 'course',
              head: 'Course: left line, right dashes',
              cell: (row) => (
                <Spark
                  label={`${definitionOf(row.id).label} over visits`}
                  error={realDifferenceOf(row.id)?.least ?? 0}
                  courses={[
                    { name: 'left', points: row.course.left },
                    { name: 'right', points: row.course.right, dashed: true },
                  ]}
                />
              ),
            },
            {
              id: 'centile',
              head: 'Centile L, R',
              cell: (row) => <Centiles row={row} group={group} age={age} />,
            },
          ]}
        />
      </div>
      <div className="grid grid-cols-[auto_1fr] gap-6 items-start">
        <FeetDrawing />
        <div className="grid gap-2 text-sm">
          <Growth />
          <SeatedDifference />
          <p className="text-faint">
            Centiles: {markInWords('ansur-2012')}; people in service, nobody’s norm; shown for adults where we
            are 60 % sure of the mean or more. Errors: {markInWords('iso-20685')}.
          </p>
        </div>
      </div>
    </div>
  );
}

/** How far the feet are apart, and whether that is more than the error of measuring. */
function Apart({ row: { sides } }: { row: ComparedMeasure }) {
  return (
    sides && (
      <>
        {figureIn('mm', Math.abs(sides.difference))}
        <span className="text-faint block text-xs">{sides.reading}</span>
      </>
    )
  );
}

/** What changed on each foot; `dated` where not all of it is since one day. */
function Since({ row, dated }: { row: ComparedMeasure; dated: boolean }) {
  return SIDES.map((side) => {
    const change = row.change[side];
    return (
      change && (
        <span key={side} className="block">
          {side} <span className="figure">{signed(change.difference)}</span>{' '}
          <span className="text-faint text-xs">
            {change.reading}
            {dated && `, ${writtenDay(change.since)}`}
          </span>
        </span>
      )
    );
  });
}

interface Survey {
  row: ComparedMeasure;
  group: 'men' | 'women' | 'child' | null;
  age: number | null;
}

/** Where each foot stands among the adults of a survey. */
function Centiles({ row, group, age }: Survey) {
  const centiles = SIDES.map((side) => {
    const value = row.now[side];
    return value === null ? null : centileOf(row.id, value, group, age);
  });
  return (
    <>
      {centiles.some(Boolean)
        ? centiles.map((centile) => (centile ? Math.round(centile.centile) : '–')).join(', ')
        : '–'}
      {centiles[0] && <span className="text-faint block text-xs">{centiles[0].recall} % sure</span>}
    </>
  );
}

/** A child’s growth against what is usual at that age. */
function Growth() {
  const { picture, visit } = useExamined();
  const age = picture.body.ageYears;
  if (age === NOT_EXAMINED || age >= 18) return null;
  const usual = usualGrowth(age);
  return (
    <p role="status">
      {SIDES.map((side) => {
        const { course } = compareMeasure('footLength', picture, visit.startedAt.slice(0, 10), visit.earlier);
        const rate = growthRate(course[side].map(({ on, value }) => ({ on, mm: value })));
        return rate === null ? null : (
          <span key={side} className="block">
            The {side} foot grows <span className="figure">{figureIn('mm', rate)}</span> mm a year.
          </span>
        );
      })}
      {usual && (
        <span className="text-faint">
          About {usual[0]}–{usual[1]} mm a year are usual at {age}: a setting, not a norm.{' '}
          {markInWords('wenger-1983')}.
        </span>
      )}
    </p>
  );
}

/** What standing adds to seated length and width. */
function SeatedDifference() {
  const { picture } = useExamined();
  const lines = SIDES.flatMap((side) => {
    const foot = picture[side];
    const gain = (standing: unknown, seated: unknown) =>
      typeof standing === 'number' && typeof seated === 'number' ? signed(standing - seated) : null;
    const length = gain(foot.footLength, foot.footLengthSeated);
    const width = gain(foot.ballWidth, foot.ballWidthSeated);
    return length || width ? [`${side}: length ${length ?? '–'} mm, ball width ${width ?? '–'} mm`] : [];
  });
  return lines.length === 0 ? null : <p>From seated to standing, {lines.join('; ')}.</p>;
}
