import { isKeyOf, keysOf } from '@/core/tables/keys-of';
import { Field } from './Field';

interface Props<O extends string> {
  label: string;
  options: Readonly<Record<O, string>>;
  /** Options that can be chosen here; else all of them. */
  only?: readonly O[];
  value: O | undefined;
  onChange: (value: O | undefined) => void;
  /** What stands for no choice; without it one option is always chosen. */
  none?: string;
  /** Hides the label from sight where a row says what it is. */
  quiet?: boolean;
  disabled?: boolean;
  className?: string;
  problem?: string | undefined;
}

/** One of many named options, by the browser’s own list: keyboard, touch and screen reader know it. */
export function Select<O extends string>({
  label,
  options,
  only,
  value,
  onChange,
  none,
  quiet = false,
  disabled = false,
  className = '',
  problem,
}: Props<O>) {
  return (
    <Field label={label} error={problem} quiet={quiet} inline>
      {(control) => (
        <select
          className={className}
          value={value ?? ''}
          disabled={disabled}
          onChange={({ target }) => onChange(isKeyOf(options, target.value) ? target.value : undefined)}
          {...control}
        >
          {none !== undefined && <option value="">{none}</option>}
          {(only ?? keysOf(options)).map((key) => (
            <option key={key} value={key}>
              {options[key]}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
