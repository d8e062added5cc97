import { type ShoeModel, stockKey, stockOf } from '@/core/catalogue/model';

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
      <table className="shelf text-sm">
        <thead>
          <tr>
            <th scope="col">
              <span className="sr-only">Width</span>
            </th>
            {sizes.map((size) => (
              <th key={size} scope="col" className="figure">
                {size}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {widths.map((width) => (
            <tr key={width}>
              <th scope="row">{width}</th>
              {sizes.map((size) => {
                const count = stockOf(model, size, width);
                return (
                  <td key={size}>
                    <input
                      className="figure"
                      inputMode="numeric"
                      aria-label={`${size} ${width}, pairs`}
                      key={count}
                      defaultValue={count === 0 ? '' : count}
                      onBlur={({ target }) => {
                        const next = target.value.trim() === '' ? 0 : Number(target.value);
                        if (Number.isInteger(next) && next >= 0 && next !== count)
                          onCount(stockKey(size, width), next);
                        else if (next !== count) target.value = count === 0 ? '' : String(count);
                      }}
                    />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
