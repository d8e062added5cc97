import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { modifiedShoe } from '@/core/modification/drawing';
import type { JobSheet } from '@/core/modification/job-sheet';
import {
  amountOf,
  MODIFICATIONS,
  MODIFIED_PLACES,
  type Modification,
  modificationInWords,
} from '@/core/modification/modification';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { writtenDay } from '@/ui/formats';

const concerns = (side: Side) => (modification: Modification) =>
  modification.side === 'both' || modification.side === side;

/** What a technician changes on a pair: drawn to scale, in millimetres, by side; and what is measured before it goes out. */
export function Job({ job }: { job: JobSheet }) {
  const { modifications } = job;
  return (
    <article className="sheet max-w-4xl grid gap-3">
      <header className="grid grid-cols-[1fr_auto] gap-4">
        <div>
          <p className="text-faint">
            {job.clinic}
            {job.phone !== '' && `, ${job.phone}`}
          </p>
          <h1>{job.shoe}</h1>
          <p className="figure">
            {job.sizes.left === job.sizes.right
              ? job.sizes.left
              : `left ${job.sizes.left}, right ${job.sizes.right}`}
          </p>
        </div>
        <dl className="grid grid-cols-[auto_auto] gap-x-3 content-start">
          <dt className="text-faint">Job</dt>
          <dd className="figure">
            {job.number}, {job.initials}
          </dd>
          <dt className="text-faint">Ordered</dt>
          <dd>{writtenDay(job.orderedOn)}</dd>
          {job.neededBy && (
            <>
              <dt className="text-faint">Needed by</dt>
              <dd>{writtenDay(job.neededBy)}</dd>
            </>
          )}
        </dl>
      </header>
      {modifications.length === 0 && <p>Nothing is to be changed on this pair.</p>}
      {SIDES.filter((side) => modifications.some(concerns(side))).map((side) => (
        <OneShoe key={side} side={side} job={job} />
      ))}
      {modifications.length > 0 && <Checks modifications={modifications} />}
      <p className="text-faint text-sm">
        The drawing is made from the catalogue’s figures; the pair in hand counts. Ask before you cut where a
        figure does not fit it: sole height and drop change with what is built on.
      </p>
    </article>
  );
}

function OneShoe({ side, job }: { side: Side; job: JobSheet }) {
  const shoe = modifiedShoe(job.values, side, job.modifications);
  const name = side === 'left' ? 'Left shoe' : 'Right shoe';
  return (
    <section aria-label={name} className="break-inside-avoid border-t border-rule pt-2">
      <h2>{name}</h2>
      <div className="grid grid-cols-2 gap-6 items-center">
        {shoe.side.marks.length > 0 && (
          <figure>
            <ShoeDrawing
              drawing={{ ...shoe.side.drawing, summary: `${name} from the side` }}
              numbers={shoe.side.marks}
              ruler
              className="w-full max-h-52"
            />
            <figcaption className="text-faint text-sm">
              From the side, heel left; ruler in centimetres.
            </figcaption>
          </figure>
        )}
        {shoe.plan.marks.length > 0 && (
          <figure>
            <ShoeDrawing
              drawing={{ ...shoe.plan.drawing, summary: `${name} from above` }}
              numbers={shoe.plan.marks}
              mirrored={shoe.plan.isMirrored}
              className="w-full max-h-44"
            />
            <figcaption className="text-faint text-sm">
              From above, heel left; big-toe side {side === 'left' ? 'below' : 'above'}.
            </figcaption>
          </figure>
        )}
      </div>
      <ol className="grid gap-0.5 mt-1">
        {job.modifications.map((modification, at) =>
          concerns(side)(modification) ? (
            <li key={modificationInWords(modification)} className="grid grid-cols-[1.5rem_1fr] gap-2">
              <strong className="figure">{at + 1}</strong>
              <span>
                <strong>
                  {MODIFICATIONS[modification.kind].label} {amountOf(modification)}
                </strong>
                {modification.place && ` ${MODIFIED_PLACES[modification.place]}`}
                {modification.note && `; ${modification.note}`}
              </span>
            </li>
          ) : null,
        )}
      </ol>
    </section>
  );
}

/** What is measured before the pair goes out, with room to write. */
function Checks({ modifications }: { modifications: readonly Modification[] }) {
  return (
    <section aria-label="Check at collection" className="border-t border-rule pt-2 break-inside-avoid">
      <h2>Check at collection</h2>
      <table className="w-full">
        <thead>
          <tr>
            <th scope="col">Change</th>
            <th scope="col">Ordered</th>
            <th scope="col">Measured</th>
            <th scope="col">By, on</th>
          </tr>
        </thead>
        <tbody>
          {modifications.map((modification) => {
            const { within, unit } = MODIFICATIONS[modification.kind];
            const ordered = amountOf(modification);
            const measured = modification.check?.measured;
            return (
              <tr key={modificationInWords(modification)} className="border-b border-line">
                <th scope="row" className="font-normal">
                  {modificationInWords({ ...modification, amount: undefined })}
                </th>
                <td>
                  {ordered === null
                    ? 'made'
                    : `${ordered} ± ${amountOf({ kind: modification.kind, amount: within })}`}
                </td>
                <td>
                  {measured !== undefined && unit !== null
                    ? amountOf({ kind: modification.kind, amount: measured })
                    : '…………'}
                </td>
                <td>……………………</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
