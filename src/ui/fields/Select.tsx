import { useId } from 'react';
import { isKeyOf, keysOf } from '@/core/tables/keys-of';

interface Props<O extends string> {
  label: string;
  options: Readonly<Record<O, string>>;
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
  value,
  onChange,
  none,
  quiet = false,
  disabled = false,
  className = '',
  problem,
}: Props<O>) {
  const id = useId();
  return (
    <span className="inline-block min-w-0">
      <label htmlFor={id} className={quiet ? 'sr-only' : 'block text-faint mb-0.5'}>
        {label}
      </label>
      <select
        id={id}
        className={className}
        value={value ?? ''}
        disabled={disabled}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={({ target }) => onChange(isKeyOf(options, target.value) ? target.value : undefined)}
      >
        {none !== undefined && <option value="">{none}</option>}
        {keysOf(options).map((key) => (
          <option key={key} value={key}>
            {options[key]}
          </option>
        ))}
      </select>
      {problem && (
        <span id={`${id}-problem`} className="problem block">
          {problem}
        </span>
      )}
    </span>
  );
}
