import { useState } from 'react';
import { type Answer, call, errorAt, failureInWords } from '@/contract/client';
import type { OrderRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import {
  checkArrival,
  modificationInWords,
  ORDER_EVENTS,
  ORDER_STATES,
  type OrderEvent,
  type OrderState,
  possibleEvents,
} from '@/core/orders/order';
import { Choice } from '@/ui/fields/Choice';

/** Steps of an order on the way to the patient, as the line shows them. */
const COURSE: readonly OrderState[] = ['wanted', 'ordered', 'arrived', 'checked', 'collected'];

const YES_NO = { yes: 'yes', no: 'no' };

/** One order: how far it has come, what may happen next, what happened. */
export function OrderCard({ order: given, patient = false }: { order: OrderRecord; patient?: boolean }) {
  const [order, setOrder] = useState(given);
  const [answer, setAnswer] = useState<Answer<OrderRecord> | null>(null);
  const [expected, setExpected] = useState(given.expectedOn ?? '');
  const move = async (event: OrderEvent | 'check', rest: object = {}) => {
    const result = await call('orderEvent', { params: { id: order.id }, body: { event, ...rest } });
    setAnswer(result);
    if (result.ok) setOrder(result.value);
  };
  // What an arrival is, its check decides; collecting has a form of its own.
  const events = possibleEvents(order.state).filter(
    (event) => event !== 'pass' && event !== 'collect' && !(event === 'reject' && order.state === 'arrived'),
  );
  return (
    <article
      aria-label={`Order: ${modelTitle(order.model)}`}
      className="border-b border-line py-2 grid gap-1"
    >
      <h3>
        {modelTitle(order.model)}{' '}
        <span className="figure font-text text-base">
          {order.sizeLeft === order.sizeRight
            ? order.sizeLeft
            : `left ${order.sizeLeft}, right ${order.sizeRight}`}
        </span>
      </h3>
      {patient && (
        <p>
          <a href={`/patients/${order.patient.id}`}>{order.patient.name}</a>
        </p>
      )}
      <Course order={order} />
      {order.modifications.length > 0 && <p>{order.modifications.map(modificationInWords).join('; ')}</p>}
      {order.daysToReturn !== null && !['collected', 'returned'].includes(order.state) && (
        <p className={order.daysToReturn < 7 ? 'text-hold' : 'text-faint'}>
          {order.daysToReturn >= 0
            ? `Can be sent back for ${order.daysToReturn} more days, until ${order.returnBy}.`
            : `The term for sending it back ended on ${order.returnBy}.`}
        </p>
      )}
      {order.expectedOn && order.state === 'ordered' && (
        <p className={order.late ? 'text-hold' : 'text-faint'}>
          {order.late
            ? `Was expected on ${order.expectedOn}: ask the supplier.`
            : `Expected on ${order.expectedOn}.`}
        </p>
      )}
      {order.cameVersion && (
        <p className="text-hold">
          Version {order.cameVersion} came, {order.model.version} was tried.
        </p>
      )}
      {order.state === 'arrived' && (
        <ArrivalForm order={order} onCheck={(arrival) => move('check', { arrival })} />
      )}
      {order.state === 'checked' && (
        <CollectForm
          order={order}
          error={errorAt(answer, 'tryAgain')}
          onCollect={(tryAgain) => move('collect', tryAgain ? { tryAgain } : {})}
        />
      )}
      <div className="flex flex-wrap gap-3 items-end">
        {order.state === 'wanted' && (
          <label>
            <span className="block text-faint">Expected on</span>
            <input type="date" value={expected} onChange={({ target }) => setExpected(target.value)} />
          </label>
        )}
        {events.map((event) => (
          <button
            key={event}
            type="button"
            className="press"
            onClick={() => move(event, event === 'place' && expected ? { expectedOn: expected } : {})}
          >
            {ORDER_EVENTS[event].label}
          </button>
        ))}
      </div>
      {answer && !answer.ok && (
        <p role="alert" className="problem">
          {failureInWords(answer)}
        </p>
      )}
      {order.state === 'collected' && (
        <p role="status">
          Collected and in use. <a href={`/visits/${order.visitId}/sheet`}>Patient’s sheet</a>
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-faint">What happened</summary>
        <ol className="text-sm">
          {order.events.map((event) => (
            <li key={event.at + event.event}>
              {event.at.slice(0, 10)} {event.event === 'created' ? 'Chosen' : ORDER_EVENTS[event.event].label}
              {event.note && `: ${event.note}`} <span className="text-faint">({event.by})</span>
            </li>
          ))}
        </ol>
      </details>
    </article>
  );
}

function Course({ order }: { order: OrderRecord }) {
  const at = COURSE.indexOf(order.state);
  if (at < 0) return <p className="text-hold">{ORDER_STATES[order.state]}</p>;
  return (
    <ol className="flex flex-wrap gap-x-2 text-sm" aria-label={`State: ${ORDER_STATES[order.state]}`}>
      {COURSE.map((state, place) => (
        <li
          key={state}
          className={place === at ? 'font-semibold border-b-2 border-accent' : place < at ? '' : 'text-faint'}
        >
          {place > 0 && <span aria-hidden="true">→ </span>}
          {ORDER_STATES[state]}
        </li>
      ))}
    </ol>
  );
}

/** What lies in the box, held against what was ordered before it is sent. */
function ArrivalForm({ order, onCheck }: { order: OrderRecord; onCheck: (arrival: object) => void }) {
  const [version, setVersion] = useState(order.model.version);
  const [sizeLeft, setLeft] = useState(order.sizeLeft);
  const [sizeRight, setRight] = useState(order.sizeRight);
  const [sound, setSound] = useState<string | undefined>();
  const [modified, setModified] = useState<string | undefined>(
    order.modifications.length === 0 ? 'yes' : undefined,
  );
  const looked = sound !== undefined && modified !== undefined;
  const arrival = { version, sizeLeft, sizeRight, sound: sound !== 'no', modified: modified !== 'no' };
  const check = checkArrival(
    { version: order.model.version, sizeLeft: order.sizeLeft, sizeRight: order.sizeRight },
    arrival,
    order.modifications.map(modificationInWords),
  );
  const text = (label: string, value: string, set: (text: string) => void) => (
    <label>
      <span className="block text-faint">{label}</span>
      <input className="w-28" value={value} maxLength={40} onChange={({ target }) => set(target.value)} />
    </label>
  );
  return (
    <fieldset className="bg-desk px-3 py-2 grid gap-1">
      <legend className="font-medium">What lies in the box</legend>
      <div className="flex flex-wrap gap-3 items-end">
        {text('Version', version, setVersion)}
        {text('Left', sizeLeft, setLeft)}
        {text('Right', sizeRight, setRight)}
        <Choice label="Alike, without fault" options={YES_NO} value={sound} onChange={setSound} />
        {order.modifications.length > 0 && (
          <Choice label="Changes made" options={YES_NO} value={modified} onChange={setModified} />
        )}
        <button
          type="button"
          className="press press-main"
          disabled={!looked}
          onClick={() => onCheck(arrival)}
        >
          {!looked
            ? 'Look at both shoes first'
            : check.right
              ? 'Right: put by'
              : check.tryAgain && check.problems.length === 1
                ? 'Put by, to try again'
                : 'Wrong: to be returned'}
        </button>
      </div>
      <div role="status">
        <ul>
          {check.problems.map((problem) => (
            <li key={problem} className="text-hold">
              {problem}
            </li>
          ))}
        </ul>
      </div>
    </fieldset>
  );
}

/** At collection every pair is felt once more; after another version it must be. */
function CollectForm({
  order,
  error,
  onCollect,
}: {
  order: OrderRecord;
  error: string | null | undefined;
  onCollect: (tryAgain: object | null) => void;
}) {
  const [comfort, setComfort] = useState('');
  const [left, setLeft] = useState('');
  const [right, setRight] = useState('');
  const read = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
  const again = {
    comfort: read(comfort),
    left: read(left) === undefined ? undefined : { roomMm: read(left) },
    right: read(right) === undefined ? undefined : { roomMm: read(right) },
  };
  const isAnswered = Object.values(again).some((value) => value !== undefined);
  const field = (label: string, value: string, set: (text: string) => void) => (
    <label>
      <span className="block text-faint">{label}</span>
      <input
        className="figure w-20 text-right"
        inputMode="decimal"
        value={value}
        onChange={({ target }) => set(target.value)}
      />
    </label>
  );
  return (
    <fieldset className="bg-desk px-3 py-2 grid gap-1">
      <legend className="font-medium">
        {order.cameVersion ? 'Another version: tried on again' : 'Felt on the feet once more'}
      </legend>
      <div className="flex flex-wrap gap-3 items-end">
        {field('Room left, mm', left, setLeft)}
        {field('Room right, mm', right, setRight)}
        {field('Comfort, 0–100', comfort, setComfort)}
        <button
          type="button"
          className="press press-main"
          onClick={() => onCollect(isAnswered ? again : null)}
        >
          Collected
        </button>
      </div>
      {error && <p className="problem">{error}</p>}
    </fieldset>
  );
}
