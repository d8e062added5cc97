/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { type Film, stillsOf } from '../film';
import { fill } from '../words';
import { Foot, type TellProps, useSending } from './sending';

/** A short film from behind; the phone makes small pictures of it, and only these are sent. */
export function Walk({ view, ...props }: TellProps) {
  const { words } = view;
  const sending = useSending(props);
  const [share, setShare] = useState<number | null>(null);
  const [film, setFilm] = useState<Film | null>(null);
  const [problem, setProblem] = useState('');
  const read = async (file: File | undefined) => {
    sending.again();
    setFilm(null);
    setProblem('');
    if (!file) return;
    setShare(0);
    const stills = await stillsOf(file, setShare);
    setShare(null);
    setFilm(stills);
    if (!stills) setProblem(words.clipBad);
  };
  return (
    <>
      <p>{words.clipHow}</p>
      <p>{words.clipPrivate}</p>
      <label class="grid gap-1">
        {words.clipTake}
        <input
          type="file"
          accept="video/*"
          class="min-h-14"
          onChange={(event) => void read(event.currentTarget.files?.[0])}
        />
      </label>
      {share !== null && <p role="status">{fill(words.clipBusy, { share: Math.round(share * 100) })}</p>}
      {problem && (
        <p role="alert" class="text-warn">
          {problem}
        </p>
      )}
      {film && (
        <>
          <p role="status">{fill(words.clipCount, { count: film.frames.length })}</p>
          <Foot words={words} sending={sending} onSend={() => void sending.send({ kind: 'clip', ...film })} />
        </>
      )}
    </>
  );
}
