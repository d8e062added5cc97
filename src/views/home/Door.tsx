/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { DoorWords } from '@/core/home/home-words';
import { openLink } from './net';
import { Press } from './Parts';
import { bornOn, fill } from './words';

/** Where a link is opened: what is kept is said first, then the date of birth. */
export function Door({
  token,
  words,
  onOpened,
}: {
  token: string;
  words: DoorWords;
  onOpened: (link: string) => Promise<void>;
}) {
  const [day, setDay] = useState('');
  const [month, setMonth] = useState('');
  const [year, setYear] = useState('');
  const [agreed, setAgreed] = useState(false);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');

  const open = async () => {
    const born = bornOn(day, month, year);
    if (!born) return setProblem(words.noDate);
    if (!agreed) return setProblem(words.mustAgree);
    setBusy(true);
    setProblem('');
    const went = await openLink(token, born);
    if (went.as === 'done' && 'link' in went.value) await onOpened(went.value.link);
    else if (went.as === 'done' && 'left' in went.value)
      setProblem(went.value.left > 0 ? fill(words.wrong, { left: went.value.left }) : words.gone);
    else setProblem(went.as === 'away' ? words.offline : went.as === 'busy' ? words.busy : words.gone);
    setBusy(false);
  };

  const field = (
    label: string,
    value: string,
    set: (value: string) => void,
    length: number,
    hint: string,
  ) => (
    <label class="grid gap-1">
      {label}
      <input
        inputMode="numeric"
        maxLength={length}
        placeholder={hint}
        value={value}
        class="min-h-14 text-xl w-full"
        onInput={(event) => set(event.currentTarget.value)}
      />
    </label>
  );
  return (
    <form
      class="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void open();
      }}
    >
      <section>
        <h2>{words.storedTitle}</h2>
        <ul class="list-disc ps-5 grid gap-1 mt-1">
          {[words.storedSent, words.storedPhone, words.storedWho, words.storedStop].map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <p class="mt-2">{words.unwatched}</p>
        <label class="flex gap-3 items-center min-h-14">
          <input
            type="checkbox"
            class="size-6"
            checked={agreed}
            onChange={(event) => setAgreed(event.currentTarget.checked)}
          />
          {words.agree}
        </label>
      </section>
      <fieldset class="grid grid-cols-[1fr_1fr_1.6fr] gap-3">
        <legend class="mb-1">{words.ask}</legend>
        {field(words.day, day, setDay, 2, '09')}
        {field(words.month, month, setMonth, 2, '06')}
        {field(words.year, year, setYear, 4, '1964')}
      </fieldset>
      <p role="alert" class="text-warn">
        {problem}
      </p>
      <Press kind="main" disabled={busy} onPress={() => void open()}>
        {busy ? words.opening : words.open}
      </Press>
    </form>
  );
}
