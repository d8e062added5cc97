/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { HomePage, HomePair, HomeView } from '@/core/home/view-schema';
import { localNow } from '../local-now';
import { Drawing, Fold, Lines, Press } from './Parts';
import type { Home, Sent } from './use-home';
import { StopNow } from './Wrong';

/** One pair: what today asks, how it was, and what else there is to know of it. */
export function Pair({
  view,
  pair,
  pictures,
  say,
}: {
  view: HomeView;
  pair: HomePair;
  pictures: HomePage['pictures'][string] | undefined;
  say: Home['say'];
}) {
  const { words } = view;
  const now = localNow().slice(0, 10);
  const step = pair.breakIn?.days.find(({ on }) => on === now)?.text;
  return (
    <article class="grid gap-3">
      <header>
        <h1>{pair.title}</h1>
        <p class="text-faint">{pair.size}</p>
      </header>
      {pictures && <Drawing svg={pictures.shoe} />}
      {pair.breakIn && step && (
        <div class={`bg-desk p-4 ${pair.breakIn.isSore ? 'border-2 border-warn' : ''}`}>
          <h2>{words.today}</h2>
          <p class="text-xl">{step}</p>
        </div>
      )}
      {pair.breakIn && <Outing view={view} pair={pair} say={say} />}
      <div>
        {pair.breakIn && (
          <Fold title={pair.breakIn.title}>
            <ol class="grid gap-3">
              {pair.breakIn.weeks.map((week, at, all) => {
                const isNow = week.from <= now && (all[at + 1]?.from ?? '9') > now;
                return (
                  <li key={week.from} class={isNow ? 'border-s-4 border-accent ps-2' : 'ps-3'}>
                    <strong>{week.label}</strong>
                    <progress class="block w-full h-2" max={1} value={week.share} aria-label={week.label} />
                    {week.text}
                  </li>
                );
              })}
            </ol>
            <Lines lines={pair.breakIn.lines} />
          </Fold>
        )}
        {pair.why.lines.length > 0 && (
          <Fold title={pair.why.title}>
            <ol class="list-decimal ps-6 grid gap-1">
              {pair.why.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ol>
          </Fold>
        )}
        <Fold title={pair.lacing.title}>
          {pair.lacing.shoes.map((shoe, at) => (
            <div key={shoe.label} class="grid grid-cols-[40%_1fr] gap-3">
              {pictures?.lacing[at] ? <Drawing svg={pictures.lacing[at]} /> : <span />}
              <div class={pictures?.lacing[at] ? '' : 'col-span-2'}>
                <strong>{shoe.label}</strong>
                <ol class="list-decimal ps-5">
                  {shoe.steps.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ol>
              </div>
            </div>
          ))}
          {pair.lacing.after.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </Fold>
        <Fold title={pair.dates.title}>
          <Lines lines={pair.dates.lines} />
        </Fold>
        <Fold title={pair.stop.title}>
          <Lines lines={pair.stop.lines} />
          {view.phone !== '' && <p>{view.call}</p>}
        </Fold>
      </div>
    </article>
  );
}

type Felt = 'fine' | 'mild' | 'severe';

/** How an outing was: one press, and two things that may have been. */
function Outing({ view, pair, say }: { view: HomeView; pair: HomePair; say: Home['say'] }) {
  const { words } = view;
  const [felt, setFelt] = useState<Felt | null>(null);
  const [gaitChanged, setGait] = useState(false);
  const [marks, setMarks] = useState(false);
  const [sent, setSent] = useState<Sent | null>(null);
  const isBad = felt === 'severe' || gaitChanged;
  const again = (change: () => void) => {
    setSent(null);
    change();
  };
  const send = async () => {
    if (felt) setSent(await say({ kind: 'outing', felt, gaitChanged, marks }, pair.id));
  };
  return (
    <section class="grid gap-2">
      <h2>{words.outing}</h2>
      <div class="grid grid-cols-3 gap-2">
        {(['fine', 'mild', 'severe'] as const).map((one) => (
          <Press key={one} on={felt === one} onPress={() => again(() => setFelt(one))}>
            {{ fine: words.feltFine, mild: words.feltMild, severe: words.feltSevere }[one]}
          </Press>
        ))}
      </div>
      {felt && (
        <>
          <Press on={gaitChanged} onPress={() => again(() => setGait(!gaitChanged))}>
            {words.gait}
          </Press>
          <Press on={marks} onPress={() => again(() => setMarks(!marks))}>
            {words.marks}
          </Press>
          {isBad && <StopNow view={view} sent={sent} />}
          {sent === null ? (
            <Press kind="main" onPress={() => void send()}>
              {words.send}
            </Press>
          ) : (
            !isBad && <SentLine sent={sent} words={words} />
          )}
        </>
      )}
    </section>
  );
}

/** What became of something that was said. */
export function SentLine({ sent, words }: { sent: Sent; words: HomeView['words'] }) {
  const line = {
    sent: words.sent,
    waiting: words.waitingWhy,
    refused: words.refused,
    closed: words.closed,
  }[sent];
  return (
    <p role="status" class={sent === 'sent' ? 'font-semibold' : 'font-semibold text-hold'}>
      {line}
    </p>
  );
}
