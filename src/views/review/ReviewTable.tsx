import { useState } from 'react';
import { type Answer, errorAt, failureInWords, fieldErrorsOf } from '@/contract/answer';
import type { ReviewPage } from '@/contract/answers/reviews';
import { call } from '@/contract/client';
import type { PairPage } from '@/contract/records';
import { FELT } from '@/core/break-in/answers';
import { planBreakIn } from '@/core/break-in/plan';
import { type ReviewedPair, readReview } from '@/core/review/decide';
import { CHANGE_LABELS } from '@/core/review/review';
import { WARNING_SIGNS } from '@/core/safety/warning-signs';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { isWorthKeeping } from '@/core/wear/inspection';
import { Amount } from '@/ui/fields/Amount';
import { Choice } from '@/ui/fields/Choice';
import { ChoiceSet } from '@/ui/fields/ChoiceSet';
import { MeasureFields, SkinMarks } from '../measures/MeasureFields';
import { measuresOf } from '../measures/measure-draft';
import { useKeptDraft } from '../use-kept-draft';
import { SignList } from '../worn/SignList';
import { Decide } from './Decide';
import { Row } from './Row';
import { blankReview, isReviewDraft, type ReviewDraft, reviewOf } from './review-draft';

interface Props {
  record: PairPage;
  page: ReviewPage;
  today: string;
  mayDecide: boolean;
}

/** A pair as the server reads its review too. */
function reviewedPair({ pair, outcomes, breakIn, strengths }: PairPage): ReviewedPair {
  return {
    baseline: outcomes.taken[0] ?? null,
    forecast: pair.forecast,
    strengths,
    breakIn,
  };
}

