import { Controller } from 'react-hook-form';
import { z } from 'zod';
import type { OrderRecord } from '@/contract/records';
import { checkArrival } from '@/core/orders/order';
import { Choice } from '@/ui/fields/Choice';
import { Field } from '@/ui/fields/Field';
import { FormDay } from '@/ui/fields/FormDay';
import { useApiForm } from '../use-api-form';

const YES_NO = { yes: 'yes', no: 'no' };
const answered = z.enum(['yes', 'no'], 'Answer yes or no.');
const formSchema = z.object({
  version: z.string().trim().min(1, 'The version printed on the box.'),
  sizeLeft: z.string().trim().min(1, 'The size in the left shoe.'),
  sizeRight: z.string().trim().min(1, 'The size in the right shoe.'),
  sound: answered,
  batch: z.string().trim().max(60),
  madeOn: z.string(),
});

interface Props {
  order: OrderRecord;
  onCheck: (arrival: object) => void;
}

/** The pair that came, held against what was ordered before anyone signs for it. */
export function ArrivalForm({ order, onCheck }: Props) {
  const { model, sizeLeft, sizeRight } = order;
  const { register, control, handleSubmit, watch, formState } = useApiForm(formSchema, {
    version: model.version,
    sizeLeft,
    sizeRight,
    batch: '',
    madeOn: '',
  });
  const seen = watch();
  const looked = seen.sound !== undefined;
  const { batch, madeOn, ...box } = seen;
  const arrival = {
    ...box,
    sound: seen.sound !== 'no',
    ...(batch ? { batch } : {}),
    ...(madeOn ? { madeOn } : {}),
  };
  const check = checkArrival({ version: model.version, sizeLeft, sizeRight }, arrival);
  const text = (name: 'version' | 'sizeLeft' | 'sizeRight' | 'batch', label: string) => (
    <Field label={label} error={formState.errors[name]?.message}>
      {(attributes) => <input className="w-28" maxLength={40} {...register(name)} {...attributes} />}
    </Field>
  );
  const choice = (name: 'sound', label: string) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice label={label} options={YES_NO} value={field.value} onChange={field.onChange} />
      )}
    />
  );
  return (
    <form onSubmit={handleSubmit(() => onCheck(arrival))} noValidate className="bg-desk px-3 py-2 grid gap-1">
      <h4 className="font-medium">In the box</h4>
      <div className="flex flex-wrap gap-3 items-end">
        {text('version', 'Version')}
        {text('sizeLeft', 'Left')}
        {text('sizeRight', 'Right')}
        {text('batch', 'Batch')}
        <Field label="Made on" error={formState.errors.madeOn?.message}>
          {(attributes) => <FormDay control={control} name="madeOn" {...attributes} />}
        </Field>
        {choice('sound', 'A matched pair, no faults')}
        <button type="submit" className="press press-main" disabled={!looked}>
          {!looked
            ? 'Look at both shoes first'
            : check.right
              ? 'Right: put by'
              : check.tryAgain && check.problems.length === 1
                ? 'Put by, to try again'
                : 'Wrong: to be returned'}
        </button>
      </div>
      <div role="status">
        <ul>
          {check.problems.map((problem) => (
            <li key={problem} className="text-hold">
              {problem}
            </li>
          ))}
        </ul>
      </div>
    </form>
  );
}
