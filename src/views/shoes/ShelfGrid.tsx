import { type ShoeModel, stockKey, stockOf } from '@/core/catalogue/model';
import { DataTable } from '@/ui/table/DataTable';

/** Pairs by size and width; a count is changed in its cell. */
export function ShelfGrid({
  model,
  onCount,
}: {
  model: ShoeModel;
  onCount: (key: string, count: number) => void;
}) {
  const { sizes, widths } = model.sizing;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Pairs by size and width">
      <DataTable
        className="shelf text-sm"
        fitted
        rows={sizes}
        keyOf={String}
        columns={[
          { id: 'size', head: 'Size', namesRow: true, cell: (size) => size },
          ...widths.map((width) => ({
            id: width,
            head: width,
            cell: (size: (typeof sizes)[number]) => (
              <StockField
                label={`${size} ${width}, pairs`}
                count={stockOf(model, size, width)}
                onCount={(count) => onCount(stockKey(size, width), count)}
              />
            ),
          })),
        ]}
      />
    </div>
  );
}

interface StockProps {
  label: string;
  count: number;
  onCount: (count: number) => void;
}

/** Pairs in one place of the shelf; what is no whole number of pairs goes back to what it was. */
function StockField({ label, count, onCount }: StockProps) {
  return (
    <input
      className="figure"
      inputMode="numeric"
      aria-label={label}
      key={count}
      defaultValue={count === 0 ? '' : count}
      onBlur={({ target }) => {
        const next = target.value.trim() === '' ? 0 : Number(target.value);
        if (Number.isInteger(next) && next >= 0 && next !== count) onCount(next);
        else if (next !== count) target.value = count === 0 ? '' : String(count);
      }}
    />
  );
}
