import { mayDo } from '@/contract/permissions';
import { hasAtRiskFoot } from '@/core/safety/suggested-warnings';
import {
  ANSWER_FIELDS,
  type AnswerField,
  type SeenWarning,
  URGENCY_LABEL,
  type Urgency,
  urgencyOf,
  WARNING_ACTIONS,
  WARNING_SIGNS,
  type WarningSignId,
} from '@/core/safety/warning-signs';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { StepContents } from '@/core/visit/contents';
import { Choice } from '@/ui/fields/Choice';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { useExamined } from '../visit-context';
import { AnkleRules } from './AnkleRules';

/** Signs that stop a fitting: which are present, and what was done about each. */
export function Warnings() {
  const { store, state, warnings, picture, visit } = useExamined();
  const mayAnswer = mayDo(visit.readerRole, 'answerWarnings');
  const isAtRisk = hasAtRiskFoot(picture);
  const check = state.steps.warnings.content;
  const { suggested, open } = warnings;
  const present = check.present ?? [];
  const save = (next: Partial<StepContents['warnings']>) => store.change('warnings', { ...check, ...next });
  const toggle = (sign: WarningSignId) =>
    save({
      present: present.some((entry) => entry.sign === sign)
        ? present.filter((entry) => entry.sign !== sign)
        : [...present, { sign }],
    });
  const answer = (sign: WarningSignId, part: Partial<SeenWarning>) =>
    save({
      present: present.map((entry) => (entry.sign === sign ? omitUndefined({ ...entry, ...part }) : entry)),
    });
  return (
    <fieldset className="grid gap-3" disabled={!mayAnswer}>
      {!mayAnswer && (
        <p className="text-hold">
          A practitioner or the lead answers these. Tell them of any sign that you see before you go on.
        </p>
      )}
      <p className="max-w-prose">
        Mark what is present. Say for each what was done before anything is handed over; a same-day sign holds
        the pair until it is cleared. Local pathways and your own scope come first.
      </p>
      <ul>
        {WARNING_SIGNS.map((sign) => {
          const entry = present.find((candidate) => candidate.sign === sign.id);
          const reasons = suggested.filter((suggestion) => suggestion.sign === sign.id);
          return (
            <li key={sign.id} className="border-b border-line py-1.5">
              <label className="grid grid-cols-[1.2rem_1fr_16rem] gap-2 items-baseline">
                <input type="checkbox" checked={entry !== undefined} onChange={() => toggle(sign.id)} />
                <span className={entry ? 'font-medium' : ''}>
                  {sign.sign}
                  {reasons.map(({ side, because }) => (
                    <span key={side + because} className="text-hold block">
                      {side === 'left' ? 'Left' : 'Right'}: {because}.
                    </span>
                  ))}
                  {reasons.length > 0 && !entry && (
                    <span className="text-hold block font-medium">Mark it, then refer or exclude it.</span>
                  )}
                </span>
                <span className="text-faint">
                  {sign.suspect};{' '}
                  <span className="text-ink">{URGENCY_LABEL[urgencyOf(sign.id, isAtRisk)]}</span>
                  <span className="block text-xs">{sign.mark}</span>
                </span>
              </label>
              {sign.id === 'fracture-rule' && (
                <details className="pl-7" open={check.ankle !== undefined}>
                  <summary className="cursor-pointer">Ankle-injury rules, step by step</summary>
                  <AnkleRules answers={check.ankle ?? {}} onChange={(ankle) => save({ ankle })} />
                </details>
              )}
              {entry && (
                <div className="pl-7 flex flex-wrap gap-4 items-end pt-1">
                  <Choice
                    label="What was done"
                    options={WARNING_ACTIONS}
                    value={entry.action}
                    onChange={(action) => answer(sign.id, { action })}
                  />
                  {entry.action && (
                    <AnswerFields
                      entry={entry}
                      urgency={urgencyOf(sign.id, isAtRisk)}
                      onChange={(part) => answer(sign.id, part)}
                    />
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <label className="flex gap-2 items-center font-medium">
        <input
          type="checkbox"
          checked={check.checked ?? false}
          onChange={(event) => save({ checked: event.target.checked })}
        />
        I have checked for all of these; none but the marked ones are present.
      </label>
      <p role="status" className={open.length > 0 ? 'problem' : 'text-faint'}>
        {open.length > 0
          ? open.map((block) => block.message).join(' ')
          : 'Nothing here blocks the hand-over.'}
      </p>
    </fieldset>
  );
}

interface AnswerProps {
  entry: SeenWarning;
  urgency: Urgency;
  onChange: (part: Partial<SeenWarning>) => void;
}

/** What the chosen answer must say; after a same-day sign also who cleared it. */
function AnswerFields({ entry, urgency, onChange }: AnswerProps) {
  if (!entry.action) return null;
  const text = (field: AnswerField | 'clearedBy', label: string) => (
    <Field key={field} label={label} className="grow">
      {(control) => (
        <input
          className="w-full"
          maxLength={600}
          value={entry[field] ?? ''}
          onChange={({ target }) => onChange({ [field]: target.value || undefined })}
          {...control}
        />
      )}
    </Field>
  );
  const day = (field: 'on' | 'clearedOn', label: string) => (
    <Field key={field} label={label}>
      {(control) => (
        <DayInput
          value={entry[field] ?? ''}
          onChange={(day) => onChange({ [field]: day || undefined })}
          {...control}
        />
      )}
    </Field>
  );
  return (
    <>
      {ANSWER_FIELDS[entry.action].map(({ field, label }) =>
        field === 'on' ? day(field, label) : text(field, label),
      )}
      {urgency === 'same-day' && entry.action !== 'excluded' && (
        <>
          {text('clearedBy', 'Cleared by')}
          {day('clearedOn', 'Cleared on')}
        </>
      )}
    </>
  );
}
