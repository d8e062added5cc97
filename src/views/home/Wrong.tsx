/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { HomePair, HomeView } from '@/core/home/view-schema';
import type { HomeSign } from '@/core/home/warnings';
import { Lines, Press } from './Parts';
import type { Home, Sent } from './use-home';

const SIGNS = [
  ['hot', 'signHot'],
  ['swollen', 'signSwollen'],
  ['numb', 'signNumb'],
  ['open', 'signOpen'],
  ['dark', 'signDark'],
  ['pain', 'signPain'],
  ['fall', 'signFall'],
] as const satisfies readonly (readonly [HomeSign, keyof HomeView['words']])[];

/** What to do when something is wrong, at once and without a connection; and whether the clinic knows of it. */
export function StopNow({ view, sent }: { view: HomeView; sent: Sent | null }) {
  const { words } = view;
  return (
    <div role="alert" class="border-2 border-warn p-4 grid gap-3">
      <p class="text-xl font-semibold">{view.stopNow}</p>
      {view.phone === '' ? (
        <p class="text-xl">{view.call}</p>
      ) : (
        <a href={`tel:${view.phone.replace(/[^+\d]/g, '')}`} class="text-xl min-h-14 content-center block">
          {view.call}
        </a>
      )}
      {sent !== null && (
        <p class={sent === 'sent' ? '' : 'text-warn font-semibold'}>
          {sent === 'sent' ? words.wrongSent : words.wrongUnsent}
        </p>
      )}
      <p>{words.wrongNight}</p>
      <p>{words.wrongEmergency}</p>
    </div>
  );
}

export function Wrong({ view, pair, say }: { view: HomeView; pair: HomePair | null; say: Home['say'] }) {
  const { words } = view;
  const [signs, setSigns] = useState<HomeSign[]>([]);
  const [sent, setSent] = useState<Sent | null>(null);
  const [busy, setBusy] = useState(false);
  const toggle = (sign: HomeSign) => {
    setSent(null);
    setSigns((all) => (all.includes(sign) ? all.filter((one) => one !== sign) : [...all, sign]));
  };
  const send = async () => {
    setBusy(true);
    setSent(await say({ kind: 'warning', signs }, pair?.id ?? null));
    setBusy(false);
  };
  return (
    <section class="grid gap-3">
      <h1>{words.wrongTitle}</h1>
      <p>{words.wrongAsk}</p>
      {SIGNS.map(([sign, word]) => (
        <Press key={sign} on={signs.includes(sign)} onPress={() => toggle(sign)}>
          {words[word]}
        </Press>
      ))}
      {signs.length > 0 && (
        <>
          <StopNow view={view} sent={sent} />
          {sent === null && (
            <Press kind="main" disabled={busy} onPress={() => void send()}>
              {words.wrongSend}
            </Press>
          )}
        </>
      )}
      {pair && (
        <div class="mt-3">
          <h2>{pair.stop.title}</h2>
          <Lines lines={pair.stop.lines} />
        </div>
      )}
    </section>
  );
}
