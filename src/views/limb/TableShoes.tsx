import { useState } from 'react';
import type { LimbPage } from '@/contract/limb';
import { TABLE_DECISIONS } from '@/core/prosthesis/limb-record';
import { writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { TableCheck } from './TableCheck';
import type { Limb } from './use-limb';

interface Props {
  limb: Limb;
  page: LimbPage;
  patientId: string;
  mayCheck: boolean;
}

const leans = (degrees: number | undefined): string =>
  degrees === undefined
    ? 'by eye'
    : Math.abs(degrees) < 0.05
      ? 'upright'
      : `${Math.abs(degrees).toFixed(1)}° ${degrees > 0 ? 'forward' : 'back'}`;

/** Shoes that were looked at with the prosthesis in them; each version of a model for itself. */
export function TableShoes({ limb, page, patientId, mayCheck }: Props) {
  const [checking, setChecking] = useState(false);
  const { checks } = page;
  return (
    <div className="grid gap-3">
      {checks.length === 0 ? (
        <p className="text-faint">
          No shoe has been checked yet. Put the shoe on the prosthesis, stand it on a table and look at the
          shank from the side.
        </p>
      ) : (
        <DataTable
          rows={checks}
          keyOf={({ id }) => id}
          columns={[
            { id: 'shoe', head: 'Shoe', namesRow: true, cell: ({ title }) => title },
            { id: 'on', head: 'Checked', cell: ({ on, by }) => `${writtenDay(on)}, ${by}` },
            {
              id: 'rise',
              head: 'Heel rise',
              cell: ({ riseMm }) => <span className="figure">{riseMm} mm</span>,
            },
            {
              id: 'wedge',
              head: 'Wedge',
              cell: ({ wedgeMm }) => (
                <span className="figure">{wedgeMm === 0 ? 'none' : `${wedgeMm} mm`}</span>
              ),
            },
            {
              id: 'lean',
              head: 'Shank',
              cell: ({ leanDeg, leanBeforeDeg }) =>
                `${leans(leanDeg)}${leanBeforeDeg === undefined ? '' : ` (before: ${leans(leanBeforeDeg)})`}`,
            },
            {
              id: 'decision',
              head: 'Decision',
              cell: ({ decision, note, unchecked }) => (
                <>
                  <strong className={decision === 'approved' ? '' : 'text-warn'}>
                    {TABLE_DECISIONS[decision]}
                  </strong>
                  {note && `; ${note}`}
                  {unchecked.map((other) => (
                    <span key={other.id} className="block text-hold">
                      {other.title} is another version: check it again.
                    </span>
                  ))}
                </>
              ),
            },
          ]}
        />
      )}
      {mayCheck &&
        (checking ? (
          <TableCheck
            foot={page.foot}
            patientId={patientId}
            onDone={(kept) => {
              setChecking(false);
              if (kept) void limb.load();
            }}
          />
        ) : (
          <button
            type="button"
            className="press press-main justify-self-start"
            onClick={() => setChecking(true)}
          >
            Check a shoe on the table
          </button>
        ))}
    </div>
  );
}
