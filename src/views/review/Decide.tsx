import type { ReviewPage } from '@/contract/answers/reviews';
import type { PairPage } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { againOn, mustRefer, type ReviewDraft as Readable, type ReviewReading } from '@/core/review/decide';
import { REVIEW_DECISIONS, type ReviewDecision } from '@/core/review/review';
import { keysOf } from '@/core/tables/keys-of';
import { verdictInWords } from '@/core/wear/verdict';
import { DayInput } from '@/ui/fields/DayInput';
import { Field, FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { ChangeList } from '../measures/ChangeList';
import type { ReviewDraft } from './review-draft';

interface Props {
  record: PairPage;
  page: ReviewPage;
  draft: ReviewDraft;
  review: Readable;
  reading: ReviewReading;
  change: (part: Partial<ReviewDraft>) => void;
  problemAt: (field: string) => string | undefined;
  failure: string | undefined;
  missing: string | undefined;
  mayDecide: boolean;
  busy: boolean;
  onKeep: () => void;
}

const ASKS: Readonly<Record<ReviewDecision, string>> = {
  keep: 'Nothing against keeping it',
  refit: 'Asks for a refit',
  next: 'Speaks for the next pair',
  refer: 'Refer first',
};

/** The first visit beside today, what today asks for, and the decision. */
export function Decide(props: Props) {
  const { record, page, reading, draft, change, mayDecide } = props;
  const isBlocked = mustRefer(props.review);
  return (
    <aside className="bg-desk px-4 py-3 grid gap-3 content-start lg:sticky lg:top-2" aria-label="Decide">
      <FirstVisit record={record} page={page} />
      {reading.changes.length > 0 ? (
        <section aria-label="Then and now">
          <h3>Then (line) and now (dot)</h3>
          <ChangeList isNarrow changes={reading.changes} />
        </section>
      ) : (
        <p className="text-faint">What is measured now is compared with the first day here.</p>
      )}
      <section aria-label="What it asks for" aria-live="polite">
        <h3>{ASKS[reading.suggestion]}</h3>
        <ul className="list-disc ps-5">
          {reading.asks.map(({ because }) => (
            <li key={because}>{because}</li>
          ))}
        </ul>
        {!reading.asks.some(({ because }) => because === verdictInWords(reading.verdict)[0]) && (
          <p className="text-faint text-sm">The pair: {verdictInWords(reading.verdict)[0]}</p>
        )}
      </section>
      {mayDecide ? (
        <>
          <fieldset>
            <legend className="sr-only">Decision</legend>
            <div className="flex flex-wrap">
              {keysOf(REVIEW_DECISIONS).map((decision) => (
                <label key={decision} className="option">
                  <input
                    type="radio"
                    name="decision"
                    checked={draft.decision === decision}
                    disabled={isBlocked && decision !== 'refer'}
                    onChange={() => change({ decision })}
                  />
                  {REVIEW_DECISIONS[decision]}
                </label>
              ))}
            </div>
            {(props.missing ?? props.problemAt('decision')) && (
              <p className="problem">{props.missing ?? props.problemAt('decision')}</p>
            )}
          </fieldset>
          <Details {...props} />
          <FormProblem message={props.failure} />
          <p>
            <button type="button" className="press press-main" disabled={props.busy} onClick={props.onKeep}>
              {props.busy
                ? 'Keeping …'
                : draft.decision === 'next'
                  ? 'Keep the review, begin a visit'
                  : 'Keep the review'}
            </button>
          </p>
        </>
      ) : (
        <p className="text-hold">
          A practitioner decides. What you entered stays in this browser until then.
        </p>
      )}
    </aside>
  );
}

/** What belongs to the decision: to whom, why or what, and when the pair is seen again. */
function Details({ draft, change, problemAt, review, page }: Props) {
  const { decision } = draft;
  if (!decision) return null;
  const usual = againOn({ decision, on: review.on, again: undefined }, page.nextDueOn);
  return (
    <div className="grid gap-2">
      {decision === 'refer' && (
        <Field label="To whom, and how soon" error={problemAt('to')}>
          {(control) => (
            <input
              maxLength={160}
              value={draft.to ?? ''}
              onChange={({ target }) => change({ to: target.value })}
              {...control}
            />
          )}
        </Field>
      )}
      <Field
        label={decision === 'refit' ? 'What was changed on the pair, or is to be' : 'Why, if it needs saying'}
        error={problemAt('because')}
      >
        {(control) => (
          <textarea
            rows={2}
            className="w-full"
            maxLength={600}
            value={draft.because ?? ''}
            onChange={({ target }) => change({ because: target.value })}
            {...control}
          />
        )}
      </Field>
      {usual !== null && (
        <Field label="Seen again on" error={problemAt('again')}>
          {(control) => (
            <DayInput
              value={draft.again ?? usual}
              onChange={(again) => change({ again: again || undefined })}
              {...control}
            />
          )}
        </Field>
      )}
    </div>
  );
}

function FirstVisit({ record: { pair }, page: { first, reviews } }: Pick<Props, 'record' | 'page'>) {
  const last = reviews[0];
  return (
    <section aria-label="The first visit">
      <h3>
        {first ? <a href={`/visits/${first.visitId}`}>{writtenDay(first.on)}</a> : modelTitle(pair.model)}
      </h3>
      {first ? (
        <>
          <p>{first.ached.length > 0 ? `Ached then: ${first.ached.join('; ')}.` : 'Nothing ached then.'}</p>
          <p className="text-faint text-sm">Wanted: {first.wanted.join('; ')}.</p>
        </>
      ) : (
        <p className="text-faint">It was not issued here: there is no first visit to compare with.</p>
      )}
      {last && (
        <p className="text-sm">
          Last review {writtenDay(last.on)}: {REVIEW_DECISIONS[last.decision]}
          {last.because && ` (${last.because})`}.
        </p>
      )}
    </section>
  );
}
