import { useState } from 'react';
import type { Result } from '@/core/result/result';
import { parseDistance } from '@/core/units/distance';
import { parseMass } from '@/core/units/mass';
import { parseIn } from '@/core/units/parse';
import { parseNumber } from '@/core/units/quantity';
import { Field } from './Field';

/** How each amount is read from what is typed. */
const READERS = {
  min: (text) => parseNumber(text, 'Minutes are a number.'),
  'km/h': (text) => parseNumber(text, 'Speed is a number.'),
  hours: (text) => parseIn('hours', text),
  mm: (text) => parseNumber(text, 'Millimetres are a number.'),
  mm2: (text) => parseNumber(text, 'Square millimetres are a number.'),
  days: (text) => parseNumber(text, 'Days are a number.'),
  months: (text) => parseIn('months', text),
  km: parseDistance,
  kg: parseMass,
} as const satisfies Record<string, (text: string) => Result<number>>;

interface AmountProps {
  label: string;
  unit: keyof typeof READERS;
  value: number | undefined;
  least?: number;
  most: number;
  disabled: boolean;
  onChange: (value: number | undefined) => void;
}

/** A small amount; what is no number or too much stays out, and its field says why. */
export function Amount({ label, unit, value, least = 0, most, disabled, onChange }: AmountProps) {
  const [error, setError] = useState<string | undefined>();
  const take = (text: string) => {
    const typed = text.trim();
    const read = typed === '' ? null : READERS[unit](typed);
    const wrong =
      read === null
        ? undefined
        : !read.ok
          ? read.problem.message
          : read.value < least || read.value > most
            ? `${least > 0 ? `From ${least} up to` : 'Up to'} ${most} ${unit}.`
            : undefined;
    setError(wrong);
    if (!wrong) onChange(read?.ok ? Math.round(read.value * 10) / 10 : undefined);
  };
  return (
    <Field label={label} quiet error={error} className="max-w-32">
      {(control) => (
        <span className="flex gap-1 items-baseline">
          <input
            className="figure w-16 text-right"
            inputMode="decimal"
            disabled={disabled}
            defaultValue={value ?? ''}
            onChange={({ target }) => take(target.value)}
            {...control}
          />
          <span className="text-faint">{unit === 'mm2' ? 'mm²' : unit}</span>
        </span>
      )}
    </Field>
  );
}
