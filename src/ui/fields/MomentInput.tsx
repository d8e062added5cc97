import { useId, useState } from 'react';
import { readTime } from '@/core/formats/read-time';
import { DayInput } from './DayInput';

interface Props {
  /** What moment it is, for a screen reader. */
  label: string;
  /** `2031-06-08T17:30`, by the clock on the wall. */
  value: string;
  /** With a moment; what is no day or no time stays at its field. */
  onChange: (moment: string) => void;
  disabled?: boolean | undefined;
  id?: string | undefined;
  'aria-invalid'?: true | undefined;
  'aria-describedby'?: string | undefined;
}

/** A day as the clinic writes days, and a time of 24 hours. */
export function MomentInput({ label, value, onChange, disabled, ...control }: Props) {
  const [day = '', time = ''] = value.split('T');
  const [typed, setTyped] = useState<string | null>(null);
  const problem = useId();
  const isUnread = typed !== null && readTime(typed) === null;
  return (
    <fieldset className="flex flex-wrap gap-1 items-start">
      <legend className="sr-only">{label}</legend>
      <DayInput
        {...control}
        aria-label={`${label}: day`}
        value={day}
        disabled={disabled}
        onChange={(chosen) => chosen && onChange(`${chosen}T${time}`)}
      />
      <span className="grid">
        <input
          className="figure w-16"
          aria-label={`${label}: time`}
          placeholder="hh:mm"
          autoComplete="off"
          value={typed ?? time}
          disabled={disabled}
          onChange={({ target }) => {
            setTyped(target.value);
            const read = readTime(target.value);
            if (read) onChange(`${day}T${read}`);
          }}
          onBlur={() => !isUnread && setTyped(null)}
          aria-invalid={isUnread || undefined}
          aria-describedby={isUnread ? problem : undefined}
        />
        {isUnread && (
          <span id={problem} className="problem block">
            Write a time, such as 17:30.
          </span>
        )}
      </span>
    </fieldset>
  );
}
