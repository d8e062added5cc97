import { useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { HouseRulesVersion } from '@/contract/records';
import { type HouseChange, ruleOfChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { conditionInWords, wishInWords } from '@/core/prescribe/explain/rule-in-words';
import { Field } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { OutcomeTimes } from './OutcomeTimes';
import { OwnRuleForm } from './OwnRuleForm';
import { PreviewPanel } from './PreviewPanel';
import { ProsthesisLimits } from './ProsthesisLimits';
import { SignStrengths } from './SignStrengths';
import { UsualRoom } from './UsualRoom';
import type { HouseDraft } from './use-house-draft';

interface Props {
  versions: readonly HouseRulesVersion[];
  draft: HouseDraft;
  onDraft: (part: Partial<HouseDraft>) => void;
  onAdd: (change: HouseChange) => void;
  onForget: () => void;
  onSaved: (version: HouseRulesVersion) => void;
  mayChange: boolean;
}

const findingOf = (id: string) => RULES.find((rule) => rule.id === id)?.finding ?? id;

/** The clinic's departures: those in force, the draft with its effect on past patients, and every earlier version. */
export function HouseRulesPanel(props: Props) {
  const { versions, draft, onDraft, onAdd, mayChange } = props;
  const [writing, setWriting] = useState(false);
  return (
    <div className="grid md:grid-cols-[minmax(0,1fr)_16rem] gap-8 items-start">
      <div className="grid gap-4">
        <section aria-label="Draft" className="grid gap-2">
          <h2>Draft, from version {draft.basedOn}</h2>
          {draft.changes.length === 0 && (
            <p className="text-faint">
              Nothing is changed. Change a rule under Rules, or add one of your own here.
            </p>
          )}
          <ul className="grid gap-1">
            {draft.changes.map((change) => (
              <li
                key={ruleOfChange(change)}
                className="border-b border-line pb-1 flex gap-3 items-baseline justify-between"
              >
                <ChangeInWords change={change} />
                <button
                  type="button"
                  className="press press-quiet shrink-0"
                  onClick={() => onDraft({ changes: draft.changes.filter((entry) => entry !== change) })}
                >
                  Take out
                </button>
              </li>
            ))}
          </ul>
          {writing ? (
            <OwnRuleForm
              onDone={(change) => {
                if (change) onAdd(change);
                setWriting(false);
              }}
            />
          ) : (
            <p>
              <button type="button" className="press" onClick={() => setWriting(true)}>
                Add a rule of our own …
              </button>
            </p>
          )}
          <Settings draft={draft} onDraft={onDraft} />
          <UsualRoom
            room={draft.settings.usualRoom}
            onChange={(usualRoom) => onDraft({ settings: { ...draft.settings, usualRoom } })}
          />
          <OutcomeTimes
            schedule={draft.settings.outcomes}
            onChange={(outcomes) => onDraft({ settings: { ...draft.settings, outcomes } })}
          />
          <ProsthesisLimits
            settings={draft.settings.prosthesis}
            onChange={(prosthesis) => onDraft({ settings: { ...draft.settings, prosthesis } })}
          />
          <SignStrengths
            strengths={draft.settings.signStrengths}
            onChange={(signStrengths) => onDraft({ settings: { ...draft.settings, signStrengths } })}
          />
        </section>
        <PreviewPanel changes={draft.changes} settings={draft.settings} />
        {mayChange ? (
          <PutInForce {...props} />
        ) : (
          <p className="text-faint">The clinic’s lead puts house rules in force.</p>
        )}
      </div>
      <Versions versions={versions} />
    </div>
  );
}

function ChangeInWords({ change }: { change: HouseChange }) {
  if (change.kind === 'own')
    return (
      <p>
        <strong>{change.rule.finding}</strong>{' '}
        <span className="text-faint">our own, {change.rule.strength}</span>. When{' '}
        {conditionInWords(change.rule.when)}: {change.rule.wishes.map(wishInWords).join('; ')}.{' '}
        {change.rule.because} <span className="text-faint">({change.reason})</span>
      </p>
    );
  return (
    <p>
      <strong>{findingOf(change.rule)}</strong>{' '}
      {change.kind === 'off' ? 'switched off' : `made ${change.strength}`}{' '}
      <span className="text-faint">({change.reason})</span>
    </p>
  );
}

/** Figures that the reference holds too vaguely to quote; the clinic may set its own. */
function Settings({ draft, onDraft }: Pick<Props, 'draft' | 'onDraft'>) {
  const { kneePerMmDrop } = draft.settings;
  const put = (end: 'low' | 'high', text: string) => {
    const value = Number(text);
    if (text === '' || !Number.isFinite(value)) {
      onDraft({ settings: { ...draft.settings, kneePerMmDrop: undefined } });
      return;
    }
    const now = kneePerMmDrop ?? { low: value, high: value };
    onDraft({ settings: { ...draft.settings, kneePerMmDrop: { ...now, [end]: value } } });
  };
  return (
    <fieldset className="flex gap-3 items-end">
      <legend className="text-faint text-sm">
        What if: load at the knee for each millimetre of drop, per cent. Empty: direction only
      </legend>
      {(['low', 'high'] as const).map((end) => (
        <Field key={end} label={end === 'low' ? 'from' : 'to'}>
          {({ id }) => (
            <input
              id={id}
              className="figure w-20 text-right"
              type="number"
              min={0}
              max={10}
              step={0.1}
              value={kneePerMmDrop?.[end] ?? ''}
              onChange={({ target }) => put(end, target.value)}
            />
          )}
        </Field>
      ))}
    </fieldset>
  );
}

function PutInForce({ draft, onDraft, onForget, onSaved }: Props) {
  const [answer, setAnswer] = useState<Answer<HouseRulesVersion, HouseRulesVersion> | null>(null);
  const save = async () => {
    const result = await call('saveHouseRules', { body: { ...draft, changes: [...draft.changes] } });
    setAnswer(result);
    if (result.ok) onSaved(result.value);
  };
  const stands =
    answer && !answer.ok && answer.kind === 'refused' && answer.problem.code === 'conflict'
      ? answer.problem.current
      : undefined;
  return (
    <form
      className="border-t border-rule pt-3 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field label="What this version is for" error={errorAt(answer, 'note')}>
        {(control) => (
          <input
            className="w-full"
            maxLength={600}
            value={draft.note}
            onChange={({ target }) => onDraft({ note: target.value })}
            {...control}
          />
        )}
      </Field>
      <p className="flex gap-3 items-center">
        <button type="submit" className="press press-main">
          Put in force
        </button>
        <button type="button" className="press" onClick={onForget}>
          Drop the draft
        </button>
        {answer?.ok && (
          <span role="status">Version {answer.value.version} is in force. What was issued stays.</span>
        )}
      </p>
      {answer && !answer.ok && (
        <div role="alert" className="problem">
          <p>{failureInWords(answer)}</p>
          {stands && (
            <button type="button" className="press" onClick={() => onDraft({ basedOn: stands.version })}>
              Base this draft on version {stands.version}: it replaces those rules
            </button>
          )}
        </div>
      )}
    </form>
  );
}

function Versions({ versions }: { versions: readonly HouseRulesVersion[] }) {
  return (
    <section aria-label="Versions">
      <h2>Versions</h2>
      {versions.length === 0 && <p className="text-faint">The knowledge is in force as shipped.</p>}
      <ol>
        {versions.map((version) => (
          <li key={version.version} className="border-t border-line py-2">
            <p>
              <strong>{version.version}</strong>, {writtenDay(version.madeAt)}, {version.madeBy}:{' '}
              {version.note}
            </p>
            <details>
              <summary className="cursor-pointer text-sm">
                {version.changes.length} {version.changes.length === 1 ? 'change' : 'changes'}
              </summary>
              <ul className="text-sm grid gap-1 pt-1">
                {version.changes.map((change) => (
                  <li key={ruleOfChange(change)}>
                    <ChangeInWords change={change} />
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ol>
    </section>
  );
}
