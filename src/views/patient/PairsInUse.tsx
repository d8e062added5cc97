import type { PairRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { RETIRED_BECAUSE } from '@/core/wear/retired';
import { writtenDay } from '@/ui/formats';
import { PairCard } from '../pair/PairCard';
import { usedInWords } from '../pair/pair-words';

/** Pairs of a patient: in use with window, use and comfort; earlier ones in a line each. */
export function PairsInUse({ pairs, today }: { pairs: PairRecord[]; today: string }) {
  const inUse = pairs.filter((pair) => pair.endedOn === null);
  const earlier = pairs.filter((pair) => pair.endedOn !== null);
  if (pairs.length === 0)
    return (
      <p className="text-faint">
        No pair yet. It appears here with its start date once a visit is handed over.
      </p>
    );
  return (
    <>
      {inUse.map((pair) => (
        <PairCard key={pair.id} pair={pair} today={today} />
      ))}
      {earlier.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer">{earlier.length} earlier</summary>
          <ul>
            {earlier.map((pair) => (
              <li key={pair.id}>
                <a href={`/pairs/${pair.id}`}>{modelTitle(pair.model)}</a>, {writtenDay(pair.startedOn)} to{' '}
                {pair.endedOn && writtenDay(pair.endedOn)}
                {pair.forecast.used !== null && `, ${usedInWords(pair.forecast)}`}
                {pair.endedBecause && `, ${RETIRED_BECAUSE[pair.endedBecause]}`}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
