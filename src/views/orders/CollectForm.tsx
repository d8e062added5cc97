import { z } from 'zod';
import type { OrderRecord } from '@/contract/records';
import { parseLength } from '@/core/units/length';
import { parseNumber } from '@/core/units/quantity';
import { Field } from '@/ui/fields/Field';
import { typedNumber } from '../typed-number';
import { useApiForm } from '../use-api-form';

const room = typedNumber(parseLength);
const formSchema = z
  .object({
    left: room,
    right: room,
    comfort: typedNumber((text) => parseNumber(text, 'Comfort is a number from 0 to 100.')),
  })
  // Nothing typed: the pair is collected as it was tried. What is missing else, the server says.
  .transform(({ left, right, comfort }) =>
    left === null && right === null && comfort === null
      ? null
      : {
          ...(comfort === null ? {} : { comfort }),
          ...(left === null ? {} : { left: { roomMm: left } }),
          ...(right === null ? {} : { right: { roomMm: right } }),
        },
  );

interface Props {
  order: OrderRecord;
  error: string | undefined;
  onCollect: (tryAgain: object | null) => void;
}

/** At collection every pair is felt once more; after another version it must be. */
export function CollectForm({ order, error, onCollect }: Props) {
  const { register, handleSubmit, formState } = useApiForm(formSchema, { left: '', right: '', comfort: '' });
  const figure = (name: 'left' | 'right' | 'comfort', label: string) => (
    <Field label={label} error={formState.errors[name]?.message}>
      {(control) => (
        <input className="figure w-20 text-right" inputMode="decimal" {...register(name)} {...control} />
      )}
    </Field>
  );
  return (
    <form onSubmit={handleSubmit(onCollect)} noValidate className="bg-desk px-3 py-2 grid gap-1">
      <h4 className="font-medium">
        {order.cameVersion ? 'Another version: tried on again' : 'Felt on the feet once more'}
      </h4>
      <div className="flex flex-wrap gap-3 items-end">
        {figure('left', 'Room left, mm')}
        {figure('right', 'Room right, mm')}
        {figure('comfort', 'Comfort, 0–100')}
        <button type="submit" className="press press-main">
          Collected
        </button>
      </div>
      {error && <p className="problem">{error}</p>}
    </form>
  );
}
