import type { ComparedModelsRow } from '@/core/match/compare';
import type { FeatureId } from '@/core/shoe/features';

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
    <table className="text-sm schools" aria-label={label}>
      <thead>
        <tr>
          <th scope="col">Feature</th>
          {titles.map((title) => (
            <th key={title} scope="col" className="text-ink">
              {title}
            </th>
          ))}
          {wanted && <th scope="col">Wanted</th>}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr
            key={row.feature}
            onMouseEnter={() => onLight?.(row.feature)}
            onMouseLeave={() => onLight?.(null)}
          >
            <th scope="row">{row.label}</th>
            {row.values.map((value, at) => (
              <td key={titles[at]} data-alone={row.differs || undefined}>
                {value === null ? (
                  <span className="text-faint italic">not stated</span>
                ) : (
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
                )}
              </td>
            ))}
            {wanted && <td className="text-faint">{row.wanted ?? ''}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
