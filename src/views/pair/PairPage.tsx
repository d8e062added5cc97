import { lazy, useState } from 'react';
import type { ReviewRecord } from '@/contract/answers/reviews';
import { call } from '@/contract/client';
import type { PairPage as PairPageRecord, PairRecord } from '@/contract/records';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import type { RepeatAnswer } from '@/core/repeat/repeat';
import { REVIEW_DECISIONS } from '@/core/review/review';
import { SIGNS } from '@/core/signs/signs';
import { keysOf } from '@/core/tables/keys-of';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { writtenDay } from '@/ui/formats';
import { Sections } from '@/ui/Sections';
import { LifeLine } from './LifeLine';
import { LogForm } from './LogForm';
import { Standing } from './PairCard';
import { amountInWords, restsOn } from './pair-words';
import { WindowBar } from './WindowBar';

const Inspect = lazy(() => import('./Inspect').then((part) => ({ default: part.Inspect })));
const BreakIn = lazy(() => import('./BreakIn').then((part) => ({ default: part.BreakIn })));
const Outcomes = lazy(() => import('./Outcomes').then((part) => ({ default: part.Outcomes })));
const Photographs = lazy(() =>
  import('../photographs/Photographs').then((part) => ({ default: part.Photographs })),
);
const SoleHistory = lazy(() => import('./SoleHistory').then((part) => ({ default: part.SoleHistory })));
const UseChart = lazy(() => import('./UseChart'));

/** One pair: how long it will last and why, what was seen of it, and its log. */
export function PairPage({
  record,
  repeat,
  reviews,
  today,
}: {
  record: PairPageRecord;
  repeat: RepeatAnswer;
  /** Newest first. */
  reviews: readonly ReviewRecord[];
  today: string;
}) {
  const { pair, forerunners } = record;
  const [photographs, setPhotographs] = useState(record.photographs);
  const inUse = pair.endedOn === null;
  const { clock } = pair.forecast.life;
  return (
    <div className="grid gap-4">
      <HowLong pair={pair} repeat={repeat} today={today} />
      <Sections
        label="Parts of the pair"
        byAddress
        parts={[
          ...(inUse
            ? [
                {
                  id: 'inspect',
                  title: 'Inspect',
                  content: <Inspect pair={pair} strengths={record.strengths} today={today} />,
                },
              ]
            : []),
          ...(record.breakIn
            ? [
                {
                  id: 'break-in',
                  title: 'Breaking in',
                  content: (
                    <BreakIn pairId={pair.id} given={record.breakIn} today={today} readOnly={!inUse} />
                  ),
                },
              ]
            : []),
          {
            id: 'outcomes',
            title: 'Outcomes',
            content: (
              <Outcomes
                pairId={pair.id}
                given={record.outcomes}
                log={pair.log}
                today={today}
                readOnly={!inUse}
              />
            ),
          },
          ...(reviews.length > 0
            ? [
                {
                  id: 'reviews',
                  title: `Reviews (${reviews.length})`,
                  content: <Reviews reviews={reviews} />,
                },
              ]
            : []),
          {
            id: 'soles',
            title: 'Soles over time',
            content: <SoleHistory pair={pair} forerunners={forerunners} />,
          },
          {
            id: 'photographs',
            title: 'Photographs',
            content: (
              <Photographs
                photographs={photographs}
                today={today}
                readOnly={!inUse}
                send={(body) => call('keepPhotograph', { params: { id: pair.id }, body })}
                onKept={async () => {
                  const answer = await call('pair', { params: { id: pair.id } });
                  if (answer.ok) setPhotographs(answer.value.photographs);
                }}
              />
            ),
          },
          { id: 'seen', title: 'Inspections', content: <Seen pair={pair} /> },
          {
            id: 'log',
            title: 'Log',
            content: (
              <div className="grid grid-cols-[1fr_18rem] gap-6">
                <div>
                  <UseChart log={pair.log} clock={clock} />
                </div>
                {inUse && <LogForm pairId={pair.id} today={today} clock={clock} />}
              </div>
            ),
          },
        ]}
      />
    </div>
  );
}

const REPEAT = {
  yes: 'may be bought unseen',
  'two-sizes': 'two sizes, one to send back',
  'come-in': 'come in and try it',
  never: 'not without a fitting',
} as const;

function HowLong({ pair, repeat, today }: { pair: PairRecord; repeat: RepeatAnswer; today: string }) {
  const { forecast } = pair;
  const { life, inspected } = forecast;
  return (
    <div className="grid grid-cols-[11rem_1fr_24rem] gap-5 items-start">
      <ShoeDrawing drawing={pictureOf(pair.model)} className="w-44" />
      <section aria-label="How long it lasts" className="grid gap-1">
        <Standing pair={pair} />
        <LifeLine pair={pair} />
      </section>
      <section aria-label="Its window" className="grid gap-1.5">
        {pair.window ? (
          <WindowBar pair={pair} window={pair.window} today={today} />
        ) : (
          <p className="text-faint">No window: how much it is used is not stated.</p>
        )}
        {pair.window && (
          <p>
            {pair.window.startNextOn > today ? 'Bring in the next pair from' : 'The next pair is due since'}{' '}
            <strong>{writtenDay(pair.window.startNextOn)}</strong>.
          </p>
        )}
        {inspected && (
          <p>
            The last inspection moved half of its life from {amountInWords(life.clock, inspected.before.q50)}{' '}
            to {amountInWords(life.clock, life.q50)}.
          </p>
        )}
        <p>
          The same again: <strong>{REPEAT[repeat.may]}</strong>
          {repeat.chance !== null && ` (fits with ${Math.round(repeat.chance * 100)} %)`}.{' '}
          <span className="text-faint text-xs">{repeat.because.join(' ')}</span>
        </p>
        <p className="text-faint text-xs">
          {[restsOn(forecast), ...forecast.adjustments].join('; ')}. Most uncertain: {forecast.dominates}.
        </p>
      </section>
    </div>
  );
}

/** What was decided at each review, newest first. */
function Reviews({ reviews }: { reviews: readonly ReviewRecord[] }) {
  return (
    <ul className="grid gap-1">
      {reviews.map(({ id, on, by, decision, suggested, because, to }) => (
        <li key={id} className="border-b border-line pb-1">
          <strong>{writtenDay(on)}</strong>: {REVIEW_DECISIONS[decision]}
          {to && ` (${to})`}
          {because && `; ${because}`}{' '}
          <span className="text-faint">
            ({by}
            {suggested !== decision && `; the findings asked: ${REVIEW_DECISIONS[suggested]}`})
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What each inspection saw, newest first. */
function Seen({ pair }: { pair: PairRecord }) {
  if (pair.inspections.length === 0) return <p className="text-faint">Not inspected yet.</p>;
  return (
    <ul className="grid gap-2">
      {pair.inspections.toReversed().map(({ id, on, by, used, content }) => (
        <li key={id} className="border-b border-line pb-2">
          <strong>{writtenDay(on)}</strong>, {amountInWords(pair.forecast.life.clock, used)}{' '}
          <span className="text-faint">({by})</span>
          <span className="block">
            {keysOf(SIGNS)
              .flatMap((sign) => {
                const value = content.signs?.[sign];
                const options: Readonly<Record<string, string>> = SIGNS[sign].options;
                return value === undefined ? [] : [`${SIGNS[sign].label}: ${options[value]}`];
              })
              .join('; ')}
            {content.heat && '; kept in heat'}
            {content.note && `; ${content.note}`}
          </span>
        </li>
      ))}
    </ul>
  );
}
