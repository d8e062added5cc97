import { useState } from 'react';
import type { Choices } from '@/api/visit-schema';
import { SCHOOL_CHOICES, type SchoolChoice } from '@/core/knowledge/schools';
import { recallMark, SOURCES, type SourceId } from '@/core/knowledge/sources';
import { definitionOf, FINDINGS } from '@/core/picture/findings';
import {
  directionOf,
  firmnessWord,
  isTense,
  movedInWords,
  targetInWords,
  wantInWords,
} from '@/core/prescribe/explain';
import type { Push, Target } from '@/core/prescribe/specification';
import { featureOf } from '@/core/shoe/features';
import { Choice } from '@/ui/controls/Choice';
import { MarkShape } from '@/ui/drawing/Marks';
import { leading } from '../SpecificationPanel';
import { STEP_NAME } from '../Spine';
import { useVisit } from '../visit-context';

/** Why the shoe is what it is: every target with who pushed it, how far and why; what is worth finding out next. */
export function Reason() {
  const { specification, store, state, school, visit } = useVisit();
  const choices = state.steps.reason.content as Choices;
  const [chosen, setChosen] = useState<string | null>(null);
  const targets = leading(specification);
  const target = targets.find((entry) => entry.feature === chosen) ?? targets.find(isTense) ?? targets[0];
  const save = (part: Choices) => store.change('reason', { ...choices, ...part });
  const schools = Object.fromEntries(Object.entries(SCHOOL_CHOICES).map(([id, entry]) => [id, entry.label]));
  return (
    <div className="grid gap-3">
      <div className="flex gap-4 items-end">
        <Choice
          label="School"
          options={schools}
          value={school}
          onChange={(value) => save({ school: (value as SchoolChoice | undefined) ?? visit.clinic.school })}
        />
        <p className="text-faint text-xs max-w-lg">{SCHOOL_CHOICES[school].says}</p>
      </div>
      {specification.deadlocks.map((deadlock) => (
        <p key={deadlock.feature} role="alert" className="problem">
          Deadlock. {deadlock.message}
        </p>
      ))}
      {target ? (
        <div className="grid grid-cols-[15rem_1fr] gap-5">
          <ul aria-label="Targets to explain" className="border-r border-line pr-2">
            {targets.map((entry) => (
              <li key={entry.feature}>
                <button
                  type="button"
                  aria-pressed={entry === target}
                  onClick={() => setChosen(entry.feature)}
                  className="w-full text-left py-0.5 px-1 flex justify-between gap-2 cursor-pointer aria-pressed:bg-desk aria-pressed:font-semibold"
                >
                  <span>{featureOf(entry.feature).label}</span>
                  {isTense(entry) && (
                    <span className="text-hold">
                      <MarkShape mark="tension" />
                    </span>
                  )}
                </button>
              </li>
            ))}
          </ul>
          <div className="grid gap-3 content-start">
            <Explanation target={target} choices={choices} onSetAside={(setAside) => save({ setAside })} />
            <OpenQuestions />
          </div>
        </div>
      ) : (
        <>
          <p className="text-faint">Nothing asks for anything yet: go back and examine.</p>
          <OpenQuestions />
        </>
      )}
      <label className="block">
        <span className="block text-faint">Note to this specification</span>
        <textarea
          className="w-full"
          rows={1}
          maxLength={2000}
          value={choices.note ?? ''}
          onChange={(event) => save({ note: event.target.value })}
        />
      </label>
    </div>
  );
}

