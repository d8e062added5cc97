/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { HomePicture } from '@/core/home/report';
import type { HomePair, HomeView } from '@/core/home/view-schema';
import { Feet, type Spot } from './Feet';
import { SentLine } from './Pair';
import { Fold, Press, Scale } from './Parts';
import { smallJpeg } from './photo';
import type { Home, Sent } from './use-home';
import { StopNow } from './Wrong';
import { typed } from './words';

interface Props {
  view: HomeView;
  pair: HomePair | null;
  say: Home['say'];
}

/** All that can be told, one part open at a time. */
export function Tell({ view, pair, say }: Props) {
  const { words } = view;
  const props = { view, pair, say };
  const use = pair && { km: words.useKm, hours: words.useHours, days: words.useDays }[pair.use];
  return (
    <section>
      <h1 class="mb-3">{words.tell}</h1>
      {pair && use && (
        <>
          <Fold title={use}>
            <NumberForm {...props} label={use} toContent={(amount) => ({ kind: 'use', amount })} most={500} />
          </Fold>
          <Fold title={words.comfort}>
            <Comfort {...props} />
          </Fold>
          <Fold title={words.blister}>
            <Blister {...props} />
          </Fold>
        </>
      )}
      {view.pairs.length > 0 && (
        <Fold title={words.ache}>
          <Ache {...props} />
        </Fold>
      )}
      <Fold title={words.picture}>
        <Photo {...props} />
      </Fold>
      {view.hasLimb && (
        <Fold title={words.socks}>
          <NumberForm
            {...props}
            label={words.socks}
            toContent={(ply) => ({ kind: 'socks', ply: Math.round(ply) })}
            most={40}
          />
        </Fold>
      )}
      {view.swells && (
        <Fold title={words.girth}>
          <Girth {...props} />
        </Fold>
      )}
      <Fold title={words.newPair}>
        <NewPair {...props} />
      </Fold>
    </section>
  );
}

type Content = Parameters<Home['say']>[0];

/** Sends what is there to be sent, and says what became of it. */
function useSending({ pair, say }: Pick<Props, 'pair' | 'say'>) {
  const [sent, setSent] = useState<Sent | null>(null);
  const [busy, setBusy] = useState(false);
  return {
    sent,
    busy,
    again: () => setSent(null),
    send: async (content: Content) => {
      setBusy(true);
      setSent(await say(content, pair?.id ?? null));
      setBusy(false);
    },
  };
}

function Foot({
  words,
  sending: { sent, busy },
  onSend,
}: {
  words: HomeView['words'];
  sending: ReturnType<typeof useSending>;
  onSend: () => void;
}) {
  return sent === null ? (
    <Press kind="main" disabled={busy} onPress={onSend}>
      {words.send}
    </Press>
  ) : (
    <SentLine sent={sent} words={words} />
  );
}

function NumberForm({
  view: { words },
  label,
  toContent,
  most,
  ...props
}: Props & { label: string; toContent: (value: number) => Content; most: number }) {
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

function Comfort({ view: { words }, ...props }: Props) {
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

function Ache({ view: { words }, ...props }: Props) {
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

/** Where it rubs: the first advice within what is safe for these feet, else none. */
function Blister({ view, pair, say }: Props) {
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

function Photo({ view, ...props }: Props) {
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

const GIRTHS = [
  ['ankleGirth', 'girthAnkle'],
  ['calfGirth', 'girthCalf'],
  ['figureOfEight', 'girthEight'],
] as const;

function Girth({ view, ...props }: Props) {
  const { words } = view;
  const [side, setSide] = useState<'left' | 'right'>('left');
  const [measure, setMeasure] = useState<(typeof GIRTHS)[number][0]>('ankleGirth');
  return (
    <>
      <div class="grid grid-cols-2 gap-2">
        <Press on={side === 'left'} onPress={() => setSide('left')}>
          {words.leftFoot}
        </Press>
        <Press on={side === 'right'} onPress={() => setSide('right')}>
          {words.rightFoot}
        </Press>
      </div>
      {GIRTHS.map(([one, word]) => (
        <Press key={one} on={measure === one} onPress={() => setMeasure(one)}>
          {words[word]}
        </Press>
      ))}
      <NumberForm
        key={`${side} ${measure}`}
        view={view}
        {...props}
        label={words.girth}
        toContent={(cm) => ({ kind: 'girth', side, measure, mm: Math.round(cm * 10) })}
        most={90}
      />
    </>
  );
}

function NewPair({ view: { words }, say }: Props) {
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
