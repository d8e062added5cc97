import { useState } from 'react';
import { z } from 'zod';
import type { OrderRecord } from '@/contract/records';
import {
  type Modification,
  type ModificationCheck,
  modificationProblem,
} from '@/core/modification/modification';
import { parseLength } from '@/core/units/length';
import { parseNumber } from '@/core/units/quantity';
import { Field } from '@/ui/fields/Field';
import { ModificationChecks } from '@/ui/fields/ModificationChecks';
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
  onCollect: (checks: readonly ModificationCheck[], tryAgain: object | null) => void;
}

/** At collection every pair is felt once more; after another version it must be. */
export function CollectForm({ order, error, onCollect }: Props) {
  const { register, handleSubmit, formState } = useApiForm(formSchema, { left: '', right: '', comfort: '' });
  const [changes, setChanges] = useState<readonly Modification[]>(order.modifications);
  const isOpen = changes.some((change) => modificationProblem(change) !== null);
  const collect = handleSubmit((tryAgain) =>
    onCollect(
      changes.map(({ check }) => check ?? { isMade: false }),
      tryAgain,
    ),
  );
  const figure = (name: 'left' | 'right' | 'comfort', label: string) => (
    <Field label={label} error={formState.errors[name]?.message}>
      {(control) => (
        <input className="figure w-20 text-right" inputMode="decimal" {...register(name)} {...control} />
      )}
    </Field>
  );
  return (
    <form onSubmit={collect} noValidate className="bg-desk px-3 py-2 grid gap-1">
      {changes.length > 0 && (
        <>
          <h4 className="font-medium">Changes, checked against the order</h4>
          <ModificationChecks
            modifications={changes}
            onCheck={(at, check) =>
              setChanges(changes.map((change, place) => (place === at ? { ...change, check } : change)))
            }
          />
        </>
      )}
      <h4 className="font-medium">
        {order.cameVersion ? 'Another version: tried on again' : 'Tried on once more'}
      </h4>
      <div className="flex flex-wrap gap-3 items-end">
        {figure('left', 'Room left, mm')}
        {figure('right', 'Room right, mm')}
        {figure('comfort', 'Comfort, 0–100')}
        <button type="submit" className="press press-main" disabled={isOpen}>
          {isOpen ? 'Check the changes first' : 'Collected'}
        </button>
      </div>
      {error && <p className="problem">{error}</p>}
    </form>
  );
}
