/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Lines, Press } from '../Parts';
import { Foot, type TellProps, useSending } from './sending';

const FEELS = [
  ['right', 'socksRight'],
  ['loose', 'socksLoose'],
  ['pistoning', 'socksPistoning'],
  ['tight', 'socksTight'],
  ['pain', 'socksPain'],
] as const;
const TAGS = [
  ['salt', 'socksSalt'],
  ['heat', 'socksHeat'],
  ['long-walk', 'socksWalk'],
  ['illness', 'socksIll'],
] as const;
const MOST_PLY = 40;

/** The socks of today: what to do now, what is coming, and a look in two taps: how it feels, and send. */
export function Socks({ view, ...props }: TellProps) {
  const { words, limb } = view;
  const sending = useSending(props);
  const [ply, setPly] = useState(limb?.worn ?? 3);
  const [feel, setFeel] = useState<(typeof FEELS)[number][0] | null>(null);
  const [tags, setTags] = useState<readonly (typeof TAGS)[number][0][]>([]);
  const change = (by: number) => {
    setPly((before) => Math.min(MOST_PLY, Math.max(0, before + by)));
    sending.again();
  };
  if (!limb) return null;
  return (
    <>
      {/* Said at once, with or without a connection: it cannot wait for an answer. */}
      {feel === 'pain' ? (
        <p role="alert" class="text-warn font-semibold">
          {words.socksStop}
        </p>
      ) : (
        <div role="status">
          <p class={limb.isStop ? 'text-warn font-semibold' : 'font-semibold'}>{limb.now}</p>
          <Lines lines={[limb.later, limb.carry].filter((line) => line !== null)} />
        </div>
      )}
      <div class="grid grid-cols-[auto_1fr_auto] gap-2 items-center">
        <Press onPress={() => change(-1)}>−1</Press>
        <p class="text-center">
          <span class="block text-faint">{words.socksPly}</span>
          <strong class="text-3xl" aria-live="polite">
            {ply}
          </strong>
        </p>
        <Press onPress={() => change(1)}>+1</Press>
      </div>
      <p class="text-faint">{words.socksFeel}</p>
      <div class="grid grid-cols-2 gap-2">
        {FEELS.map(([one, word]) => (
          <Press
            key={one}
            on={feel === one}
            kind={one === 'pain' ? 'warn' : 'plain'}
            onPress={() => {
              setFeel(one);
              sending.again();
            }}
          >
            {words[word]}
          </Press>
        ))}
      </div>
      <details>
        <summary class="min-h-11 py-2 cursor-pointer">{words.socksTags}</summary>
        <div class="grid grid-cols-2 gap-2">
          {TAGS.map(([one, word]) => (
            <Press
              key={one}
              on={tags.includes(one)}
              onPress={() => setTags(tags.includes(one) ? tags.filter((tag) => tag !== one) : [...tags, one])}
            >
              {words[word]}
            </Press>
          ))}
        </div>
      </details>
      {feel && (
        <Foot
          words={words}
          sending={sending}
          onSend={() =>
            void sending.send({ kind: 'socks', ply, feel, ...(tags.length > 0 ? { tags: [...tags] } : {}) })
          }
        />
      )}
      <p class="text-faint">{words.socksWatch}</p>
    </>
  );
}
