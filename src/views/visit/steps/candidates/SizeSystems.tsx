import { SIDES } from '@/core/findings/finding-kinds';
import { greaterOf, numberAt } from '@/core/findings/picture';
import { footDifference } from '@/core/sizing/foot-difference';
import { growthForecast } from '@/core/sizing/growth-forecast';
import { sizeTable } from '@/core/sizing/size-table';
import { roomWished } from '@/core/sizing/size-wish';
import { useVisit } from '../../visit-context';

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
        Room {room.least}–{room.most} mm is wanted in front. Go by fit, not by size.
      </p>
      {!table.ok ? (
        <p className="problem">{table.problem.message}</p>
      ) : (
        <table className="text-sm schools">
          <thead>
            <tr>
              <th scope="col">System</th>
              <th scope="col">Nearest size</th>
              <th scope="col">Exact</th>
              <th scope="col">Assumes</th>
            </tr>
          </thead>
          <tbody>
            {table.value.map((row) => (
              <tr key={row.label}>
                <th scope="row">{row.label}</th>
                <td className="figure font-medium">
                  {row.size}
                  {row.width}
                </td>
                <td className="figure text-faint">{row.exact.toFixed(2)}</td>
                <td className="text-faint">{row.assumption}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {growth && <p className="bg-desk px-3 py-2">{growth.sentence}</p>}
    </div>
  );
}
