import { zodResolver } from '@hookform/resolvers/zod';
import { type DefaultValues, type FieldPath, type FieldValues, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { type Failure, failureInWords, fieldErrorsOf } from '@/contract/answer';

/**
 * A form that is checked by a schema here and by the server again. What the server refuses appears at the field that it
 * concerns, whatever the field is called there.
 *
 * @param names of fields by what the server calls them, where the two differ
 */
export function useApiForm<Typed extends FieldValues, Checked>(
  schema: z.ZodType<Checked, Typed>,
  defaultValues: DefaultValues<Typed>,
  names: Readonly<Partial<Record<string, FieldPath<Typed>>>> = {},
) {
  const form = useForm<Typed, unknown, Checked>({ resolver: zodResolver(schema), defaultValues });
  const { setError, getValues } = form;
  const isField = (name: string): name is FieldPath<Typed> => name in getValues();
  const refuse = (failure: Failure): void => {
    let isNamed = false;
    for (const { path, message } of fieldErrorsOf(failure)) {
      const last = String(path.at(-1));
      const field = names[last] ?? (isField(last) ? last : undefined);
      if (!field) continue;
      isNamed = true;
      setError(field, { message }, { shouldFocus: true });
    }
    if (!isNamed) setError('root', { message: failureInWords(failure) });
  };
  return { ...form, refuse };
}
