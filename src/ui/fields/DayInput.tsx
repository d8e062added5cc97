import { type Ref, useEffect, useId, useRef, useState } from 'react';
import { dayOf } from '@/core/calendar/days';
import { DATE_STYLES, printDay } from '@/core/formats/formats';
import { readDay } from '@/core/formats/read-day';
import { clinicFormats } from '../formats';

interface Props {
  /** `2031-06-08`, or nothing. */
  value: string;
  /** With a day, or with nothing where what stands there is no day. */
  onChange: (day: string) => void;
  onBlur?: (() => void) | undefined;
  max?: string | undefined;
  disabled?: boolean | undefined;
  ref?: Ref<HTMLInputElement>;
  name?: string;
  id?: string | undefined;
  'aria-label'?: string | undefined;
  'aria-invalid'?: true | undefined;
  'aria-describedby'?: string | undefined;
}

/** A day as the clinic writes days: typed in any usual way, or picked from the browser’s own calendar. */
export function DayInput({ value, onChange, onBlur, max, ...control }: Props) {
  const formats = clinicFormats();
  const [typed, setTyped] = useState<string | null>(null);
  const calendar = useRef<HTMLInputElement>(null);
  const box = useRef<HTMLSpanElement>(null);
  const problem = useId();
  const today = dayOf(new Date());
  const isUnread = typed !== null && typed.trim() !== '' && readDay(typed, formats.date, today) === null;
  const type = (text: string) => {
    setTyped(text);
    const read = readDay(text, formats.date, today);
    // A year of which two figures stand there may still be on its way to four.
    if (!read || read.isWhole) onChange(read?.day ?? '');
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the script has come
  useEffect(() => {
    const field = box.current?.querySelector('input');
    // What somebody typed before stands there, but nobody has heard of it.
    if (field && field.value !== field.defaultValue) type(field.value);
  }, []);
  const leave = () => {
    const read = typed === null ? null : readDay(typed, formats.date, today);
    if (read) {
      if (!read.isWhole) onChange(read.day);
      setTyped(null);
    }
    onBlur?.();
  };
  return (
    <span className="grid">
      <span ref={box} className="inline-flex items-stretch w-40">
        <input
          {...control}
          className="min-w-0 grow"
          value={typed ?? (value === '' ? '' : printDay(value, formats))}
          placeholder={DATE_STYLES[formats.date].blank}
          autoComplete="off"
          onChange={({ target }) => type(target.value)}
          onBlur={leave}
          aria-invalid={isUnread ? true : control['aria-invalid']}
          aria-describedby={isUnread ? problem : control['aria-describedby']}
        />
        <button
          type="button"
          className="press px-1.5 border-l-0"
          tabIndex={-1}
          disabled={control.disabled}
          aria-label="Pick from a calendar"
          onClick={() => calendar.current?.showPicker()}
        >
          <CalendarSign />
        </button>
        <input
          ref={calendar}
          type="date"
          className="w-0 min-h-0 p-0 border-0 opacity-0 pointer-events-none"
          aria-hidden="true"
          tabIndex={-1}
          value={value}
          max={max}
          onChange={({ target }) => {
            setTyped(null);
            onChange(target.value);
          }}
        />
      </span>
      {isUnread && (
        <span id={problem} className="problem block">
          Write a day, such as {printDay(today, formats)}.
        </span>
      )}
    </span>
  );
}

const CalendarSign = () => (
  <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true" fill="none" stroke="currentColor">
    <path d="M1.5 3.5h13v11h-13zM1.5 6.5h13M5 1v4M11 1v4" />
  </svg>
);