/** One pair, some minutes: what changed, the feet, the measures, the pair, and what is decided; beside it the first visit. */
export function ReviewTable({ record, page, today, mayDecide }: Props) {
  const { pair, outcomes, breakIn } = record;
  const activities = outcomes.taken.findLast((taken) => taken.activities)?.activities ?? [];
  const [draft, put, drop] = useKeptDraft<ReviewDraft>(
    `review ${pair.id}`,
    blankReview(activities.map(({ name }) => name)),
    isReviewDraft,
  );
  const [answer, setAnswer] = useState<Answer<{ visitId: string | null }> | null>(null);
  const [isSent, setSent] = useState(false);
  const [busy, setBusy] = useState(false);
  const change = (part: Partial<ReviewDraft>) => put(omitUndefined<ReviewDraft>({ ...draft, ...part }));
  const { problems } = measuresOf(draft.day);
  const review = reviewOf(draft, today);
  const reading = readReview(reviewedPair(record), review);
  const problemAt = (field: string) =>
    (isSent ? problems[field] : undefined) ?? errorAt(answer, field.split(' ').at(-1) ?? field);
  const keep = async () => {
    setSent(true);
    setAnswer(null);
    if (Object.keys(problems).length > 0 || !review.decision || !review.warnings || !review.measures) return;
    setBusy(true);
    const { decision, warnings, measures } = review;
    const kept = await call('keepReview', {
      params: { id: pair.id },
      body: { ...review, decision, warnings, measures },
    });
    setBusy(false);
    setAnswer(kept);
    if (!kept.ok) return;
    drop();
    location.assign(kept.value.visitId ? `/visits/${kept.value.visitId}` : `/pairs/${pair.id}`);
  };
  const unit =
    pair.forecast.life.clock === 'km' ? 'km' : pair.forecast.life.clock === 'days-worn' ? 'days' : 'hours';
  const plan = breakIn ? planBreakIn(breakIn) : null;
  const isBreakingIn = plan !== null && (plan.doneOn >= today || plan.state !== 'going');
  const isLooked = isWorthKeeping(draft.inspection ?? {}) || draft.since !== undefined;
  return (
    <div className="grid lg:grid-cols-[minmax(0,1fr)_22rem] gap-6 items-start">
      <ol className="grid">
        <Row title="Changed" done={draft.changed !== undefined}>
          <ChoiceSet
            quiet
            label="What changed since the pair was handed over"
            options={CHANGE_LABELS}
            value={draft.changed}
            onChange={(changed) => change({ changed })}
          />
        </Row>
        <Row title="Warning signs" done={draft.warnings !== undefined}>
          <Warnings draft={draft} change={change} />
          {isSent && draft.warnings === undefined && (
            <p className="problem">Look for the warning signs first: none, or those that are there.</p>
          )}
        </Row>
        <Row
          title="Outcomes"
          done={Object.values(review.measures ?? {}).some((value) => value !== undefined)}
        >
          <div className="flex flex-wrap gap-x-8 gap-y-2">
            <MeasureFields draft={draft.day} onChange={(day) => change({ day })} problemAt={problemAt} />
            <SkinMarks
              marks={draft.day.skinAt}
              onChange={(skinAt) => change({ day: { ...draft.day, skinAt } })}
            />
          </div>
          {errorAt(answer, 'measures') && <p className="problem">{errorAt(answer, 'measures')}</p>}
        </Row>
        {isBreakingIn && (
          <Row title="Breaking in" done={draft.felt !== undefined}>
            <div className="flex flex-wrap gap-x-5 gap-y-1 items-end">
              <Choice
                label="The last outing"
                options={FELT}
                value={draft.felt}
                onChange={(felt) => change({ felt })}
              />
              <label>
                <input
                  type="checkbox"
                  checked={draft.gaitChanged ?? false}
                  onChange={({ target }) => change({ gaitChanged: target.checked })}
                />{' '}
                changed how they walk
              </label>
              <label>
                <input
                  type="checkbox"
                  checked={draft.marks ?? false}
                  onChange={({ target }) => change({ marks: target.checked })}
                />{' '}
                red marks that stayed half an hour
              </label>
            </div>
          </Row>
        )}
        <Row title="The pair" done={isLooked}>
          <div className="grid gap-2">
            <span className="flex gap-2 items-baseline">
              <span className="text-faint">Used since the last entry</span>
              <Amount
                label="Used since the last entry"
                unit={unit}
                value={draft.since}
                most={2000}
                disabled={busy}
                onChange={(since) => change({ since })}
              />
            </span>
            <SignList
              signs={draft.inspection?.signs ?? {}}
              onChange={(signs) => change({ inspection: omitUndefined({ ...draft.inspection, signs }) })}
            />
          </div>
        </Row>
      </ol>
      <Decide
        record={record}
        page={page}
        draft={draft}
        reading={reading}
        review={review}
        change={change}
        problemAt={(field) => errorAt(answer, field)}
        failure={
          answer && !answer.ok && fieldErrorsOf(answer).length === 0 ? failureInWords(answer) : undefined
        }
        missing={isSent && draft.decision === undefined ? 'Decide first.' : undefined}
        mayDecide={mayDecide}
        busy={busy}
        onKeep={keep}
      />
    </div>
  );
}

function Warnings({ draft, change }: { draft: ReviewDraft; change: (part: Partial<ReviewDraft>) => void }) {
  const some = (draft.warnings?.length ?? 0) > 0;
  const [isOpen, setOpen] = useState(some);
  const isNone = draft.warnings !== undefined && !some;
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className={`press ${isNone ? 'press-main' : ''}`}
          aria-pressed={isNone}
          onClick={() => {
            setOpen(false);
            change({ warnings: isNone ? undefined : [] });
          }}
        >
          Looked for: none
        </button>
        <button
          type="button"
          className="press"
          aria-expanded={isOpen || some}
          onClick={() => setOpen(!isOpen)}
        >
          One is there …
        </button>
      </div>
      {(isOpen || some) && (
        <ul className="grid gap-0.5">
          {WARNING_SIGNS.map(({ id, sign }) => (
            <li key={id}>
              <label>
                <input
                  type="checkbox"
                  checked={draft.warnings?.includes(id) ?? false}
                  onChange={({ target }) => {
                    const rest = (draft.warnings ?? []).filter((other) => other !== id);
                    const next = target.checked ? [...rest, id] : rest;
                    change({ warnings: next.length > 0 ? next : undefined });
                  }}
                />{' '}
                {sign}
              </label>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
