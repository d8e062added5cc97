/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { typed } from '../words';
import { type Content, Foot, type TellProps, useSending } from './sending';

/** One number, with a comma or a point. */
export function NumberForm({
  view: { words },
  label,
  toContent,
  most,
  ...props
}: TellProps & { label: string; toContent: (value: number) => Content; most: number }) {
  const sending = useSending(props);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const send = () => {
    const value = typed(text);
    if (value === null || value > most) return setProblem(words.number);
    setProblem('');
    void sending.send(toContent(value));
  };
  return (
    <>
      <input
        inputMode="decimal"
        aria-label={label}
        value={text}
        class="min-h-14 text-xl"
        onInput={(event) => {
          setText(event.currentTarget.value);
          sending.again();
        }}
      />
      {problem && (
        <p role="alert" class="text-warn">
          {problem}
        </p>
      )}
      <Foot words={words} sending={sending} onSend={send} />
    </>
  );
}
