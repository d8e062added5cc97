import { lazy, Suspense } from 'react';
import type { IssuedPairRecord } from '@/contract/records';
import { usedUpInWords } from '@/core/aftercare/used-up';
import type { AskedPair } from '@/core/purpose/pairs';
import { writtenDay } from '@/ui/formats';
import { useTurnToPair } from '../../PairPicker';
import { useExamined } from '../../visit-context';
import { CloseWithout } from './CloseWithout';

const OrderCard = lazy(() =>
  import('../../../orders/OrderCard').then(({ OrderCard: View }) => ({ default: View })),
);

interface HandedOverProps {
  issued: IssuedPairRecord | null;
  /** A pair that is still to come. */
  next: AskedPair | undefined;
}

/** What became of a pair: its sheet, its order, or why there is none. */
export function HandedOver({ issued, next }: HandedOverProps) {
  const { visit } = useExamined();
  const turn = useTurnToPair();
  const sheet = issued?.sheet;
  if (!issued) return <p>Nothing was handed over{visit.closedBecause ? `: ${visit.closedBecause}.` : '.'}</p>;
  const of = visit.issued.length > 1 ? `?pair=${issued.id}` : '';
  return (
    <div className="grid gap-3 max-w-3xl">
      {!sheet && <p>The pair was ordered; it is handed over when it is collected.</p>}
      {!sheet && issued.order && (
        <Suspense fallback={null}>
          <OrderCard order={issued.order} />
        </Suspense>
      )}
      {sheet && (
        <>
          <h2>
            {sheet.shoe}, {sheet.size}
          </h2>
          <dl className="grid grid-cols-[12rem_1fr] gap-y-1">
            <dt className="text-faint">First use</dt>
            <dd>{writtenDay(sheet.startedOn)}</dd>
            <dt className="text-faint">Review</dt>
            <dd>{writtenDay(sheet.reviewOn)}</dd>
            <dt className="text-faint">Next pair</dt>
            <dd>{usedUpInWords(sheet, writtenDay)}</dd>
          </dl>
          <p className="flex gap-3">
            <a className="press press-main" href={`/visits/${visit.id}/sheet${of}`}>
              Patient’s sheet
            </a>
            <a className="press" href={`/visits/${visit.id}/sheet.pdf${of}`}>
              As PDF
            </a>
            <a className="press" href={`/patients/${visit.patient.id}`}>
              To the patient
            </a>
          </p>
        </>
      )}
      {next && (
        <p className="flex gap-3 items-baseline">
          <button type="button" className="press" onClick={() => turn(next.id)}>
            Next pair: {next.label}
          </button>
        </p>
      )}
      {next && <CloseWithout />}
    </div>
  );
}
