import { type Control, Controller, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { DayInput } from './DayInput';
import type { ControlProps } from './Field';

/** A day in a form that is sent at once. */
export function FormDay<Typed extends FieldValues, Checked>({
  control,
  name,
  ...attributes
}: ControlProps & {
  control: Control<Typed, unknown, Checked>;
  name: FieldPathByValue<Typed, string | undefined>;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => <DayInput {...field} value={field.value ?? ''} {...attributes} />}
    />
  );
}
