import { type SubmitEvent, useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { call } from '@/contract/client';
import { DayInput } from '@/ui/fields/DayInput';
import { Field, FormProblem } from '@/ui/fields/Field';
import { MeasureFields, SkinMarks } from '../measures/MeasureFields';
import { blankMeasures, type MeasureDraft, measureDraftSchema, measuresOf } from '../measures/measure-draft';
import { useKeptDraft } from '../use-kept-draft';

const isDraft = (kept: unknown): kept is MeasureDraft => measureDraftSchema.safeParse(kept).success;

interface Props {
  pairId: string;
  today: string;
  /** Named the last time; they are asked again by the same names. */
  activities: readonly string[];
  onKept: (record: OutcomeRecord) => void;
}

/** The measures of one day; what is left empty was not asked. */
export function OutcomeForm({ pairId, today, activities, onKept }: Props) {
  const [on, setOn] = useState(today);
  const [draft, put, drop] = useKeptDraft(`measures ${pairId}`, blankMeasures(activities), isDraft);
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const [isSent, setSent] = useState(false);
  const [busy, setBusy] = useState(false);
  const { measures, problems } = measuresOf(draft);
  const problemAt = (field: string) =>
    (isSent ? problems[field] : undefined) ?? errorAt(answer, field.split(' ').at(-1) ?? field);
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    setSent(true);
    setAnswer(null);
    if (Object.keys(problems).length > 0) return;
    setBusy(true);
    const kept = await call('keepOutcome', { params: { id: pairId }, body: { on, ...measures } });
    setBusy(false);
    setAnswer(kept);
    if (!kept.ok) return;
    drop(blankMeasures(activities));
    setSent(false);
    onKept(kept.value);
  };
  const isNamed = errorAt(answer, 'on') ?? ['comfort', 'pain'].some((field) => errorAt(answer, field));
  return (
    <form onSubmit={submit} noValidate className="grid gap-1.5 content-start" aria-label="Measures of a day">
      <h3>Measures of a day</h3>
      <Field
        label="Day"
        error={errorAt(answer, 'on')}
        className="grid-cols-[11rem_auto] gap-x-2 items-baseline"
      >
        {(control) => <DayInput max={today} value={on} onChange={setOn} {...control} />}
      </Field>
      <MeasureFields draft={draft} onChange={put} problemAt={problemAt} />
      <SkinMarks marks={draft.skinAt} onChange={(skinAt) => put({ ...draft, skinAt })} />
      <FormProblem message={!isNamed && answer && !answer.ok ? failureInWords(answer) : undefined} />
      <p>
        <button type="submit" className="press press-main" disabled={busy}>
          Keep the measures
        </button>
      </p>
    </form>
  );
}
