import { useCallback, useEffect, useRef, useState } from 'preact/hooks';
import type { HomeContent } from '@/core/home/report';
import type { HomePage } from '@/core/home/view-schema';
import { localNow } from '../local-now';
import { fetchPage, leave, sendReport } from './net';
import { forgetLink, keepPage, keptPages, putInLine, takeOut, waitingOnes } from './store';

export type Sent = 'sent' | 'waiting' | 'refused' | 'closed';

/** What this phone holds, and what it does with it. */
export interface Home {
  /** Null until the phone's own store was read. */
  pages: HomePage[] | null;
  page: HomePage | null;
  choose: (link: string) => void;
  waiting: number;
  closed: boolean;
  refused: boolean;
  /** The page as it was kept: the clinic did not answer. */
  isOld: boolean;
  opened: (link: string) => Promise<void>;
  say: (content: HomeContent, pair: string | null) => Promise<Sent>;
  remove: () => Promise<void>;
}

export function useHome(): Home {
  const [pages, setPages] = useState<HomePage[] | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [waiting, setWaiting] = useState(0);
  const [closed, setClosed] = useState(false);
  const [refused, setRefused] = useState(false);
  const [isOld, setOld] = useState(false);
  const sending = useRef<Promise<Map<string, Sent>>>(Promise.resolve(new Map()));
  const page = pages?.find(({ view }) => view.link === chosen) ?? pages?.[0] ?? null;
  const link = page?.view.link ?? null;

  const refresh = useCallback(async (of: string) => {
    const got = await fetchPage(of);
    setOld(got.as === 'away' || got.as === 'busy');
    if (got.as === 'closed') setClosed(true);
    if (got.as !== 'done') return;
    setClosed(false);
    await keepPage(got.value);
    setPages(await keptPages());
  }, []);

  /** Sends what waits, one after the other; what the clinic cannot take is not sent again. */
  const flush = useCallback((): Promise<Map<string, Sent>> => {
    const run = async () => {
      const went = new Map<string, Sent>();
      for (const { link: through, report } of await waitingOnes()) {
        const answer = await sendReport(through, report);
        if (answer.as === 'away' || answer.as === 'busy') break;
        went.set(report.id, answer.as === 'done' ? 'sent' : answer.as === 'closed' ? 'closed' : 'refused');
        if (answer.as === 'closed') {
          setClosed(true);
          continue;
        }
        if (answer.as === 'refused') setRefused(true);
        await takeOut(report.id);
      }
      setWaiting((await waitingOnes()).length);
      return went;
    };
    // One at a time: what is on its way is not sent a second time.
    sending.current = sending.current.then(run, run);
    return sending.current;
  }, []);

  useEffect(() => {
    void keptPages().then(setPages);
  }, []);

  useEffect(() => {
    if (!link) return;
    const comeBack = () => {
      if (document.visibilityState !== 'visible') return;
      void flush().then(() => refresh(link));
    };
    comeBack();
    addEventListener('online', comeBack);
    document.addEventListener('visibilitychange', comeBack);
    return () => {
      removeEventListener('online', comeBack);
      document.removeEventListener('visibilitychange', comeBack);
    };
  }, [link, flush, refresh]);

  return {
    pages,
    page,
    choose: setChosen,
    waiting,
    closed,
    refused,
    isOld,
    opened: async (of) => {
      await refresh(of);
      setChosen(of);
    },
    say: async (content, pair) => {
      if (!link) return 'closed';
      const at = localNow();
      const id = crypto.randomUUID();
      await putInLine({ link, report: { id, pair, on: at.slice(0, 10), at, content } });
      setWaiting((await waitingOnes()).length);
      const went = (await flush()).get(id) ?? 'waiting';
      if (went === 'sent') void refresh(link);
      return went;
    },
    remove: async () => {
      if (!link) return;
      await leave(link);
      await forgetLink(link);
      setChosen(null);
      setClosed(false);
      setWaiting((await waitingOnes()).length);
      setPages(await keptPages());
    },
  };
}
