/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { HomePair, HomeView } from '@/core/home/view-schema';
import { SentLine } from '../Pair';
import { Press } from '../Parts';
import type { Home, Sent } from '../use-home';

export interface TellProps {
  view: HomeView;
  pair: HomePair | null;
  say: Home['say'];
}

export type Content = Parameters<Home['say']>[0];

/** Sends what is there to be sent, and says what became of it. */
export function useSending({ pair, say }: Pick<TellProps, 'pair' | 'say'>) {
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

export function Foot({
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
