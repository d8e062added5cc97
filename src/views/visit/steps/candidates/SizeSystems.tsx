import { SIDES } from '@/core/findings/finding-kinds';
import { greaterOf, numberAt } from '@/core/findings/picture';
import { USUAL_SIZES, type UsualSizes } from '@/core/formats/formats';
import { ALLOWANCES, isAccepted } from '@/core/sizing/allowances';
import { footDifference } from '@/core/sizing/foot-difference';
import { growthForecast } from '@/core/sizing/growth-forecast';
import { sizeTable } from '@/core/sizing/size-table';
import { roomWished } from '@/core/sizing/size-wish';
import { clinicFormats } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { useVisit } from '../../visit-context';

const span = (least: number, most: number, unit: string): string => {
  const [from, to] = [Math.round(least), Math.round(most)];
  return from === to ? `${from} ${unit}` : `${from}–${to} ${unit}`;
};

/** The systems that the clinic thinks in stand first. */
const usualFirst = <R extends { label: string }>(rows: readonly R[], sizes: UsualSizes): R[] => {
  const isUsual = ({ label }: R) => label.startsWith(USUAL_SIZES[sizes]);
  return [...rows.filter(isUsual), ...rows.filter((row) => !isUsual(row))];
};

/** The longer foot in every system, each with what it assumes; a child's growth. */
export function SizeSystems() {
  const { picture, visit, specification } = useVisit();
  const longer = greaterOf(picture, 'footLength');
  if (longer === null) return <p>Measure the feet to see sizes.</p>;
  const width = greaterOf(picture, 'ballWidth');
  const girth = greaterOf(picture, 'ballGirth');
  const table = sizeTable(longer, undefined, {
    group: visit.patient.sizingGroup,
    ...(width === null ? {} : { ballWidthMm: width }),
    ...(girth === null ? {} : { ballGirthMm: girth }),
  });
  const left = numberAt(picture, 'footLength', 'left');
  const right = numberAt(picture, 'footLength', 'right');
  const lengths = SIDES.flatMap((side) =>
    visit.earlier.flatMap(({ on, findings }) => {
      const mm = findings[side]?.footLength;
      return typeof mm === 'number' ? [{ on, mm }] : [];
    }),
  );
  const room = roomWished(specification);
  const growth = growthForecast(
    visit.patient.age,
    [...lengths, { on: visit.startedAt.slice(0, 10), mm: longer }],
    room.most,
    room.least,
  );
  return (
    <div className="grid gap-3 max-w-3xl">
      <p>
        Longer foot {longer} mm. {left !== null && right !== null && footDifference(left, right).sentence}{' '}
        Room in front: {Math.round(room.wished)} mm is best, {span(room.least, room.most, 'mm')} accepted. Go
        by fit, not by size.
      </p>
      {!table.ok ? (
        <p className="problem">{table.problem.message}</p>
      ) : (
        <DataTable
          spacing="close"
          rows={usualFirst(table.value, clinicFormats().sizes)}
          keyOf={(row) => row.label}
          columns={[
            { id: 'system', head: 'System', namesRow: true, cell: (row) => row.label },
            {
              id: 'size',
              head: 'Nearest size',
              figure: true,
              className: 'font-medium',
              cell: (row) => `${row.size}${row.width}`,
            },
            {
              id: 'exact',
              head: 'Exact',
              figure: true,
              className: 'text-faint',
              cell: (row) => row.exact.toFixed(2),
            },
            { id: 'assumes', head: 'Assumes', className: 'text-faint', cell: (row) => row.assumption },
          ]}
        />
      )}
      <section aria-label="Room in front, by what is laid there">
        <p className="text-faint">
          Names for the room in front that mean different things. Accepted here:{' '}
          {span(room.least, room.most, 'mm')}.
        </p>
        <DataTable
          spacing="close"
          rows={ALLOWANCES}
          keyOf={({ label }) => label}
          columns={[
            { id: 'name', head: 'Laid in front of the toe', namesRow: true, cell: ({ label }) => label },
            {
              id: 'mm',
              head: 'Room',
              figure: true,
              cell: ({ leastMm, mostMm }) => span(leastMm, mostMm, 'mm'),
            },
            {
              id: 'inside',
              head: 'Inside length',
              figure: true,
              cell: ({ leastMm, mostMm }) => span(longer + leastMm, longer + mostMm, 'mm'),
            },
            {
              id: 'here',
              head: 'Accepted here',
              cell: (allowance) => isAccepted(allowance, room),
            },
          ]}
        />
      </section>
      {growth && <p className="bg-desk px-3 py-2">{growth.sentence}</p>}
    </div>
  );
}
