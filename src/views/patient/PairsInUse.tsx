import { lazy, Suspense, useState } from 'react';
import type { PairRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { printDistance } from '@/core/formats/formats';
import { modificationInWords } from '@/core/orders/order';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import type { Clock } from '@/core/wear/clocks';
import { cushioningKept } from '@/core/wear/cushioning';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { clinicFormats, writtenDay } from '@/ui/formats';
import { LogForm } from './LogForm';
import { WindowBar } from './WindowBar';

const UseChart = lazy(() => import('./UseChart'));

const STATE: Record<PairRecord['forecast']['state'], string> = {
  'in-life': 'in its life',
  'bring-in-next': 'bring in the next pair',
  'in-window': 'in the replacement window',
  overdue: 'past its life',
  unknown: 'cannot be forecast yet',
};

/** An amount of a clock as people read it: `412 km`, `96 hours on the feet`. */
const amountInWords = (clock: Clock, amount: number): string =>
  clock === 'km'
    ? printDistance(amount, clinicFormats())
    : `${Math.round(amount)} ${clock === 'days-worn' ? 'days worn' : clock === 'hours' ? 'hours of play' : 'hours on the feet'}`;

const usedInWords = ({ life, used }: PairRecord['forecast']): string => amountInWords(life.clock, used ?? 0);

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
        <Pair key={pair.id} pair={pair} today={today} />
      ))}
      {earlier.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer">{earlier.length} earlier</summary>
          <ul>
            {earlier.map((pair) => (
              <li key={pair.id}>
                {modelTitle(pair.model)}, {writtenDay(pair.startedOn)} to{' '}
                {pair.endedOn && writtenDay(pair.endedOn)}
                {pair.forecast.used !== null && `, ${usedInWords(pair.forecast)}`}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function Pair({ pair, today }: { pair: PairRecord; today: string }) {
  const [chart, setChart] = useState(false);
  const { forecast } = pair;
  return (
    <article
      className="grid grid-cols-[11rem_1fr_16rem] gap-5 border-b border-line py-3"
      aria-label={modelTitle(pair.model)}
    >
      <ShoeDrawing drawing={{ ...sideProfile(pair.model.features), dimensions: [] }} className="w-44" />
      <div className="grid gap-1.5 content-start">
        <h3 className="text-lg">{modelTitle(pair.model)}</h3>
        <p className="text-faint">
          {pair.sizeLeft === pair.sizeRight
            ? pair.sizeLeft
            : `left ${pair.sizeLeft}, right ${pair.sizeRight}`}
          ; since {writtenDay(pair.startedOn)}
        </p>
        <p>
          <strong>{STATE[forecast.state]}</strong>
          {forecast.used !== null &&
            `; ${usedInWords(forecast)} ${forecast.basis === 'log' ? 'logged' : 'by the stated week'}`}
          {forecast.used !== null &&
            forecast.life.clock === 'km' &&
            `, about ${Math.round(cushioningKept(forecast.used) * 100)} % of the cushioning left`}
        </p>
        {pair.modifications.length > 0 && <p>{pair.modifications.map(modificationInWords).join('; ')}</p>}
        {pair.successor && (
          <p className="text-hold">
            <a href={`/shoes/${pair.successor.id}`}>{pair.successor.title}</a> has taken its place: another
            shoe. {pair.successor.differs.length > 0 ? `${pair.successor.differs.join('; ')}. ` : ''}Try it on
            before a repeat.
          </p>
        )}
        {pair.window && <WindowBar pair={pair} window={pair.window} today={today} />}
        <p className="text-faint text-xs">
          Half of such pairs are used up at {amountInWords(forecast.life.clock, forecast.life.q50)}
          {forecast.life.from === 'ours' && ' (our own guess, wide on purpose)'}
          {forecast.adjustments.length > 0 && ` (${forecast.adjustments.join(', ')})`}. Most uncertain:{' '}
          {forecast.dominates}.
        </p>
        {pair.comfort && (
          <p>
            Comfort {pair.comfort.baseline} at first, {pair.comfort.now} now:{' '}
            <strong>{pair.comfort.reading}</strong>{' '}
            <span className="text-faint">(10 points count as real)</span>
          </p>
        )}
        <button
          type="button"
          className="press press-quiet justify-self-start"
          aria-expanded={chart}
          onClick={() => setChart(!chart)}
        >
          {chart ? 'Hide use and comfort' : 'Use and comfort over time'}
        </button>
        {chart && (
          <Suspense fallback={<p>Drawing …</p>}>
            <UseChart log={pair.log} />
          </Suspense>
        )}
      </div>
      <LogForm pairId={pair.id} today={today} clock={forecast.life.clock} />
    </article>
  );
}
