import { useEffect, useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import type { BreakInPreview as Preview } from '@/contract/answers/break-in';
import { call } from '@/contract/client';
import { PLAN_NAMES } from '@/core/break-in/plan-names';
import type { StepContents } from '@/core/visit/contents';
import { WeekStrip } from '@/ui/drawing/WeekStrip';
import { FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { useExamined } from '../../visit-context';

/** What is typed is waited for so long before the plan is asked for again, ms. */
const PAUSE_MS = 350;

/** The break-in on the patient's own week before anything is handed over; it follows what is entered above. */
export function BreakInPreview({ content }: { content: StepContents['hand-over'] }) {
  const { visit, store } = useExamined();
  const [isOpen, setOpen] = useState(false);
  const [answer, setAnswer] = useState<Answer<Preview> | null>(null);
  useEffect(() => {
    if (!isOpen) return;
    let isOver = false;
    const timer = setTimeout(async () => {
      await store.flush();
      const result = await call('previewBreakIn', {
        params: { id: visit.id },
        body: content,
      });
      if (!isOver) setAnswer(result);
    }, PAUSE_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [isOpen, content, visit.id, store]);
  return (
    <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="cursor-pointer">How it will be broken in</summary>
      {!answer && <p className="text-faint">Laying it on the week …</p>}
      <FormProblem message={answer && !answer.ok ? failureInWords(answer) : undefined} />
      {answer?.ok && (
        <div className="grid gap-2 mt-1">
          <p>
            {PLAN_NAMES[answer.value.plan]}
            {answer.value.changeWeeks > 0 && `; far from the pair before: ${answer.value.changeWeeks} weeks`}
            {'; done on '}
            <strong>{writtenDay(answer.value.doneOn)}</strong>.{' '}
            {answer.value.restsOnWeek ? (
              <a href={`/patients/${visit.patient.id}`}>Their week is kept with the patient.</a>
            ) : (
              <span className="text-hold">
                How much it will be used is not stated, so the plan has no outings.
              </span>
            )}
          </p>
          <WeekStrip {...answer.value} />
        </div>
      )}
    </details>
  );
}
