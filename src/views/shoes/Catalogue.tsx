import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { type CatalogueQuery, filterModels } from '@/core/catalogue/filter';
import { modelTitle, pairsInStock, type ShoeModel } from '@/core/catalogue/model';
import { FEATURES, type FeatureId, featureOf, isFeatureId, printFeature } from '@/core/shoe/features';
import { FilterBar } from './FilterBar';
import { ModelCard } from './ModelCard';

const column = createColumnHelper<ShoeModel>();
const shown: FeatureId[] = ['use', 'drop', 'heelStack', 'mass'];
const numeric = (id: FeatureId): boolean => featureOf(id).kind !== 'choice';

const columns = [
  column.accessor(modelTitle, { id: 'model', header: 'Model' }),
  column.accessor((model) => model.sizing.group, { id: 'group', header: 'For' }),
  ...shown.map((id) =>
    column.accessor((model) => model.features[id], {
      id,
      header: FEATURES[id].label,
      cell: (cell) => (cell.getValue() === undefined ? 'not stated' : printFeature(id, cell.getValue()!)),
      sortUndefined: 'last',
    }),
  ),
  column.accessor(pairsInStock, { id: 'stock', header: 'Pairs' }),
];

/** Rows at first; more on request, so that ten thousand models are no burden to the page. */
const PAGE = 80;
const MOST_COMPARED = 4;

/** The catalogue: filter on any feature, sort, look at one, choose up to four to lay beside each other. */
export function Catalogue({ models }: { models: ShoeModel[] }) {
  const [query, setQuery] = useState<CatalogueQuery>({ status: 'current' });
  const [sorting, setSorting] = useState<SortingState>([]);
  const [chosen, setChosen] = useState<string>(models.find(({ status }) => status === 'current')?.id ?? '');
  const [beside, setBeside] = useState<string[]>([]);
  const [rows, setRows] = useState(PAGE);
  const { matching, unknown } = useMemo(() => filterModels(models, query), [models, query]);
  const unsure = useMemo(() => new Set(unknown.map(({ id }) => id)), [unknown]);
  const found = useMemo(() => [...matching, ...unknown], [matching, unknown]);
  const table = useReactTable({
    data: found,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const all = table.getRowModel().rows;
  // The card follows the list: what was filtered away is not looked at any longer.
  const model = found.find((entry) => entry.id === chosen) ?? all[0]?.original;
  const toggle = (id: string) =>
    setBeside(
      beside.includes(id) ? beside.filter((one) => one !== id) : [...beside, id].slice(-MOST_COMPARED),
    );
  return (
    <div className="grid grid-cols-[1fr_20rem] gap-6">
      <div className="min-w-0">
        <FilterBar
          query={query}
          onChange={(next) => {
            setQuery(next);
            setRows(PAGE);
          }}
        />
        <p className="flex gap-4 items-baseline mb-1">
          <span className="text-faint" role="status">
            {matching.length} of {models.length} match
            {unknown.length > 0 && `; ${unknown.length} more may: a value that was asked for is not known`}
          </span>
          <a
            className={`press ml-auto ${beside.length < 2 ? 'invisible' : ''}`}
            href={`/shoes/compare?${beside.map((id) => `id=${id}`).join('&')}`}
          >
            Compare {beside.length}
          </a>
        </p>
        <div className="max-h-[64vh] overflow-y-auto" tabIndex={0} role="region" aria-label="Models">
          <table className="tight text-sm">
            <thead className="sticky top-0 bg-paper z-10">
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id}>
                  <th scope="col">
                    <span className="sr-only">Compare</span>
                  </th>
                  {group.headers.map((header) => {
                    const sorted = header.column.getIsSorted();
                    return (
                      <th
                        key={header.id}
                        scope="col"
                        aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                      >
                        <button
                          type="button"
                          className="cursor-pointer font-medium text-left"
                          onClick={header.column.getToggleSortingHandler()}
                        >
                          {flexRender(header.column.columnDef.header, header.getContext())}
                          {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                        </button>
                      </th>
                    );
                  })}
                </tr>
              ))}
            </thead>
            <tbody>
              {all.slice(0, rows).map((row) => (
                <tr
                  key={row.id}
                  className={`${row.original === model ? 'bg-desk' : ''} ${unsure.has(row.original.id) ? 'italic' : ''}`}
                >
                  <td>
                    <input
                      type="checkbox"
                      checked={beside.includes(row.original.id)}
                      aria-label={`Compare ${modelTitle(row.original)}`}
                      onChange={() => toggle(row.original.id)}
                    />
                  </td>
                  {row.getVisibleCells().map((cell) => (
                    <td
                      key={cell.id}
                      className={
                        cell.column.id === 'stock' || (isFeatureId(cell.column.id) && numeric(cell.column.id))
                          ? 'figure whitespace-nowrap'
                          : ''
                      }
                    >
                      {cell.column.id === 'model' ? (
                        <button
                          type="button"
                          className="cursor-pointer text-left text-accent underline underline-offset-2 whitespace-nowrap"
                          aria-pressed={row.original === model}
                          onClick={() => setChosen(row.original.id)}
                        >
                          {modelTitle(row.original)}
                        </button>
                      ) : (
                        flexRender(cell.column.columnDef.cell, cell.getContext())
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {found.length === 0 && <p className="py-3">No model matches. Remove a filter.</p>}
          {rows < all.length && (
            <button type="button" className="press my-2" onClick={() => setRows(rows + PAGE)}>
              {all.length - rows} more
            </button>
          )}
        </div>
      </div>
      {model && <ModelCard model={model} />}
    </div>
  );
}
