import { lazy, Suspense, useState } from 'react';
import { modelTitle } from '@/core/catalogue/model';
import { orderDrift } from '@/core/fitting/try-on';
import { wearingOrder } from '@/core/fitting/wearing-order';
import { eveningInWords } from '@/core/swelling/evening';
import { localNow } from '../../../local-now';
import { useExamined } from '../../visit-context';
import { PairDetail } from './PairDetail';
import { PairHead } from './PairHead';
import { useFitting } from './use-fitting';

// Nothing stands there before something was felt.
const FittingEnd = lazy(() => import('./FittingEnd').then((part) => ({ default: part.FittingEnd })));

/** Two or three pairs at once: each with size, comfort, advice and verdict; one of them at a time in detail. */
export function TryOnStep() {
  const { fitting, problem } = useFitting();
  const { picture } = useExamined();
  const [looked, setLooked] = useState<string | null>(null);
  if (problem) return <p className="problem">{problem}</p>;
  if (!fitting) return <p role="status">Fetching the catalogue …</p>;
  const { pairs } = fitting;
  if (pairs.length === 0)
    return (
      <p>
        Nothing chosen to bring yet. <a href="#candidates">Choose two or three candidates</a> first.
      </p>
    );
  const pair = pairs.find(({ model }) => model.id === looked) ?? pairs[0]!;
  const order = wearingOrder(pairs.map(({ letter }) => letter));
  const drift = orderDrift(pairs[0]!.tryOn);
  const { room } = pair.context;
  const evening = eveningInWords(picture, pair.tryOn.triedAt ?? localNow());
  return (
    <div className="grid gap-2">
      <p className="text-faint text-sm flex flex-wrap gap-x-4 items-baseline">
        <span>
          Longer foot first, heel tapped back, laced for the patient. Room {room.least}–{room.most} mm.
        </span>
        <span>
          Wear {order.letters.join(' → ')}: {order.because}
          {drift !== null &&
            Math.abs(drift) >= 5 &&
            ` It was rated ${Math.abs(drift)} ${drift > 0 ? 'higher' : 'lower'} the second time.`}
        </span>
        {evening && <span className="text-hold">{evening}</span>}
        <label>
          <input
            type="checkbox"
            checked={fitting.blind}
            disabled={fitting.readOnly}
            onChange={({ target }) => fitting.setBlind(target.checked)}
          />{' '}
          hide makers and models
        </label>
      </p>
      <div className="grid grid-flow-col auto-cols-fr gap-4">
        {pairs.map((entry, at) => (
          <PairHead
            key={entry.model.id}
            pair={entry}
            fitting={fitting}
            first={at === 0 && pairs.length > 1}
            looked={entry === pair}
            onLook={() => setLooked(entry.model.id)}
          />
        ))}
      </div>
      <Suspense fallback={null}>
        <FittingEnd fitting={fitting} />
      </Suspense>
      <PairDetail key={pair.model.id} pair={pair} fitting={fitting} />
      {fitting.blind && (
        <p className="sr-only">Makers and models are hidden: {pairs.length} pairs by letter.</p>
      )}
      {!fitting.blind && pair.tryOn.verdict === 'chosen' && (
        <p role="status" className="text-faint">
          {modelTitle(pair.model)} goes on to the hand-over.
        </p>
      )}
    </div>
  );
}
