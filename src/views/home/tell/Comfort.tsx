/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Scale } from '../Parts';
import { Foot, type TellProps, useSending } from './sending';

/** How the pair feels to wear, and what hurts. */
export function Comfort({ view: { words }, ...props }: TellProps) {
  const sending = useSending(props);
  const [comfort, setComfort] = useState<number | null>(null);
  const [pain, setPain] = useState<number | null>(null);
  return (
    <>
      <Scale
        label={words.comfort}
        most={100}
        value={comfort}
        ends={[words.comfortLeast, words.comfortMost]}
        onChange={setComfort}
      />
      <Scale
        label={words.pain}
        most={10}
        value={pain}
        ends={[words.painLeast, words.painMost]}
        onChange={setPain}
      />
      {comfort !== null && (
        <Foot
          words={words}
          sending={sending}
          onSend={() => void sending.send({ kind: 'comfort', comfort, ...(pain === null ? {} : { pain }) })}
        />
      )}
    </>
  );
}
