/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Foot, type TellProps, useSending } from './sending';

/** A pair that was bought elsewhere. */
export function NewPair({ view: { words }, say }: TellProps) {
  // A pair bought elsewhere is none of those on the page.
  const sending = useSending({ pair: null, say });
  const [name, setName] = useState('');
  return (
    <>
      <input
        aria-label={words.newPairName}
        placeholder={words.newPairName}
        maxLength={120}
        value={name}
        class="min-h-14"
        onInput={(event) => {
          setName(event.currentTarget.value);
          sending.again();
        }}
      />
      {name.trim() !== '' && (
        <Foot
          words={words}
          sending={sending}
          onSend={() => void sending.send({ kind: 'new-pair', name: name.trim() })}
        />
      )}
    </>
  );
}
