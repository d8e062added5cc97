import { useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { breakInWords } from '@/core/aftercare/break-in-words';
import { FELT, type Felt, type OutingAnswer } from '@/core/break-in/answers';
import { type BreakInInput, planBreakIn } from '@/core/break-in/plan';
import { PLAN_NAMES } from '@/core/break-in/plan-names';
import { ENGLISH } from '@/core/texts/english';
import { WeekStrip } from '@/ui/drawing/WeekStrip';
import { Choice } from '@/ui/fields/Choice';
import { DayInput } from '@/ui/fields/DayInput';
import { Field, FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';

const STATE = {
  going: 'Carry on with the plan.',
  over: 'The plan has run its course.',
  refit: 'Three outings in a row were sore: refit it.',
  stop: 'Stop wearing it: have the foot and the pair seen.',
} as const;

/** The plan of a new pair as the patient has it, what was answered, and the answer of one more outing. */
export function BreakIn({
  pairId,
  given,
  today,
  readOnly,
}: {
  pairId: string;
  given: BreakInInput;
  today: string;
  readOnly: boolean;
}) {
  const [answers, setAnswers] = useState<readonly OutingAnswer[]>(given.answers);
  const input = { ...given, answers };
  const plan = planBreakIn(input);
  // As the sheet says it, in the words of whoever works here.
  const words = breakInWords(plan, input, ENGLISH, { returnBy: null, isMuchSofter: false });
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_20rem] gap-8">
      <div className="grid gap-3 content-start">
        <p>
          {PLAN_NAMES[input.plan]}
          {input.changeWeeks > 0 && `; far from the pair before: ${input.changeWeeks} weeks`}; done on{' '}
          <strong>{writtenDay(plan.doneOn)}</strong>.
        </p>
        <p role="status" className={plan.state === 'going' ? '' : 'text-warn font-semibold'}>
          {STATE[plan.state === 'going' && plan.doneOn < today ? 'over' : plan.state]}
        </p>
        {plan.state !== 'going' && !readOnly && (
          <GoOn
            pairId={pairId}
            onSeen={() => setAnswers(answers.map((answer) => ({ ...answer, isSeen: true })))}
          />
        )}
        <WeekStrip {...words} />
        <p className="text-faint text-xs">
          Weeks by the size of a change, first outings half as long, shares: ours. Three outings with mild
          discomfort, then a refit: common practice.
        </p>
      </div>
      <div className="grid gap-3 content-start">
        {!readOnly && (
          <AnswerForm
            pairId={pairId}
            today={today}
            onAnswered={(answer) =>
              setAnswers(
                [...answers.filter(({ on }) => on !== answer.on), answer].toSorted((a, b) =>
                  a.on < b.on ? -1 : 1,
                ),
              )
            }
          />
        )}
        {answers.length > 0 && (
          <section aria-label="Outings answered">
            <h3>Outings so far</h3>
            <ul>
              {answers.map(({ on, felt, gaitChanged, marks, isSeen }) => (
                <li key={on}>
                  {writtenDay(on)}: {FELT[felt]}
                  {gaitChanged && ', changed the gait'}
                  {marks && ', left marks'}
                  {isSeen && <span className="text-faint"> (looked at)</span>}
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

/** A clinician looked at the foot and the pair: what was found, and the plan goes on. */
function GoOn({ pairId, onSeen }: { pairId: string; onSeen: () => void }) {
  const [found, setFound] = useState('');
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const goOn = async () => {
    const result = await call('goOn', { params: { id: pairId }, body: { found } });
    setAnswer(result);
    if (result.ok) onSeen();
  };
  const problem = errorAt(answer, 'found') ?? (answer && !answer.ok ? failureInWords(answer) : undefined);
  return (
    <section aria-label="Looked at" className="bg-desk px-3 py-2 grid gap-2">
      <label>
        <span className="block">Foot and pair were looked at. What was found, and what was changed</span>
        <textarea
          className="w-full"
          rows={2}
          maxLength={600}
          value={found}
          aria-invalid={problem ? true : undefined}
          onChange={({ target }) => setFound(target.value)}
        />
        {problem && <span className="problem block">{problem}</span>}
      </label>
      <p>
        <button type="button" className="press" disabled={found.trim().length < 3} onClick={goOn}>
          It may go on
        </button>
      </p>
    </section>
  );
}

function AnswerForm({
  pairId,
  today,
  onAnswered,
}: {
  pairId: string;
  today: string;
  onAnswered: (answer: OutingAnswer) => void;
}) {
  const [on, setOn] = useState(today);
  const [felt, setFelt] = useState<Felt | undefined>();
  const [gaitChanged, setGait] = useState(false);
  const [marks, setMarks] = useState(false);
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const keep = async () => {
    if (!felt) return;
    const given = { on, felt, gaitChanged, marks };
    const result = await call('answerOuting', { params: { id: pairId }, body: given });
    setAnswer(result);
    if (!result.ok) return;
    onAnswered(given);
    setFelt(undefined);
    setGait(false);
    setMarks(false);
  };
  const day = errorAt(answer, 'on');
  return (
    <section aria-label="An outing in it" className="grid gap-2">
      <h3>An outing in it</h3>
      <Field label="Day" error={day}>
        {(control) => <DayInput value={on} max={today} onChange={setOn} {...control} />}
      </Field>
      <Choice label="How it felt" options={FELT} value={felt} onChange={setFelt} />
      <label>
        <input type="checkbox" checked={gaitChanged} onChange={({ target }) => setGait(target.checked)} />{' '}
        changed how they walk or run
      </label>
      <label>
        <input type="checkbox" checked={marks} onChange={({ target }) => setMarks(target.checked)} /> red
        marks that stayed half an hour
      </label>
      {!day && <FormProblem message={answer && !answer.ok ? failureInWords(answer) : undefined} />}
      <p>
        <button type="button" className="press press-main" disabled={!felt || !on} onClick={keep}>
          Keep the answer
        </button>
      </p>
    </section>
  );
}
