import { lazy, Suspense, useState } from 'react';
import { type Answer, call, errorAt, failureInWords } from '@/contract/client';
import type { IssuedPairRecord } from '@/contract/records';
import { usedUpInWords } from '@/core/aftercare/patient-sheet';
import { dayOf } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { pairsOnShelf } from '@/core/catalogue/shelf';
import { numberQuestion, SIDES } from '@/core/findings/finding-kinds';
import { placeOn } from '@/core/fitting/sizes';
import { RETURN_DAYS } from '@/core/orders/order';
import type { AskedPair } from '@/core/purpose/pairs';
import { sizeInWords } from '@/core/sizing/start-size';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { StepContents } from '@/core/visit/contents';
import { chosenTryOn, issuedFor, pairsLeft } from '@/core/visit/read-visit';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { Choice } from '@/ui/fields/Choice';
import { FormProblem } from '@/ui/fields/Field';
import { Measure } from '@/ui/fields/Measure';
import { useTurnToPair } from '../PairPicker';
import { useModels } from '../use-models';
import { useVisit } from '../visit-context';
import { Modifications } from './Modifications';

const OrderCard = lazy(() =>
  import('../../orders/OrderCard').then(({ OrderCard: View }) => ({ default: View })),
);

type Content = StepContents['hand-over'];

const WEEKLY = numberQuestion('Distance a week in this pair', 'km', [0, 400], { plausible: [0, 150] });
const WEEKLY_USE = {
  hours: numberQuestion('Hours a week in this pair', 'hours', [0, 168], { plausible: [0, 25] }),
  'hours-on-feet': numberQuestion('Hours a week on the feet in it', 'hours', [0, 168], {
    plausible: [0, 70],
  }),
  'days-worn': numberQuestion('Days a week worn', 'count', [0, 7]),
} as const;
const MINUTES = numberQuestion('Usual outing, minutes', 'count', [0, 1440], { plausible: [5, 300] });

const NOT_SAVED = 'Something is not saved yet: the line at the top says what. Nothing has been handed over.';

