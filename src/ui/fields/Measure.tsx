import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { readNumberFinding } from '@/core/findings/check-finding';
import type { NumberQuestion } from '@/core/findings/finding-kinds';
import { decimalsOf, UNIT_LABEL, type Unit } from '@/core/units/parse';

interface Props {
  definition: NumberQuestion;
  value: number | undefined;
  /** What was typed and could not be taken yet; kept so that nothing typed is lost. */
  typed: string | undefined;
  onChange: (value: number | undefined, typed: string | undefined) => void;
  label?: string;
  quiet?: boolean;
  problem?: string | undefined;
}

/** One decimal more than a value is shown with elsewhere, so that what was typed comes back. */
const print = (unit: Unit, value: number): string => {
  const scale = 10 ** Math.max(2, decimalsOf(unit));
  return String(Math.round(value * scale) / scale);
};

/** A measured number in any unit people type; says at the field what cannot be, and offers what was probably meant. */
export function Measure({
  definition,
  value,
  typed,
  onChange,
  label = definition.label,
  quiet = false,
  problem,
}: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const shown = draft ?? typed ?? (value === undefined ? '' : print(definition.unit, value));
  const read = shown.trim() === '' ? null : readNumberFinding(definition, shown);
  const refused = read && !read.ok ? read.problem : null;
  const sure = read?.ok ? read.value.sure : undefined;

  const take = (text: string) => {
    const result = text.trim() === '' ? null : readNumberFinding(definition, text);
    if (result === null) onChange(undefined, undefined);
    else if (result.ok) onChange(result.value.value, undefined);
    else onChange(undefined, text);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const fields = [
      ...document.querySelectorAll<HTMLElement>(
        '[data-field] input:not([type=radio]), [data-field] input[type=radio]:checked',
      ),
    ];
    fields[fields.indexOf(event.currentTarget) + 1]?.focus();
  };
  const message =
    refused && draft === null ? refused.message : (problem ?? (draft === null ? sure : undefined));
  return (
    <div data-field="" className="min-w-0">
      <label htmlFor={id} className={quiet ? 'sr-only' : 'block text-faint mb-0.5'}>
        {label}
      </label>
      <span className="flex items-baseline gap-1.5">
        <input
          ref={input}
          id={id}
          className="figure w-20 text-right"
          inputMode="text"
          autoComplete="off"
          value={shown}
          aria-invalid={refused || problem ? true : undefined}
          aria-describedby={message ? `${id}-message` : undefined}
          onChange={(event) => {
            setDraft(event.target.value);
            take(event.target.value);
          }}
          onBlur={() => setDraft(null)}
          onKeyDown={onKeyDown}
        />
        <span className={`text-faint text-left ${quiet ? 'min-w-8' : ''}`}>
          {UNIT_LABEL[definition.unit]}
        </span>
      </span>
      {message && (
        <p id={`${id}-message`} className={refused || problem ? 'problem' : 'text-hold'}>
          {message}
          {refused?.suggestion && (
            <button type="button" className="press press-quiet" onClick={() => take(refused.suggestion!)}>
              Take {refused.suggestion}
            </button>
          )}
        </p>
      )}
    </div>
  );
}
