import { useId } from 'react';
import { type FieldPath, useForm } from 'react-hook-form';
import { call, sayWhy } from '@/api/client';
import { parseLength } from '@/core/units/length';

interface Fields {
  givenName: string;
  familyName: string;
  bornOn: string;
  sizingGroup: 'men' | 'women' | 'child';
  height: string;
  occupation: string;
}

/** A new patient; the server's word on each field appears at the field. */
export function PatientForm() {
  const { register, handleSubmit, setError, formState } = useForm<Fields>({
    defaultValues: { sizingGroup: 'women', height: '', occupation: '' },
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async (fields) => {
    const { height, ...rest } = fields;
    const parsed = height.trim() === '' ? null : parseLength(height, 'cm');
    if (parsed && !parsed.ok)
      return setError('height', { message: parsed.problem.message }, { shouldFocus: true });
    const answer = await call<{ id: string }>('POST', '/patients', {
      ...rest,
      ...(parsed ? { heightMm: Math.round(parsed.value) } : {}),
    });
    if (answer.ok) return location.assign(`/patients/${answer.value.id}`);
    const named = answer.kind === 'refused' ? (answer.problem.errors ?? []) : [];
    for (const { path, message } of named) {
      const field = path.at(-1) === 'heightMm' ? 'height' : String(path.at(-1));
      setError(field as FieldPath<Fields>, { message }, { shouldFocus: true });
    }
    if (named.length === 0) setError('root', { message: sayWhy(answer) });
  });
  const field = (name: keyof Fields, label: string, type = 'text', hint?: string) => (
    <Field label={label} hint={hint} error={errors[name]?.message}>
      {(ids) => <input type={type} {...register(name)} {...ids} />}
    </Field>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-md">
      {field('givenName', 'Given name')}
      {field('familyName', 'Family name')}
      {field('bornOn', 'Date of birth', 'date')}
      <Field label="Shoe sizing" error={errors.sizingGroup?.message}>
        {(ids) => (
          <select {...register('sizingGroup')} {...ids}>
            <option value="women">women’s</option>
            <option value="men">men’s</option>
            <option value="child">children’s</option>
          </select>
        )}
      </Field>
      {field('height', 'Height', 'text', '172 cm, 5 ft 8 in')}
      {field('occupation', 'Occupation')}
      {errors.root && (
        <p role="alert" className="problem">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        Add
      </button>
    </form>
  );
}

interface FieldProps {
  label: string;
  hint?: string | undefined;
  error: string | undefined;
  children: (ids: {
    id: string;
    'aria-invalid': boolean;
    'aria-describedby': string | undefined;
  }) => React.ReactNode;
}

function Field({ label, hint, error, children }: FieldProps) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <label htmlFor={id}>
        {label} {hint && <span className="text-faint">{hint}</span>}
      </label>
      {children({
        id,
        'aria-invalid': error !== undefined,
        'aria-describedby': error ? `${id}-error` : undefined,
      })}
      {error && (
        <p id={`${id}-error`} className="problem">
          {error}
        </p>
      )}
    </div>
  );
}
