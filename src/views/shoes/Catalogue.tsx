import { useMemo, useState } from 'react';
import { type CatalogueQuery, filterModels } from '@/core/catalogue/filter';
import { modelTitle, pairsInStock, type ShoeModel } from '@/core/catalogue/model';
import { FEATURES, type FeatureId, featureOf, printFeature } from '@/core/shoe/features';
import { type SortableColumn, SortableTable } from '@/ui/table/SortableTable';
import { FilterBar } from './FilterBar';
import { ModelCard } from './ModelCard';

const SHOWN: readonly FeatureId[] = ['use', 'drop', 'heelStack', 'mass'];

const VALUES: readonly SortableColumn<ShoeModel>[] = [
  {
    id: 'group',
    head: 'For',
    sortBy: (model) => model.sizing.group,
    cell: (model) => model.sizing.group,
  },
  ...SHOWN.map((id): SortableColumn<ShoeModel> => {
    const isNumber = featureOf(id).kind !== 'choice';
    return {
      id,
      head: FEATURES[id].label,
      figure: isNumber,
      className: isNumber ? 'whitespace-nowrap' : '',
      sortBy: (model) => model.features[id],
      cell: (model) => {
        const value = model.features[id];
        return value === undefined ? 'not stated' : printFeature(id, value);
      },
    };
  }),
  { id: 'stock', head: 'Pairs', figure: true, sortBy: pairsInStock, cell: pairsInStock },
];

/** Rows at first; more on request, so that ten thousand models are no burden to the page. */
const PAGE = 80;
const MOST_COMPARED = 4;

/** The catalogue: filter on any feature, sort, look at one, choose up to four to lay beside each other. */
export function Catalogue({ models }: { models: ShoeModel[] }) {
  const [query, setQuery] = useState<CatalogueQuery>({ status: 'current' });
  const [chosen, setChosen] = useState<string>(models.find(({ status }) => status === 'current')?.id ?? '');
  const [beside, setBeside] = useState<string[]>([]);
  const [rows, setRows] = useState(PAGE);
  const { matching, unknown } = useMemo(() => filterModels(models, query), [models, query]);
  const unsure = useMemo(() => new Set(unknown.map(({ id }) => id)), [unknown]);
  const found = useMemo(() => [...matching, ...unknown], [matching, unknown]);
  // The card follows the list: what was filtered away is not looked at any longer.
  const model = found.find((entry) => entry.id === chosen) ?? found[0];
  const toggle = (id: string) =>
    setBeside(
      beside.includes(id) ? beside.filter((one) => one !== id) : [...beside, id].slice(-MOST_COMPARED),
    );
  const columns: readonly SortableColumn<ShoeModel>[] = [
    {
      id: 'compare',
      head: 'Compare',
      quiet: true,
      cell: (entry) => (
        <input
          type="checkbox"
          checked={beside.includes(entry.id)}
          aria-label={`Compare ${modelTitle(entry)}`}
          onChange={() => toggle(entry.id)}
        />
      ),
    },
    {
      id: 'model',
      head: 'Model',
      sortBy: modelTitle,
      cell: (entry) => (
        <button
          type="button"
          className="cursor-pointer text-left text-accent underline underline-offset-2 whitespace-nowrap"
          aria-pressed={entry === model}
          onClick={() => setChosen(entry.id)}
        >
          {modelTitle(entry)}
        </button>
      ),
    },
    ...VALUES,
  ];
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
          <SortableTable
            className="text-sm"
            columns={columns}
            rows={found}
            shown={rows}
            keyOf={(entry) => entry.id}
            rowProps={(entry) => ({
              className: `${entry === model ? 'bg-desk' : ''} ${unsure.has(entry.id) ? 'italic' : ''}`,
            })}
          />
          {found.length === 0 && <p className="py-3">No model matches. Remove a filter.</p>}
          {rows < found.length && (
            <button type="button" className="press my-2" onClick={() => setRows(rows + PAGE)}>
              {found.length - rows} more
            </button>
          )}
        </div>
      </div>
      {model && <ModelCard model={model} />}
    </div>
  );
}
