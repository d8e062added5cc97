import { useId, useState } from 'react';
import {
  type CatalogueQuery,
  type FeatureFilter,
  filterInWords,
  readFeatureFilter,
} from '@/core/match/filter';
import { FEATURE_IDS, FEATURES, type FeatureId, featureOf, isPerFoot } from '@/core/shoe/features';
import { UNIT_LABEL } from '@/core/units/parse';

const FILTERED: readonly FeatureId[] = FEATURE_IDS.filter((id) => id !== 'toeRoom' && !isPerFoot(id));

interface Props {
  query: CatalogueQuery;
  onChange: (query: CatalogueQuery) => void;
}

/** What is asked of the catalogue: words, for whom, on the shelf, and any feature in any unit. */
export function FilterBar({ query, onChange }: Props) {
  const features = query.features ?? [];
  const set = (part: Partial<CatalogueQuery>) =>
    onChange(
      Object.fromEntries(
        Object.entries({ ...query, ...part }).filter(([, value]) => value !== undefined && value !== ''),
      ) as CatalogueQuery,
    );
  return (
    <div className="grid gap-2 mb-2">
      <div className="flex flex-wrap gap-x-4 gap-y-2 items-end">
        <label>
          <span className="block text-faint">Maker, name, version</span>
          <input value={query.words ?? ''} onChange={({ target }) => set({ words: target.value })} />
        </label>
        <label>
          <span className="block text-faint">For</span>
          <select
            value={query.group ?? ''}
            onChange={({ target }) => set({ group: (target.value || undefined) as CatalogueQuery['group'] })}
          >
            <option value="">anybody</option>
            <option value="men">men</option>
            <option value="women">women</option>
            <option value="child">children</option>
          </select>
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={query.inStock ?? false}
            onChange={({ target }) => set({ inStock: target.checked || undefined })}
          />{' '}
          on the shelf
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={query.status === 'current'}
            onChange={({ target }) => set({ status: target.checked ? 'current' : undefined })}
          />{' '}
          still made
        </label>
        <AddFilter
          onAdd={(filter) =>
            set({ features: [...features.filter((one) => one.feature !== filter.feature), filter] })
          }
        />
      </div>
      {features.length > 0 && (
        <ul className="flex flex-wrap gap-x-4" aria-label="Filters">
          {features.map((filter) => (
            <li key={filter.feature}>
              {filterInWords(filter)}{' '}
              <button
                type="button"
                className="press press-quiet"
                aria-label={`Remove the filter ${filterInWords(filter)}`}
                onClick={() => {
                  const rest = features.filter((one) => one.feature !== filter.feature);
                  set({ features: rest.length > 0 ? rest : undefined });
                }}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** One feature and what is asked of it: typed for numbers and grades, chosen for kinds. */
function AddFilter({ onAdd }: { onAdd: (filter: FeatureFilter) => void }) {
  const id = useId();
  const [feature, setFeature] = useState<FeatureId>('drop');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const definition = featureOf(feature);
  const hint =
    definition.kind === 'scale'
      ? `4–8 ${UNIT_LABEL[definition.unit]}`
      : definition.kind === 'grade'
        ? `${definition.anchors[0]} to ${definition.anchors[1]}`
        : '';
  const add = (typed: string) => {
    const read = readFeatureFilter(feature, typed);
    setProblem(read.ok ? '' : read.problem.message);
    if (!read.ok) return;
    onAdd(read.value);
    setText('');
  };
  return (
    <form
      className="flex flex-wrap gap-2 items-end ml-auto"
      onSubmit={(event) => {
        event.preventDefault();
        add(text);
      }}
    >
      <label>
        <span className="block text-faint">Feature</span>
        <select
          value={feature}
          onChange={({ target }) => {
            setFeature(target.value as FeatureId);
            setText('');
            setProblem('');
          }}
        >
          {FILTERED.map((id) => (
            <option key={id} value={id}>
              {FEATURES[id].label}
            </option>
          ))}
        </select>
      </label>
      <div>
        <label htmlFor={id} className="block text-faint">
          is
        </label>
        {definition.kind === 'choice' ? (
          <select id={id} value="" onChange={({ target }) => target.value && add(target.value)}>
            <option value="">choose …</option>
            {Object.entries(definition.options).map(([option, label]) => (
              <option key={option} value={option}>
                {label}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            className="w-32"
            placeholder={hint}
            value={text}
            aria-invalid={problem !== '' || undefined}
            onChange={({ target }) => setText(target.value)}
          />
        )}
        {problem && <p className="problem max-w-64">{problem}</p>}
      </div>
      {definition.kind !== 'choice' && (
        <button type="submit" className="press">
          Filter
        </button>
      )}
    </form>
  );
}
