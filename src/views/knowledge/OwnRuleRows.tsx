import type { ReactNode } from 'react';
import { definitionOf, FINDING_IDS, type FindingId } from '@/core/findings/findings';
import { FEATURES, featureOf } from '@/core/shoe/features';
import { mapTable } from '@/core/tables/keys-of';
import { UNIT_LABEL } from '@/core/units/parse';
import { Select } from '@/ui/fields/Select';
import type { DemandDraft, WishDraft } from './own-rule';

const BOUNDS = { atLeast: 'at least', above: 'over', atMost: 'at most', below: 'under' } as const;

export const STRENGTHS = {
  limit: 'limit',
  strong: 'strong',
  moderate: 'moderate',
  slight: 'slight',
} as const;

/** Findings that a condition can demand something of: words cannot be demanded. */
const DEMANDED = Object.fromEntries(
  FINDING_IDS.filter((id) => definitionOf(id).kind !== 'text').map((id) => [id, definitionOf(id).label]),
) as Record<FindingId, string>;
const FEATURE_LABELS = mapTable(FEATURES, ({ label }) => label);

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
  onChange: (chosen: string[]) => void;
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
      <Select
        quiet
        label="Finding"
        options={DEMANDED}
        value={demand.finding}
        onChange={(finding) => finding && onChange({ ...demand, finding, options: [] })}
      />
      <Select
        quiet
        label="Is or is not"
        options={
          definition.kind === 'set' ? { is: 'has any of', not: 'has none of' } : { is: 'is', not: 'is not' }
        }
        value={demand.not ? 'not' : 'is'}
        onChange={(next) => onChange({ ...demand, not: next === 'not' })}
      />
      {definition.kind === 'number' ? (
        <>
          <Select
            quiet
            label="Bound"
            options={BOUNDS}
            value={demand.bound}
            onChange={(bound) => bound && onChange({ ...demand, bound })}
          />
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
      <Select
        quiet
        label="Feature"
        options={FEATURE_LABELS}
        value={wish.feature}
        onChange={(next) => next && onChange({ ...wish, feature: next, options: [] })}
      />
      {feature.kind === 'choice' ? (
        <Select
          quiet
          label="Prefer or avoid"
          options={{ prefer: 'prefer', avoid: 'avoid' }}
          value={wish.way}
          onChange={(way) => way && onChange({ ...wish, way })}
        />
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
      <Select
        quiet
        label="Strength of this wish"
        none="as the rule"
        options={STRENGTHS}
        value={wish.strength === '' ? undefined : wish.strength}
        onChange={(strength) => onChange({ ...wish, strength: strength ?? '' })}
      />
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
