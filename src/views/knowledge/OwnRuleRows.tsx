import type { ReactNode } from 'react';
import { definitionOf, FINDING_IDS, type FindingId } from '@/core/picture/findings';
import { FEATURE_IDS, type FeatureId, featureOf } from '@/core/shoe/features';
import { UNIT_LABEL } from '@/core/units/parse';
import type { DemandDraft, WishDraft } from './own-rule';

interface RowProps<T> {
  onChange: (entry: T) => void;
  onRemove: (() => void) | null;
}

function Options({
  label,
  options,
  chosen,
  onChange,
}: {
  label: string;
  options: Readonly<Record<string, string>>;
  chosen: readonly string[];
  onChange: (chosen: readonly string[]) => void;
}) {
  return (
    <fieldset className="flex flex-wrap gap-x-3 basis-full pl-4 text-sm">
      <legend className="sr-only">{label}</legend>
      {Object.entries(options).map(([option, words]) => (
        <label key={option} className="flex gap-1 items-center">
          <input
            type="checkbox"
            checked={chosen.includes(option)}
            onChange={() =>
              onChange(
                chosen.includes(option) ? chosen.filter((other) => other !== option) : [...chosen, option],
              )
            }
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

const Row = ({ children, onRemove }: { children: ReactNode; onRemove: (() => void) | null }) => (
  <div className="flex flex-wrap gap-2 items-end border-b border-line pb-1">
    {children}
    {onRemove && (
      <button type="button" className="press press-quiet" onClick={onRemove}>
        Remove
      </button>
    )}
  </div>
);

/** A finding and what is demanded of it. */
export function DemandRow({ demand, onChange, onRemove }: { demand: DemandDraft } & RowProps<DemandDraft>) {
  const definition = definitionOf(demand.finding);
  return (
    <Row onRemove={onRemove}>
      <label>
        <span className="sr-only">Finding</span>
        <select
          value={demand.finding}
          onChange={(event) => onChange({ ...demand, finding: event.target.value as FindingId, options: [] })}
        >
          {FINDING_IDS.filter((id) => definitionOf(id).kind !== 'text').map((id) => (
            <option key={id} value={id}>
              {definitionOf(id).label}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="sr-only">Is or is not</span>
        <select
          value={demand.not ? 'not' : ''}
          onChange={(event) => onChange({ ...demand, not: event.target.value === 'not' })}
        >
          <option value="">{definition.kind === 'set' ? 'has any of' : 'is'}</option>
          <option value="not">{definition.kind === 'set' ? 'has none of' : 'is not'}</option>
        </select>
      </label>
      {definition.kind === 'number' ? (
        <>
          <label>
            <span className="sr-only">Bound</span>
            <select
              value={demand.bound}
              onChange={(event) => onChange({ ...demand, bound: event.target.value as DemandDraft['bound'] })}
            >
              <option value="atLeast">at least</option>
              <option value="above">over</option>
              <option value="atMost">at most</option>
              <option value="below">under</option>
            </select>
          </label>
          <label>
            <span className="sr-only">{definition.label}</span>
            <input
              className="figure w-20 text-right"
              inputMode="decimal"
              value={demand.number}
              onChange={(event) => onChange({ ...demand, number: event.target.value })}
            />
          </label>
          {UNIT_LABEL[definition.unit]}
        </>
      ) : (
        'options' in definition && (
          <Options
            label={definition.label}
            options={definition.options}
            chosen={demand.options}
            onChange={(options) => onChange({ ...demand, options })}
          />
        )
      )}
    </Row>
  );
}

/** A feature and what is wished of it. */
export function WishRow({ wish, onChange, onRemove }: { wish: WishDraft } & RowProps<WishDraft>) {
  const feature = featureOf(wish.feature);
  const unit =
    feature.kind === 'scale'
      ? UNIT_LABEL[feature.unit]
      : feature.kind === 'grade'
        ? `of ${feature.anchors.length}`
        : '';
  return (
    <Row onRemove={onRemove}>
      <label>
        <span className="sr-only">Feature</span>
        <select
          value={wish.feature}
          onChange={(event) => onChange({ ...wish, feature: event.target.value as FeatureId, options: [] })}
        >
          {FEATURE_IDS.map((id) => (
            <option key={id} value={id}>
              {featureOf(id).label}
            </option>
          ))}
        </select>
      </label>
      {feature.kind === 'choice' ? (
        <label>
          <span className="sr-only">Prefer or avoid</span>
          <select
            value={wish.way}
            onChange={(event) => onChange({ ...wish, way: event.target.value as WishDraft['way'] })}
          >
            <option value="prefer">prefer</option>
            <option value="avoid">avoid</option>
          </select>
        </label>
      ) : (
        (['from', 'to'] as const).map((end) => (
          <label key={end}>
            {end === 'from' ? 'at least ' : 'at most '}
            <input
              className="figure w-16 text-right"
              inputMode="decimal"
              value={wish[end]}
              onChange={(event) => onChange({ ...wish, [end]: event.target.value })}
            />
          </label>
        ))
      )}
      {unit}
      <label>
        <span className="sr-only">Strength of this wish</span>
        <select
          value={wish.strength}
          onChange={(event) => onChange({ ...wish, strength: event.target.value as WishDraft['strength'] })}
        >
          <option value="">as the rule</option>
          {(['limit', 'strong', 'moderate', 'slight'] as const).map((strength) => (
            <option key={strength}>{strength}</option>
          ))}
        </select>
      </label>
      {feature.kind === 'choice' && (
        <Options
          label={feature.label}
          options={feature.options}
          chosen={wish.options}
          onChange={(options) => onChange({ ...wish, options })}
        />
      )}
    </Row>
  );
}
