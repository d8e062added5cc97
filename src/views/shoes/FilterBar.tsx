import { useState } from 'react';
import {
  type CatalogueQuery,
  type FeatureFilter,
  filterInWords,
  readFeatureFilter,
} from '@/core/catalogue/filter';
import { FEATURE_IDS, FEATURES, type FeatureId, featureOf, isPerFoot } from '@/core/shoe/features';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { UNIT_LABEL } from '@/core/units/parse';
import { Field } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';

/** What a model can be asked for: what each foot has for itself is no property of a model. */
const FILTERED = Object.fromEntries(
  FEATURE_IDS.filter((id) => id !== 'toeRoom' && !isPerFoot(id)).map((id) => [id, FEATURES[id].label]),
) as Record<FeatureId, string>;

interface Props {
  query: CatalogueQuery;
  onChange: (query: CatalogueQuery) => void;
}

/** What is asked of the catalogue: words, for whom, on the shelf, and any feature in any unit. */
export function FilterBar({ query, onChange }: Props) {
  const features = query.features ?? [];
  const set = (part: { [K in keyof CatalogueQuery]?: CatalogueQuery[K] | undefined }) =>
    onChange(omitUndefined({ ...query, ...part }));
  return (
    <div className="grid gap-2 mb-2">
      <div className="flex flex-wrap gap-x-4 gap-y-2 items-end">
        <Field label="Maker, name, version">
          {({ id }) => (
            <input
              id={id}
              value={query.words ?? ''}
              onChange={({ target }) => set({ words: target.value || undefined })}
            />
          )}
        </Field>
        <Select
          label="For"
          none="anybody"
          options={{ men: 'men', women: 'women', child: 'children' }}
          value={query.group}
          onChange={(group) => set({ group })}
        />
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
      className="flex flex-wrap gap-2 items-end"
      onSubmit={(event) => {
        event.preventDefault();
        add(text);
      }}
    >
      <Select
        label="Feature"
        options={FILTERED}
        value={feature}
        onChange={(next) => {
          if (next) setFeature(next);
          setText('');
          setProblem('');
        }}
      />
      <Field label="is" error={problem || undefined} className="max-w-64">
        {(control) =>
          definition.kind === 'choice' ? (
            <select {...control} value="" onChange={({ target }) => target.value && add(target.value)}>
              <option value="">choose …</option>
              {Object.entries(definition.options).map(([option, label]) => (
                <option key={option} value={option}>
                  {label}
                </option>
              ))}
            </select>
          ) : (
            <input
              {...control}
              className="w-32"
              placeholder={hint}
              value={text}
              onChange={({ target }) => setText(target.value)}
            />
          )
        }
      </Field>
      {definition.kind !== 'choice' && (
        <button type="submit" className="press">
          Filter
        </button>
      )}
    </form>
  );
}
