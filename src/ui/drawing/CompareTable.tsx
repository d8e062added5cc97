import type { ComparedModelsRow } from '@/core/match/compare';
import type { FeatureId } from '@/core/shoe/features';
import { DataTable } from '@/ui/table/DataTable';

interface Props {
  titles: readonly string[];
  rows: readonly ComparedModelsRow[];
  label: string;
  onLight?: (feature: FeatureId | null) => void;
}

/** Shoes side by side: rows that differ are marked by a rule, values inside the specification by a tick. */
export function CompareTable({ titles, rows, label, onLight }: Props) {
  const wanted = rows.some((row) => row.wanted !== null);
  return (
    <DataTable
      label={label}
      spacing="close"
      rows={rows}
      keyOf={(row) => row.feature}
      rowProps={(row) => ({
        onMouseEnter: () => onLight?.(row.feature),
        onMouseLeave: () => onLight?.(null),
      })}
      columns={[
        { id: 'feature', head: 'Feature', namesRow: true, cell: (row) => row.label },
        ...titles.map((title, at) => ({
          id: title,
          head: <span className="text-ink">{title}</span>,
          className: (row: ComparedModelsRow) => (row.differs ? 'alone' : ''),
          cell: (row: ComparedModelsRow) => <ComparedValue value={row.values[at] ?? null} />,
        })),
        ...(wanted
          ? [
              {
                id: 'wanted',
                head: 'Wanted',
                className: 'text-faint',
                cell: (row: ComparedModelsRow) => row.wanted ?? '',
              },
            ]
          : []),
      ]}
    />
  );
}

function ComparedValue({ value }: { value: ComparedModelsRow['values'][number] }) {
  if (value === null) return <span className="text-faint italic">not stated</span>;
  return (
    <>
      {value.says}
      {value.inside !== null && (
        <span
          role="img"
          className={value.inside ? 'text-accent' : 'text-hold'}
          aria-label={value.inside ? ', as wanted' : ', not as wanted'}
        >
          {value.inside ? ' ✓' : ' ✗'}
        </span>
      )}
    </>
  );
}
