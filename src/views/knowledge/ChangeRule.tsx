import { useState } from 'react';
import { z } from 'zod';
import type { HouseChange } from '@/core/knowledge/house-rules';
import type { Rule } from '@/core/knowledge/rule';
import { houseReasonSchema, strengthSchema } from '@/core/prescribe/check/house-rules-schema';
import { Field } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';

const formSchema = z.object({ to: z.enum(['off', ...strengthSchema.options]), reason: houseReasonSchema });

interface Props {
  rule: Rule;
  onChange: (change: HouseChange) => void;
}

/** A departure from one shipped rule: off, or at another strength, with the reason; it goes into the draft. */
export function ChangeRule({ rule, onChange }: Props) {
  const [open, setOpen] = useState(false);
  return open ? (
    <ChangeRuleForm rule={rule} onChange={onChange} />
  ) : (
    <button type="button" className="press press-quiet" onClick={() => setOpen(true)}>
      Change here …
    </button>
  );
}

function ChangeRuleForm({ rule, onChange }: Props) {
  const { register, handleSubmit, formState } = useApiForm(formSchema, { to: 'off', reason: '' });
  const submit = handleSubmit(({ to, reason }) => {
    const rest = { rule: rule.id, reason };
    onChange(to === 'off' ? { kind: 'off', ...rest } : { kind: 'strength', strength: to, ...rest });
  });
  const strengths = strengthSchema.options.filter(
    (strength) => strength !== rule.strength && (strength !== 'limit' || rule.schools.length === 0),
  );
  return (
    <form className="grid gap-1" noValidate aria-label={`Change ${rule.finding}`} onSubmit={submit}>
      <Field label="In this clinic">
        {(control) => (
          <select {...register('to')} {...control}>
            <option value="off">switched off</option>
            {strengths.map((strength) => (
              <option key={strength} value={strength}>
                {strength}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Reason" error={formState.errors.reason?.message}>
        {(control) => <input className="w-full" maxLength={600} {...register('reason')} {...control} />}
      </Field>
      {rule.strength === 'limit' && (
        <p className="text-hold text-xs">
          This is a limit: it protects the patient. Weigh the change carefully.
        </p>
      )}
      <button type="submit" className="press">
        Into the draft
      </button>
    </form>
  );
}
