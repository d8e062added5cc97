import type { ReactNode } from 'react';
import type { PairRecord } from '@/contract/records';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle } from '@/core/catalogue/model';
import { modificationInWords } from '@/core/modification/modification';
import { cushioningKept } from '@/core/wear/cushioning';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { writtenDay } from '@/ui/formats';
import { amountInWords, restsOn, STATE, usedInWords } from './pair-words';
import { WindowBar } from './WindowBar';

/** A pair in use in short: where it stands, its window, and beside it what is done with it. */
export function PairCard({
  pair,
  today,
  children,
}: {
  pair: PairRecord;
  today: string;
  children?: ReactNode;
}) {
  const { forecast } = pair;
  return (
    <article
      className="grid md:grid-cols-[11rem_minmax(0,1fr)_17rem] gap-5 border-b border-line py-3"
      aria-label={modelTitle(pair.model)}
    >
      <ShoeDrawing drawing={pictureOf(pair.model)} className="w-44" />
      <div className="grid gap-1.5 content-start">
        <h3 className="text-lg">
          <a href={`/pairs/${pair.id}`}>{modelTitle(pair.model)}</a>
        </h3>
        <p className="text-faint">
          {pair.sizeLeft === pair.sizeRight
            ? pair.sizeLeft
            : `left ${pair.sizeLeft}, right ${pair.sizeRight}`}
          ; since {writtenDay(pair.startedOn)}
        </p>
        <Standing pair={pair} />
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
          Half of such pairs are used up at {amountInWords(forecast.life.clock, forecast.life.q50)} (
          {[restsOn(forecast), ...forecast.adjustments].join('; ')}). Most uncertain: {forecast.dominates}.
        </p>
        {pair.comfort && (
          <p>
            Comfort {pair.comfort.baseline} at first, {pair.comfort.now} now:{' '}
            <strong>{pair.comfort.reading}</strong>{' '}
            <span className="text-faint">(10 points count as real)</span>
          </p>
        )}
        <p className="flex gap-2">
          <a className="press" href={`/pairs/${pair.id}/review`}>
            Review it
          </a>
          <a className="press press-quiet" href={`/pairs/${pair.id}`}>
            Inspect it
          </a>
        </p>
      </div>
      {children}
    </article>
  );
}

/** Where a pair stands, in a line. */
export function Standing({ pair: { forecast } }: { pair: Pick<PairRecord, 'forecast'> }) {
  return (
    <p>
      <strong>{STATE[forecast.state]}</strong>
      {forecast.used !== null &&
        `; ${usedInWords(forecast)} ${forecast.basis === 'log' ? 'logged' : 'by the stated week'}`}
      {forecast.used !== null &&
        forecast.life.clock === 'km' &&
        `, about ${Math.round(cushioningKept(forecast.used) * 100)} % of the cushioning left`}
      {forecast.inspected && `; inspected: ${Math.round(forecast.inspected.spent * 100)} % spent`}
    </p>
  );
}
