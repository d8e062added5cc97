import { useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { OrderRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { modificationInWords } from '@/core/modification/modification';
import {
  actOf,
  ORDER_EVENTS,
  ORDER_STATES,
  type OrderEvent,
  type OrderState,
  possibleEvents,
} from '@/core/orders/order';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { ArrivalForm } from './ArrivalForm';
import { CollectForm } from './CollectForm';

/** Steps of an order on the way to the patient, as the line shows them. */
const COURSE: readonly OrderState[] = ['wanted', 'ordered', 'arrived', 'checked', 'collected'];

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
      className="border-b border-line py-2 grid gap-x-6 gap-y-1 lg:grid-cols-[1fr_auto]"
    >
      <div className="grid gap-1 content-start">
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
            <a href={`/patients/${order.patient.id}`}>
              <bdi>{order.patient.name}</bdi>
            </a>
          </p>
        )}
        <Course order={order} />
        {order.modifications.length > 0 && (
          <p>
            {order.modifications.map(modificationInWords).join('; ')}.{' '}
            <a href={`/orders/${order.id}/job`}>Order for the technician</a>
          </p>
        )}
        {order.daysToReturn !== null && !['collected', 'returned'].includes(order.state) && (
          <p className={order.daysToReturn < 7 ? 'text-hold' : 'text-faint'}>
            {order.daysToReturn >= 0
              ? `Can be sent back for ${order.daysToReturn} more days, until ${order.returnBy && writtenDay(order.returnBy)}.`
              : `The term for sending it back ended on ${order.returnBy && writtenDay(order.returnBy)}.`}
          </p>
        )}
        {order.expectedOn && order.state === 'ordered' && (
          <p className={order.late ? 'text-hold' : 'text-faint'}>
            {order.late
              ? `Was expected on ${writtenDay(order.expectedOn)}: ask the supplier.`
              : `Expected on ${writtenDay(order.expectedOn)}.`}
          </p>
        )}
        {order.cameVersion && (
          <p className="text-hold">
            Version {order.cameVersion} came, {order.model.version} was tried.
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-3 items-end self-start lg:justify-end">
        {order.state === 'wanted' && (
          <Field label="Expected on" error={errorAt(answer, 'expectedOn')}>
            {(control) => <DayInput value={expected} onChange={setExpected} {...control} />}
          </Field>
        )}
        {events.map((event) => (
          <button
            key={event}
            type="button"
            className="press"
            onClick={() => move(event, event === 'place' && expected ? { expectedOn: expected } : {})}
          >
            {actOf(event)}
          </button>
        ))}
      </div>
      <div className="lg:col-span-2 grid gap-1 empty:hidden">
        {order.state === 'arrived' && (
          <ArrivalForm order={order} onCheck={(arrival) => move('check', { arrival })} />
        )}
        {order.state === 'checked' && (
          <CollectForm
            order={order}
            error={errorAt(answer, 'tryAgain')}
            onCollect={(checks, tryAgain) =>
              move('collect', {
                ...(checks.length > 0 ? { checks } : {}),
                ...(tryAgain ? { tryAgain } : {}),
              })
            }
          />
        )}
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
                {writtenDay(event.at)}{' '}
                {event.event === 'created' ? 'Chosen' : ORDER_EVENTS[event.event].label}
                {event.note && `: ${event.note}`} <span className="text-faint">({event.by})</span>
              </li>
            ))}
          </ol>
        </details>
      </div>
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
