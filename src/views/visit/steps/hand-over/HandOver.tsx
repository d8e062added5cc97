import { useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle } from '@/core/catalogue/model';
import { pairsOnShelf } from '@/core/catalogue/shelf';
import { SIDES } from '@/core/findings/finding-kinds';
import { boxOf } from '@/core/fitting/box';
import { placeOn } from '@/core/fitting/sizes';
import { RETURN_DAYS } from '@/core/orders/order';
import { sizeInWords } from '@/core/sizing/start-size';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { blocksOrder } from '@/core/visit/blocks';
import type { StepContents } from '@/core/visit/contents';
import { chosenTryOn, issuedFor, pairsLeft } from '@/core/visit/examined';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { FormProblem } from '@/ui/fields/Field';
import { useModels } from '../../../use-models';
import { useTurnToPair } from '../../PairPicker';
import { useVisit } from '../../visit-context';
import { BreakInPreview } from './BreakInPreview';
import { CloseWithout } from './CloseWithout';
import { HandedOver } from './HandedOver';
import { Modifications } from './Modifications';
import { PairStart } from './PairStart';

type Content = StepContents['hand-over'];

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
  const isOrderBlocked = blocks.some(blocksOrder);
  const save = (part: Partial<Content>, typed?: Record<string, string>) =>
    store.change('hand-over', omitUndefined<Content>({ ...content, ...part }), typed);
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
    <div className="grid gap-3 max-w-3xl">
      {model && chosen && (
        <div className="flex flex-wrap items-end gap-x-5">
          <ShoeDrawing drawing={pictureOf(model)} className="w-56" />
          <h2>
            {modelTitle(model)}{' '}
            <span className="figure font-text text-base">
              {SIDES.flatMap((side) => {
                const place = placeOn(chosen, side);
                return place ? [`${side} ${sizeInWords(model.sizing, place.size, place.width)}`] : [];
              }).join(', ')}
            </span>
          </h2>
        </div>
      )}
      {blocks.length > 0 ? (
        <section aria-label="Before the hand-over">
          <h2>Before the hand-over</h2>
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
          Nothing blocks the hand-over. Handing over keeps the specification as issued, starts the pair, and
          writes the patient’s sheet.
        </p>
      )}
      <PairStart
        school={visit.clinic.breakInSchool}
        hasLaces={['laces', 'laces-extra-eyelet'].includes(String(model?.features.closure ?? 'laces'))}
        clock={clock}
        box={boxOf(content, chosen, model)}
        content={content}
        typed={entry.typed}
        answer={answer}
        save={save}
      />
      {chosen && <BreakInPreview content={content} />}
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
          disabled={isOrderBlocked || busy || termIsWrong}
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
