/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Feet, type Spot } from '../Feet';
import { Scale } from '../Parts';
import { Foot, type TellProps, useSending } from './sending';

/** Where it aches, on the drawing, and how much. */
export function Ache({ view: { words }, ...props }: TellProps) {
  const sending = useSending(props);
  const [spots, setSpots] = useState<Spot[]>([]);
  const [pain, setPain] = useState<number | null>(null);
  const toggle = (spot: Spot) => {
    sending.again();
    setSpots((all) => {
      const others = all.filter(({ side, place }) => side !== spot.side || place !== spot.place);
      return others.length < all.length ? others : [...all, spot];
    });
  };
  return (
    <>
      <p>{words.acheWhere}</p>
      <Feet words={words} marked={spots} onPress={toggle} />
      <Scale
        label={words.pain}
        most={10}
        value={pain}
        ends={[words.painLeast, words.painMost]}
        onChange={setPain}
      />
      {spots.length > 0 && pain !== null && (
        <Foot
          words={words}
          sending={sending}
          onSend={() => void sending.send({ kind: 'ache', spots, pain })}
        />
      )}
    </>
  );
}
