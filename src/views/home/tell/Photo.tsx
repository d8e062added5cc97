/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { HomePicture } from '@/core/home/report';
import { Press } from '../Parts';
import { smallJpeg } from '../photo';
import { Foot, type TellProps, useSending } from './sending';

/** A photograph of the shoes, the skin or a wet print. */
export function Photo({ view, ...props }: TellProps) {
  const { words } = view;
  const sending = useSending(props);
  const isBefore = view.pairs.length === 0;
  const [of, setOf] = useState<HomePicture>(isBefore ? 'print' : 'wear');
  const [image, setImage] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const kinds = isBefore ? (['print', 'skin'] as const) : (['wear', 'skin', 'print'] as const);
  const read = async (file: File | undefined) => {
    sending.again();
    const small = file ? await smallJpeg(file) : null;
    setImage(small);
    setProblem(file && !small ? words.pictureBad : '');
  };
  return (
    <>
      <div class="grid gap-2">
        {kinds.map((kind) => (
          <Press key={kind} on={of === kind} onPress={() => setOf(kind)}>
            {{ wear: words.pictureWear, skin: words.pictureSkin, print: words.picturePrint }[kind]}
          </Press>
        ))}
      </div>
      <p>{of === 'print' ? words.printHow : words.pictureHow}</p>
      <label class="grid gap-1">
        {words.pictureTake}
        <input
          type="file"
          accept="image/*"
          class="min-h-14"
          onChange={(event) => void read(event.currentTarget.files?.[0])}
        />
      </label>
      {problem && (
        <p role="alert" class="text-warn">
          {problem}
        </p>
      )}
      {image && (
        <>
          <img src={`data:image/jpeg;base64,${image}`} alt={words.picture} class="max-h-72 mx-auto" />
          <Foot
            words={words}
            sending={sending}
            onSend={() => void sending.send({ kind: 'picture', of, image })}
          />
        </>
      )}
    </>
  );
}
