import { type ReactNode, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { type CatalogueQuery, filterModels } from '@/core/catalogue/filter';
import { modelTitle, pairsInStock, type ShoeModel } from '@/core/catalogue/model';
import type { CatalogueStart } from '@/core/catalogue/parts';
import { type FeatureId, featureOf, printFeature } from '@/core/shoe/features';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from '@/core/shoe/motion-control-scale';
import { Failed } from '@/ui/page/Failed';
import { LongTable, type SortableColumn } from '@/ui/table/LongTable';
import { usePart } from '@/ui/use-part';
import { useModels } from '../use-models';
import { FilterBar } from './FilterBar';

/** The drawing of one model comes once the list stands. */
const loadCard = () => import('./ModelCard').then((part) => part.ModelCard);

/** A feature as a column; a grade by its number, which its heading explains. */
function featureColumn(id: FeatureId, head: string, width: string): SortableColumn<ShoeModel> {
  const { kind } = featureOf(id);
  return {
    id,
    head,
    width,
    figure: kind !== 'choice',
    className: 'whitespace-nowrap',
    sortBy: (model) => model.features[id],
    cell: (model) => {
      const value = model.features[id];
      return value === undefined ? 'unknown' : kind === 'grade' ? value : printFeature(id, value);
    },
  };
}

/** Points that a shoe has for certain, and those it may have: two numbers where a value is not known. */
const motionControl = ({ features }: ShoeModel): string => {
  const { least, most } = motionControlScaleOf(features);
  return least === most ? String(least) : `${least}–${most}`;
};

const VALUES: readonly SortableColumn<ShoeModel>[] = [
  {
    id: 'group',
    head: 'For',
    width: 'w-15',
    sortBy: (model) => model.sizing.group,
    cell: (model) => model.sizing.group,
  },
  featureColumn('use', 'Use', 'w-26'),
  featureColumn('drop', 'Drop', 'w-16'),
  featureColumn('mass', 'Mass', 'w-14'),
  featureColumn('heelCushioning', 'Heel cushioning, 1–5', 'w-22'),
  {
    id: 'motion',
    head: `Motion control, 0–${MOTION_CONTROL_MOST}`,
    width: 'w-20',
    figure: true,
    sortBy: ({ features }) => motionControlScaleOf(features).least,
    cell: motionControl,
  },
  { id: 'stock', head: 'Pairs', width: 'w-12', figure: true, sortBy: pairsInStock, cell: pairsInStock },
];

const MOST_COMPARED = 4;
const AT_FIRST: CatalogueQuery = { status: 'current' };

interface Props {
  start: CatalogueStart;
  /** The card of the first model, drawn by the server. */
  children?: ReactNode;
}

/** The catalogue; says so where a part of it could not be fetched. */
export function Catalogue(props: Props) {
  return (
    <ErrorBoundary
      fallbackRender={() => (
        <Failed
          problem="The catalogue could not be opened. Nothing was changed. Check the network, then try again."
          onRetry={() => location.reload()}
        />
      )}
    >
      <Shelves {...props} />
    </ErrorBoundary>
  );
}

/**
 * Filter on any feature, sort, look at one, choose up to four to lay beside each other. It opens with its first models; the
 * rest comes after them.
 */
function Shelves({ start, children }: Props) {
  const [query, setQuery] = useState<CatalogueQuery>(AT_FIRST);
  const [chosen, setChosen] = useState<string>('');
  const [beside, setBeside] = useState<string[]>([]);
  const Card = usePart(loadCard);
  const { models: all, share, problem, retry } = useModels();
  const models = all ?? start.first;
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
      width: 'w-6',
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
          className="cursor-pointer text-left text-accent underline underline-offset-2 max-w-full truncate block"
          title={modelTitle(entry)}
          aria-pressed={entry === model}
          onClick={() => setChosen(entry.id)}
        >
          {modelTitle(entry)}
        </button>
      ),
    },
    ...VALUES,
  ];
  const isWhole = all !== null || start.first.length === start.models;
  const opened =
    query === AT_FIRST
      ? `${start.current} of ${start.models} match`
      : `Reading the catalogue, ${Math.round(100 * share)} % …`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_20rem] gap-6">
      <div className="min-w-0">
        <FilterBar query={query} onChange={setQuery} />
        {problem && <Failed problem={problem} onRetry={retry} />}
        <p className="flex gap-4 items-baseline mb-1">
          <span className="text-faint" role="status">
            {isWhole ? `${matching.length} of ${models.length} match` : opened}
            {isWhole &&
              unknown.length > 0 &&
              `; ${unknown.length} more may: a value that was asked for is not known`}
          </span>
          <a
            className={`press ml-auto ${beside.length < 2 ? 'invisible' : ''}`}
            href={`/shoes/compare?${beside.map((id) => `id=${id}`).join('&')}`}
          >
            Compare {beside.length}
          </a>
        </p>
        <LongTable
          label="Models"
          className="text-sm"
          columns={columns}
          rows={found}
          keyOf={(entry) => entry.id}
          rowProps={(entry) => ({
            className: `${entry === model ? 'bg-desk' : ''} ${unsure.has(entry.id) ? 'italic' : ''}`,
          })}
        />
        {isWhole && found.length === 0 && <p className="py-3">No model matches. Remove a filter.</p>}
      </div>
      {Card ? model && <Card model={model} /> : children}
    </div>
  );
}
