import { useId } from 'react';
import { keysOf } from '@/core/tables/keys-of';

interface Props<O extends string> {
  label: string;
  options: Readonly<Record<O, string>>;
  /** undefined: not asked; empty: asked, none. */
  value: readonly O[] | undefined;
  onChange: (value: O[] | undefined) => void;
  quiet?: boolean;
  /** Whether “none” is an answer; without it no choice is simply nothing said. */
  allowNone?: boolean;
  /** The label stands before the options, in their line. */
  beside?: boolean;
}

/** Any number of named options, with “none” as an answer of its own: an empty list is not “not examined”. */
export function ChoiceSet<O extends string>({
  label,
  options,
  value,
  onChange,
  quiet = false,
  allowNone = true,
  beside = false,
}: Props<O>) {
  const id = useId();
  const toggle = (key: O) => {
    const rest = (value ?? []).filter((entry) => entry !== key);
    onChange((value ?? []).includes(key) ? (rest.length > 0 ? rest : undefined) : [...rest, key]);
  };
  return (
    <fieldset className="min-w-0" aria-describedby={value === undefined ? `${id}-state` : undefined}>
      <legend className={quiet || beside ? 'sr-only' : 'text-faint mb-0.5'}>{label}</legend>
      <div className="flex flex-wrap items-baseline">
        {beside && (
          <span aria-hidden className="text-faint mr-2">
            {label}
          </span>
        )}
        {keysOf(options).map((key) => (
          <label key={key} className="option">
            <input type="checkbox" checked={value?.includes(key) ?? false} onChange={() => toggle(key)} />
            {options[key]}
          </label>
        ))}
        {allowNone && (
          <label className="option italic">
            <input
              type="checkbox"
              checked={value !== undefined && value.length === 0}
              onChange={() => onChange(value !== undefined && value.length === 0 ? undefined : [])}
            />
            none
          </label>
        )}
      </div>
      {value === undefined && (
        <span id={`${id}-state`} className="sr-only">
          not asked
        </span>
      )}
    </fieldset>
  );
}
