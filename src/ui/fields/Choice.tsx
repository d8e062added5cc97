import { type KeyboardEvent, type ReactNode, useId } from 'react';
import { keysOf } from '@/core/tables/keys-of';

interface Props<O extends string> {
  label: string;
  options: Readonly<Record<O, string>>;
  value: O | undefined;
  onChange: (value: O | undefined) => void;
  /** Hides the label from sight where it stands beside both feet. */
  quiet?: boolean;
  problem?: string | undefined;
  /** What an option looks like, above its word. */
  picture?: ((option: O) => ReactNode) | undefined;
}

/**
 * One of a few named options, shoulder to shoulder. Digits choose, arrows move, Delete or pressing the chosen one
 * again leaves it “not examined”.
 */
export function Choice<O extends string>({
  label,
  options,
  value,
  onChange,
  quiet = false,
  problem,
  picture,
}: Props<O>) {
  const name = useId();
  const keys = keysOf(options);
  const onKeyDown = (event: KeyboardEvent) => {
    const digit = Number(event.key);
    if (digit >= 1 && digit <= keys.length) {
      event.preventDefault();
      onChange(keys[digit - 1]);
      const inputs = event.currentTarget.querySelectorAll('input');
      inputs[digit - 1]?.focus();
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onChange(undefined);
    }
  };
  return (
    <fieldset className="min-w-0" onKeyDown={onKeyDown} aria-invalid={problem ? true : undefined}>
      <legend className={quiet ? 'sr-only' : 'text-faint mb-0.5'}>{label}</legend>
      <div className="flex flex-wrap">
        {keys.map((key) => (
          <label key={key} className={picture ? 'option option-drawn' : 'option'}>
            <input
              type="radio"
              name={name}
              value={key}
              checked={value === key}
              onChange={() => onChange(key)}
              onClick={() => value === key && onChange(undefined)}
            />
            {picture?.(key)}
            {options[key]}
          </label>
        ))}
      </div>
      {problem && <p className="problem">{problem}</p>}
    </fieldset>
  );
}
