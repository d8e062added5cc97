import {
  URGENCY_LABEL,
  WARNING_ACTIONS,
  WARNING_SIGNS,
  type WarningAction,
  type WarningSignId,
} from '@/core/safety/warning-signs';
import type { StepContents } from '@/core/visit/contents';
import { Choice } from '@/ui/fields/Choice';
import { useVisit } from '../visit-context';
import { AnkleRules } from './AnkleRules';

/** Signs that stop a fitting: which are present, and what was done about each. */
export function Warnings() {
  const { store, state, warnings } = useVisit();
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
  const answer = (sign: WarningSignId, part: { action?: WarningAction; note?: string }) =>
    save({ present: present.map((entry) => (entry.sign === sign ? { ...entry, ...part } : entry)) });
  return (
    <div className="grid gap-3">
      <p className="max-w-prose">
        Mark what is present. Each marked sign needs what was done and a note before anything is handed over.
        Local pathways and your own scope come first.
      </p>
      <ul>
        {WARNING_SIGNS.map((sign) => {
          const entry = present.find((candidate) => candidate.sign === sign.id);
          return (
            <li key={sign.id} className="border-b border-line py-1.5">
              <label className="grid grid-cols-[1.2rem_1fr_16rem] gap-2 items-baseline">
                <input type="checkbox" checked={entry !== undefined} onChange={() => toggle(sign.id)} />
                <span className={entry ? 'font-medium' : ''}>
                  {sign.sign}
                  {suggested.includes(sign.id) && !entry && (
                    <span className="text-hold block">
                      The findings point at this: mark it, then refer or exclude it.
                    </span>
                  )}
                </span>
                <span className="text-faint">
                  {sign.suspect}; <span className="text-ink">{URGENCY_LABEL[sign.urgency]}</span>
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
                    onChange={(action) => answer(sign.id, { action: action })}
                  />
                  <label className="grow">
                    <span className="block text-faint">Note (needed)</span>
                    <input
                      className="w-full"
                      maxLength={600}
                      value={entry.note ?? ''}
                      onChange={(event) => answer(sign.id, { note: event.target.value })}
                    />
                  </label>
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
    </div>
  );
}
