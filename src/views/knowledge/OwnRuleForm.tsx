import { useFieldArray } from 'react-hook-form';
import type { HouseChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { SOURCES } from '@/core/sources/sources';
import { keysOf } from '@/core/tables/keys-of';
import { Field } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';
import { DemandRow, STRENGTHS, WishRow } from './OwnRuleRows';
import {
  type DemandDraft,
  emptyDemand,
  emptyRule,
  emptyWish,
  type OwnRuleDraft,
  ownRuleFormSchema,
  SCHOOL_NAMES,
  type WishDraft,
} from './own-rule';

type TextField = 'finding' | 'because' | 'caution' | 'reason';

/** A rule of the clinic's own, with the same fields as those that ship; checked in the same way before it goes into the draft. */
export function OwnRuleForm({ onDone }: { onDone: (change: HouseChange | null) => void }) {
  const { register, control, handleSubmit, watch, setValue, formState } = useApiForm<
    OwnRuleDraft,
    HouseChange
  >(ownRuleFormSchema, emptyRule());
  const demands = useFieldArray({ control, name: 'demands' });
  const wishes = useFieldArray({ control, name: 'wishes' });
  const contestedBy = watch('contestedBy');
  const { errors } = formState;
  const text = (name: TextField, label: string, maxLength: number) => (
    <Field label={label} error={errors[name]?.message}>
      {(attributes) => <input className="w-full" maxLength={maxLength} {...register(name)} {...attributes} />}
    </Field>
  );
  const choice = (
    name: 'strength' | 'evidence' | 'source',
    label: string,
    options: Readonly<Record<string, string>>,
  ) => (
    <Field label={label} className="max-w-52">
      {(attributes) => (
        <select {...register(name)} {...attributes}>
          {Object.entries(options).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  return (
    <form
      aria-label="A rule of our own"
      className="border-l-4 border-accent pl-4 grid gap-3"
      noValidate
      onSubmit={handleSubmit(onDone)}
    >
      {text('finding', 'Finding, in words', 160)}
      <fieldset className="grid gap-1">
        <legend className="text-faint text-xs">
          When{' '}
          <select aria-label="How the findings are joined" {...register('join')}>
            <option value="all">all of these hold</option>
            <option value="any">any of these holds</option>
          </select>
        </legend>
        {demands.fields.map(({ id, ...demand }, at) => (
          <DemandRow
            key={id}
            demand={demand}
            onChange={(next: DemandDraft) => demands.update(at, next)}
            onRemove={demands.fields.length > 1 ? () => demands.remove(at) : null}
          />
        ))}
        <p>
          <button type="button" className="press press-quiet" onClick={() => demands.append(emptyDemand())}>
            And another finding
          </button>
        </p>
        {errors.demands && (
          <p className="problem">{errors.demands.message ?? errors.demands.root?.message}</p>
        )}
      </fieldset>
      <fieldset className="grid gap-1">
        <legend className="text-faint text-xs">Wishes</legend>
        {wishes.fields.map(({ id, ...wish }, at) => (
          <WishRow
            key={id}
            wish={wish}
            onChange={(next: WishDraft) => wishes.update(at, next)}
            onRemove={wishes.fields.length > 1 ? () => wishes.remove(at) : null}
          />
        ))}
        <p>
          <button type="button" className="press press-quiet" onClick={() => wishes.append(emptyWish())}>
            And another feature
          </button>
        </p>
        {errors.wishes && <p className="problem">{errors.wishes.message ?? errors.wishes.root?.message}</p>}
      </fieldset>
      <div className="flex flex-wrap gap-4 items-end">
        {choice('strength', 'Strength', STRENGTHS)}
        {choice('evidence', 'Evidence', { A: 'A', B: 'B', C: 'C' })}
        {choice('source', 'Source', CITED)}
        <fieldset className="flex gap-3">
          <legend className="text-faint text-xs">Schools (none: every school)</legend>
          {keysOf(SCHOOL_NAMES).map((school) => (
            <label key={school} className="flex gap-1 items-center">
              <input type="checkbox" value={school} {...register('schools')} />
              {SCHOOL_NAMES[school]}
            </label>
          ))}
        </fieldset>
      </div>
      {text('because', 'Because, in one sentence', 400)}
      {text('caution', 'Caution, where there is one', 300)}
      <Field label="Contested by">
        {(attributes) => (
          <>
            <select
              {...attributes}
              value=""
              onChange={({ target }) => setValue('contestedBy', [...new Set([...contestedBy, target.value])])}
            >
              <option value="">choose a rule that says otherwise</option>
              {RULES.map((rule) => (
                <option key={rule.id} value={rule.id}>
                  {rule.finding} ({rule.id})
                </option>
              ))}
            </select>
            {contestedBy.length > 0 && <span className="text-sm"> {contestedBy.join(', ')}</span>}
          </>
        )}
      </Field>
      {text('reason', 'Reason for this change (kept with the version)', 600)}
      {Object.keys(errors).length > 0 && (
        <p role="alert" className="problem">
          {errors.rule?.message ?? 'Some fields above need another look.'}
        </p>
      )}
      <p className="flex gap-3">
        <button type="submit" className="press press-main">
          Into the draft
        </button>
        <button type="button" className="press" onClick={() => onDone(null)}>
          Leave it
        </button>
      </p>
    </form>
  );
}

const CITED: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(SOURCES).map(([id, { cite }]) => [id, cite]),
);
