import { useCallback, useEffect, useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { PhotographRecord } from '@/contract/records';
import { dayOf } from '@/core/calendar/days';
import type { OldPair } from '@/core/wear/old-pair';
import { Photographs } from '../../../photographs/Photographs';
import { useExamined } from '../../visit-context';
import { NoPairYet } from './NoPairYet';
import { useOldPairs } from './use-old-pairs';

/** Photographs of the pair under the hands. */
export function PairPhotographs() {
  const brought = useOldPairs();
  const { pair } = brought;
  if (!pair) return <NoPairYet brought={brought} />;
  if (pair.pair)
    return (
      <p>
        This clinic handed it over: its photographs stay together on{' '}
        <a href={`/pairs/${pair.pair}#photographs`}>its own page</a>.
      </p>
    );
  return <OfBrought key={pair.id} pair={pair} />;
}

function OfBrought({ pair }: { pair: OldPair }) {
  const { visit, store, readOnly } = useExamined();
  const [answer, setAnswer] = useState<Answer<PhotographRecord[]> | null>(null);
  const load = useCallback(
    async () =>
      setAnswer(await call('broughtPhotographs', { params: { id: visit.id }, query: { brought: pair.id } })),
    [visit.id, pair.id],
  );
  useEffect(() => void load(), [load]);
  if (!answer) return <p role="status">Looking for photographs …</p>;
  if (!answer.ok)
    return (
      <p role="alert" className="problem">
        {failureInWords(answer)}
      </p>
    );
  return (
    <Photographs
      photographs={answer.value}
      today={dayOf(new Date())}
      readOnly={readOnly}
      send={async (photograph) => {
        // The pair must stand on the server before something is tied to it.
        await store.flush();
        return call('keepBroughtPhotograph', {
          params: { id: visit.id },
          body: { ...photograph, brought: pair.id },
        });
      }}
      onKept={load}
    />
  );
}
