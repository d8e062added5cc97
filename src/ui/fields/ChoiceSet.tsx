import { useId } from 'react';
import { keysOf } from '@/core/tables/keys-of';

interface Props<O extends string> {
  label: string;
  options: Readonly<Record<O, string>>;
  /** undefined: not asked; empty: asked, none. */
  value: readonly O[] | undefined;
  onChange: (value: O[] | undefined) => void;
  quiet?: boolean;
}

/** Any number of named options, with “none” as an answer of its own: an empty list is not “not examined”. */
export function ChoiceSet<O extends string>({ label, options, value, onChange, quiet = false }: Props<O>) {
  const id = useId();
  const toggle = (key: O) => {
    const rest = (value ?? []).filter((entry) => entry !== key);
    onChange((value ?? []).includes(key) ? (rest.length > 0 ? rest : undefined) : [...rest, key]);
  };
  return (
    <fieldset className="min-w-0" aria-describedby={value === undefined ? `${id}-state` : undefined}>
      <legend className={quiet ? 'sr-only' : 'text-faint mb-0.5'}>{label}</legend>
      <div className="flex flex-wrap">
        {keysOf(options).map((key) => (
          <label key={key} className="option">
            <input type="checkbox" checked={value?.includes(key) ?? false} onChange={() => toggle(key)} />
            {options[key]}
          </label>
        ))}
        <label className="option italic">
          <input
            type="checkbox"
            checked={value !== undefined && value.length === 0}
            onChange={() => onChange(value !== undefined && value.length === 0 ? undefined : [])}
          />
          none
        </label>
      </div>
      {value === undefined && (
        <span id={`${id}-state`} className="sr-only">
          not asked
        </span>
      )}
    </fieldset>
  );
}