function Explanation({
  target,
  choices,
  onSetAside,
}: {
  target: Target;
  choices: Choices;
  onSetAside: (setAside: NonNullable<Choices['setAside']>) => void;
}) {
  const aside = choices.setAside ?? [];
  const put = (rule: string, reason: string) =>
    onSetAside([
      ...aside.filter((entry) => entry.rule !== rule || entry.feature !== target.feature),
      { rule, feature: target.feature, reason },
    ]);
  const back = (rule: string) =>
    onSetAside(aside.filter((entry) => entry.rule !== rule || entry.feature !== target.feature));
  return (
    <section aria-live="polite">
      <h2>
        {featureOf(target.feature).label}: {targetInWords(target)}
      </h2>
      <p className="text-faint">
        {featureOf(target.feature).plain}; {firmnessWord(target)}
        {isTense(target) &&
          `; tension ${Math.round(target.tension * 100)} %: the pushes pull apart, this is the compromise`}
      </p>
      <ul className="mt-2 grid gap-2">
        {target.pushes.map((push) => (
          <PushLine
            key={push.rule + push.strength + JSON.stringify(push.want)}
            target={target}
            push={push}
            onSetAside={(reason) => put(push.rule, reason)}
            onBack={() => back(push.rule)}
          />
        ))}
      </ul>
    </section>
  );
}

function PushLine({
  target,
  push,
  onSetAside,
  onBack,
}: {
  target: Target;
  push: Push;
  onSetAside: (reason: string) => void;
  onBack: () => void;
}) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const isBody = push.sides.length === 2;
  return (
    <li className={`border-l-4 pl-3 ${push.setAside ? 'border-line text-faint' : 'border-accent'}`}>
      <p>
        <MarkShape mark={directionOf(target, push)} /> <strong>{push.finding}</strong>
        {!isBody && <span className="text-faint"> ({push.sides[0]})</span>} wants{' '}
        {wantInWords(target.feature, push.want)}
        <span className="text-faint">; {movedInWords(target, push)}</span>
      </p>
      <p className={push.setAside ? 'line-through' : ''}>{push.because}</p>
      <p className="text-faint text-xs">
        {push.strength}, evidence {push.evidence}
        {push.schools.length > 0 && `, ${push.schools.join(' and ')} school`}
        {push.contestedBy.length > 0 && (
          <>
            {' '}
            <MarkShape mark="contested" /> contested
          </>
        )}
        {'. '}
        {push.sources.length === 0
          ? 'Common practice.'
          : push.sources
              .map(
                (id) =>
                  `${SOURCES[id as SourceId].cite}: ${SOURCES[id as SourceId].says} (${recallMark(SOURCES[id as SourceId].recall)})`,
              )
              .join(' ')}
      </p>
      {push.caution && <p className="text-hold text-xs">{push.caution}</p>}
      {push.setAside !== undefined ? (
        <p>
          Set aside: {push.setAside}{' '}
          <button type="button" className="press press-quiet" onClick={onBack}>
            Take back
          </button>
        </p>
      ) : asking ? (
        <form
          className="flex gap-2 items-end mt-1"
          onSubmit={(event) => {
            event.preventDefault();
            onSetAside(reason.trim());
            setAsking(false);
          }}
        >
          <label className="grow">
            <span className="block text-faint text-xs">Reason (kept with the specification)</span>
            <input
              className="w-full"
              required
              minLength={3}
              maxLength={600}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
          </label>
          <button type="submit" className="press">
            Set aside
          </button>
        </form>
      ) : (
        <button type="button" className="press press-quiet text-xs" onClick={() => setAsking(true)}>
          Set aside with a reason
        </button>
      )}
    </li>
  );
}

/** How many open questions are worth a look at once. */
const SHOWN = 5;

function OpenQuestions() {
  const { specification } = useVisit();
  const open = specification.open
    .filter((question) => definitionOf(question.finding).step !== null)
    .slice(0, SHOWN);
  if (open.length === 0) return null;
  return (
    <section>
      <h2>Worth finding out next</h2>
      <ul>
        {open.map((question) => {
          const step = FINDINGS[question.finding].step;
          return (
            <li key={question.finding}>
              <MarkShape mark="unknown" /> {FINDINGS[question.finding].label}
              {question.sides.length === 1 && ` (${question.sides[0]})`}: not examined;{' '}
              {question.rules.length} {question.rules.length === 1 ? 'rule waits' : 'rules wait'} for it.{' '}
              {step && <a href={`#${step}`}>{STEP_NAME[step]}</a>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