/** What still stands in the way, then the pair's start, and the patient's sheet. */
export function HandOver() {
  const { visit, store, state, pairs, pair, blocks, readOnly } = useVisit();
  const turn = useTurnToPair();
  const entry = state.steps['hand-over'];
  const { content } = entry;
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const [isUnsaved, setUnsaved] = useState(false);
  const [busy, setBusy] = useState(false);
  const [days, setDays] = useState(String(RETURN_DAYS));
  const chosen = chosenTryOn({ 'try-on': state.steps['try-on'].content });
  const { models } = useModels(chosen !== null && !readOnly);
  const issued = issuedFor(visit.issued, pair);
  const next = pairsLeft(pairs, visit.issued).find((entry) => entry !== pair);
  if (readOnly || issued) return <HandedOver issued={issued} next={issued && !readOnly ? next : undefined} />;
  const model = models?.find(({ id }) => id === chosen?.model);
  const clock = CLOCK_OF_USE[model ? madeForUse(model.features) : 'road-running'];
  const shelf =
    model && chosen
      ? pairsOnShelf(
          model,
          SIDES.map((side) => placeOn(chosen, side)),
        )
      : null;
  // An order starts when it is collected: its first day does not stand in the way yet.
  const blocksOrder = blocks.some(({ step }) => step !== 'hand-over');
  const save = (part: Partial<Content>, typed?: Record<string, string>) =>
    store.change('hand-over', omitUndefined<Content>({ ...content, ...part }), typed);
  const text = (name: string, value: string | undefined) => {
    const { [name]: _, ...rest } = entry.typed;
    return value === undefined ? rest : { ...rest, [name]: value };
  };
  const term = Number(days);
  const termIsWrong = !(Number.isInteger(term) && term >= 0 && term <= 365);
  const end = async (how: 'hand-over' | 'order') => {
    setBusy(true);
    const isSaved = await store.flush();
    setUnsaved(!isSaved);
    const params = { id: visit.id };
    const { startedOn: _, ...ordered } = content;
    const result = !isSaved
      ? null
      : how === 'order'
        ? await call('orderPair', { params, body: { ...ordered, returnDays: term } })
        : await call('handOver', { params, body: content });
    setBusy(false);
    setAnswer(result);
    if (!result?.ok) return;
    // The next pair that is asked for comes up by itself.
    if (next) turn(next.id);
    await store.flush();
    location.reload();
  };
  return (
    <div className="grid gap-4 max-w-2xl">
      {model && chosen && (
        <h2>
          {modelTitle(model)}{' '}
          <span className="figure font-text text-base">
            {SIDES.flatMap((side) => {
              const place = placeOn(chosen, side);
              return place ? [`${side} ${sizeInWords(model.sizing, place.size, place.width)}`] : [];
            }).join(', ')}
          </span>
        </h2>
      )}
      {blocks.length > 0 ? (
        <section aria-label="In the way">
          <h2>Still in the way</h2>
          <ul>
            {blocks.map((block) => (
              <li key={`${block.step} ${block.message}`}>
                <span className="problem">{block.message}</span> <a href={`#${block.step}`}>Go there</a>
              </li>
            ))}
          </ul>
        </section>
      ) : (
        <p>
          Nothing is in the way. Handing over keeps the specification as issued, starts the pair, and writes
          the patient’s sheet.
        </p>
      )}
      <div className="flex flex-wrap gap-6 items-start">
        <label>
          <span className="block text-faint">First use</span>
          <input
            type="date"
            value={content.startedOn ?? dayOf(new Date())}
            onChange={(event) => save({ startedOn: event.target.value || undefined })}
          />
          {errorAt(answer, 'startedOn') && (
            <span className="problem block">{errorAt(answer, 'startedOn')}</span>
          )}
        </label>
        <Choice
          label="Ground, mostly"
          options={{ hard: 'hard', mixed: 'mixed', soft: 'soft' }}
          value={content.surface}
          onChange={(surface) => save({ surface: surface })}
        />
        {clock === 'km' ? (
          <Measure
            definition={WEEKLY}
            value={content.weeklyKm}
            typed={entry.typed.weeklyKm}
            onChange={(weeklyKm, typed) => save({ weeklyKm }, text('weeklyKm', typed))}
          />
        ) : (
          <Measure
            definition={WEEKLY_USE[clock]}
            value={content.weeklyUse}
            typed={entry.typed.weeklyUse}
            onChange={(weeklyUse, typed) => save({ weeklyUse }, text('weeklyUse', typed))}
          />
        )}
        <Measure
          definition={MINUTES}
          value={content.usualMinutes}
          typed={entry.typed.usualMinutes}
          onChange={(usualMinutes, typed) => save({ usualMinutes }, text('usualMinutes', typed))}
        />
      </div>
      <div className="flex flex-wrap gap-6 items-end">
        <label>
          <span className="block text-faint">Made on</span>
          <input
            type="date"
            value={content.madeOn ?? ''}
            onChange={({ target }) => save({ madeOn: target.value || undefined })}
          />
          {errorAt(answer, 'madeOn') && <span className="problem block">{errorAt(answer, 'madeOn')}</span>}
        </label>
        <label>
          <span className="block text-faint">Batch, as the box says</span>
          <input
            className="w-32"
            maxLength={60}
            value={content.batch ?? ''}
            onChange={({ target }) => save({ batch: target.value || undefined })}
          />
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={content.hills ?? false}
            onChange={({ target }) => save({ hills: target.checked || undefined })}
          />{' '}
          hilly
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={content.heat ?? false}
            onChange={({ target }) => save({ heat: target.checked || undefined })}
          />{' '}
          kept or worn in heat
        </label>
      </div>
      <Modifications
        value={content.modifications ?? []}
        onChange={(modifications) =>
          save({ modifications: modifications.length > 0 ? modifications : undefined })
        }
      />
      <FormProblem
        message={isUnsaved ? NOT_SAVED : answer && !answer.ok ? failureInWords(answer) : undefined}
      />
      <div className="flex flex-wrap gap-3 items-baseline">
        <button
          type="button"
          className="press press-main"
          disabled={blocks.length > 0 || busy}
          onClick={() => end('hand-over')}
        >
          {busy ? 'Handing over …' : 'Hand over'}
        </button>
        <button
          type="button"
          className="press"
          disabled={blocksOrder || busy || termIsWrong}
          onClick={() => end('order')}
        >
          Order instead
        </button>
        <label className="text-sm">
          can be sent back for{' '}
          <input
            className="figure w-14 text-right"
            inputMode="numeric"
            value={days}
            aria-invalid={termIsWrong || undefined}
            onChange={({ target }) => setDays(target.value)}
          />{' '}
          days
        </label>
        {shelf !== null && (
          <span className={shelf > 0 ? 'text-faint' : 'text-hold'}>
            {shelf > 0
              ? `${shelf} on the shelf.`
              : 'Not on the shelf in this size: order it, or hand over what was tried.'}
          </span>
        )}
      </div>
      <CloseWithout />
    </div>
  );
}

/** A review or a referral ends without a pair. */
function CloseWithout() {
  const { visit, store } = useVisit();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const close = async () => {
    await store.flush();
    const answer = await call('closeVisit', { params: { id: visit.id }, body: { reason } });
    if (answer.ok) location.assign(`/patients/${visit.patient.id}`);
    else setProblem(failureInWords(answer));
  };
  return (
    <details>
      <summary className="cursor-pointer">End without a hand-over</summary>
      <label className="block mt-1">
        <span className="block text-faint">Why (review, referred, nothing fits …)</span>
        <input
          className="w-96"
          maxLength={600}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      <button type="button" className="press mt-2" onClick={close}>
        End the visit
      </button>
    </details>
  );
}

interface HandedOverProps {
  issued: IssuedPairRecord | null;
  /** A pair that is still to come. */
  next: AskedPair | undefined;
}

/** What became of a pair: its sheet, its order, or why there is none. */
function HandedOver({ issued, next }: HandedOverProps) {
  const { visit } = useVisit();
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
            <dd>{sheet.startedOn}</dd>
            <dt className="text-faint">Review</dt>
            <dd>{sheet.reviewOn}</dd>
            <dt className="text-faint">Next pair</dt>
            <dd>{usedUpInWords(sheet)}</dd>
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
