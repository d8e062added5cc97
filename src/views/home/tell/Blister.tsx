/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Feet, type Spot } from '../Feet';
import { Press } from '../Parts';
import { StopNow } from '../Wrong';
import { Foot, type TellProps, useSending } from './sending';

/** Where it rubs: the first advice within what is safe for these feet, else none. */
export function Blister({ view, pair, say }: TellProps) {
  const { words } = view;
  const sending = useSending({ pair, say });
  const [spot, setSpot] = useState<Spot | null>(null);
  const [isOpen, setOpen] = useState(false);
  const advice = spot && pair?.advice[spot.side]?.[spot.place];
  return (
    <>
      <p>{words.blisterWhere}</p>
      <Feet
        words={words}
        marked={spot ? [spot] : []}
        onPress={(pressed) => {
          sending.again();
          setSpot(pressed);
        }}
      />
      <Press
        on={isOpen}
        onPress={() => {
          sending.again();
          setOpen(!isOpen);
        }}
      >
        {words.blisterOpen}
      </Press>
      {spot &&
        (isOpen || !advice ? (
          <>
            {!advice && <p class="font-semibold">{words.blisterNone}</p>}
            <StopNow view={view} sent={sending.sent} />
          </>
        ) : (
          <div class="bg-desk p-4 grid gap-2">
            <p>{words.blisterFirst}</p>
            <p>{advice}</p>
          </div>
        ))}
      {spot && (
        <Foot
          words={words}
          sending={sending}
          onSend={() => void sending.send({ kind: 'blister', spot, isOpen })}
        />
      )}
    </>
  );
}
