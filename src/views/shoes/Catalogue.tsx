import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { solePlan } from '@/core/shoe/drawing/sole-plan';
import {
  FEATURE_IDS,
  FEATURES,
  type FeatureId,
  featureOf,
  isFeatureId,
  printFeature,
} from '@/core/shoe/features';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';

const column = createColumnHelper<ShoeModel>();
const shown: FeatureId[] = ['use', 'drop', 'heelStack', 'mass', 'closure'];
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
];

/** The catalogue: search, filter by use, sort; one model at a time drawn with all that is known of it. */
export function Catalogue({ models }: { models: ShoeModel[] }) {
  const [words, setWords] = useState('');
  const [use, setUse] = useState('');
  const [sorting, setSorting] = useState<SortingState>([]);
  const [chosen, setChosen] = useState<string>(models[0]?.id ?? '');
  const found = useMemo(
    () =>
      models.filter(
        (model) =>
          (use === '' || model.features.use === use) &&
          modelTitle(model).toLowerCase().includes(words.trim().toLowerCase()),
      ),
    [models, use, words],
  );
  const table = useReactTable({
    data: found,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const model = models.find((entry) => entry.id === chosen);
  return (
    <div className="grid grid-cols-[1fr_21rem] gap-6">
      <div>
        <div className="flex gap-4 mb-2 items-end">
          <label>
            <span className="block text-faint">Name</span>
            <input value={words} onChange={(event) => setWords(event.target.value)} />
          </label>
          <label>
            <span className="block text-faint">Intended use</span>
            <select value={use} onChange={(event) => setUse(event.target.value)}>
              <option value="">any</option>
              {Object.entries(FEATURES.use.options).map(([id, label]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
          </label>
          <p className="ml-auto text-faint" role="status">
            {found.length} of {models.length}
          </p>
        </div>
        <div className="max-h-[68vh] overflow-y-auto" tabIndex={0} role="region" aria-label="Models">
          <table>
            <thead className="sticky top-0 bg-paper">
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id}>
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
                          className="cursor-pointer font-medium"
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
              {table.getRowModel().rows.map((row) => (
                <tr key={row.id} className={row.original.id === chosen ? 'bg-desk' : ''}>
                  {row.getVisibleCells().map((cell) => (
                    <td
                      key={cell.id}
                      className={
                        isFeatureId(cell.column.id) && numeric(cell.column.id)
                          ? 'figure whitespace-nowrap'
                          : ''
                      }
                    >
                      {cell.column.id === 'model' ? (
                        <button
                          type="button"
                          className="cursor-pointer text-left text-accent underline underline-offset-2"
                          aria-pressed={row.original.id === chosen}
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
          {found.length === 0 && <p className="py-3">No model matches. Clear the name or the use.</p>}
        </div>
      </div>
      {model && <ModelCard model={model} />}
    </div>
  );
}

function ModelCard({ model }: { model: ShoeModel }) {
  const { sizing } = model;
  return (
    <aside aria-label={modelTitle(model)} className="bg-desk p-4 content-start grid gap-2">
      <h2>{modelTitle(model)}</h2>
      <ShoeDrawing drawing={sideProfile(model.features)} ruler className="w-full" />
      <ShoeDrawing drawing={solePlan(model.features, null)} className="w-full" />
      <p className="text-faint text-sm">
        {SIZE_SYSTEM_LABEL[sizing.system]} {sizing.sizes[0]}–{sizing.sizes.at(-1)}, widths{' '}
        {sizing.widths.join(' ')}; {model.inStock ? 'in stock' : 'to order'}
      </p>
      <dl
        className="grid grid-cols-[auto_auto] gap-x-3 text-sm max-h-60 overflow-y-auto"
        tabIndex={0}
        aria-label="Features"
      >
        {FEATURE_IDS.filter((id) => id !== 'toeRoom').map((id) => (
          <div key={id} className="contents">
            <dt className="text-faint">{FEATURES[id].label}</dt>
            <dd className="figure text-right">
              {model.features[id] === undefined ? 'not stated' : printFeature(id, model.features[id])}
            </dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
