import { useState } from 'react';
import type { Side } from '@/core/findings/finding-kinds';
import { ruledTarget } from '@/core/prescribe/engine/decide';
import { decisionProblems } from '@/core/prescribe/engine/decision-problems';
import type { Decision, DecisionKind, Target } from '@/core/prescribe/engine/specification';
import { DECISION_WORD, targetInWords } from '@/core/prescribe/explain/in-words';
import { axisOf, type NumericFeature } from '@/core/shoe/feature-kinds';
import { featureOf, printFeature } from '@/core/shoe/features';
import { keysOf } from '@/core/tables/keys-of';
import { UNIT_LABEL } from '@/core/units/parse';
import { Field } from '@/ui/fields/Field';
import { useChoices } from './use-choices';

const KINDS: Record<DecisionKind, string> = {
  pin: 'Pin',
  loosen: 'Loosen',
  overrule: 'Overrule',
};
const MEANS: Record<DecisionKind, string> = {
  pin: 'It stays at this value whatever is found later.',
  loosen: 'It may lie anywhere in this band, and hardly counts when shoes are ranked.',
  overrule: 'This takes the place of what the rules say; what they said stays visible.',
};

interface Props {
  target: Target;
  side: Side | undefined;
}

/** The clinician's word on a target: pin, loosen, overrule, each with a reason; and back again. */
export function Decide({ target, side }: Props) {
  const { decide, undecide, readOnly } = useChoices();
  const [kind, setKind] = useState<DecisionKind | null>(null);
  const { decision } = target;
  const ruled = ruledTarget(target);
  const place = { feature: target.feature, ...(side ? { side } : {}) };
  if (decision)
    return (
      <p>
        <strong>{DECISION_WORD[decision.kind]}</strong>: {decision.reason}.{' '}
        {ruled && <>The rules say {targetInWords(ruled)}. </>}
        {decision.refused && <span className="problem">{decision.refused} </span>}
        {!readOnly && (
          <button type="button" className="press press-quiet" onClick={() => undecide(place)}>
            Back to the rules
          </button>
        )}
      </p>
    );
  if (readOnly) return null;
  return kind ? (
    <DecideForm
      key={kind}
      target={target}
      place={place}
      kind={kind}
      onDone={(made) => {
        if (made) decide(made);
        setKind(null);
      }}
    />
  ) : (
    <p className="flex gap-1 text-sm">
      {keysOf(KINDS).map((each) => (
        <button key={each} type="button" className="press" title={MEANS[each]} onClick={() => setKind(each)}>
          {KINDS[each]} …
        </button>
      ))}
    </p>
  );
}

function DecideForm({
  target,
  place,
  kind,
  onDone,
}: {
  target: Target;
  place: Pick<Decision, 'feature' | 'side'>;
  kind: DecisionKind;
  onDone: (decision: Decision | null) => void;
}) {
  const feature = featureOf(target.feature);
  const [from, setFrom] = useState(
    target.kind === 'band' ? String(kind === 'pin' ? target.best : target.band.from) : '',
  );
  const [to, setTo] = useState(
    target.kind === 'band' ? String(kind === 'pin' ? target.best : target.band.to) : '',
  );
  const [options, setOptions] = useState<readonly string[]>(
    target.kind === 'options' ? (kind === 'pin' ? [target.best] : target.options) : [],
  );
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const submit = () => {
    const number = (text: string) => Number(text.trim().replace(',', '.'));
    const made = {
      kind,
      reason: reason.trim(),
      ...(feature.kind === 'choice'
        ? { options: [...options] }
        : { band: { from: number(from), to: number(kind === 'pin' ? from : to) } }),
    };
    const decision: Decision = { ...place, ...made };
    const found = decisionProblems(decision);
    if (found.length === 0) return onDone(decision);
    setProblems(Object.fromEntries(found.map(({ field, message }) => [field, message])));
  };
  // The reason says at its own field what is wrong with it.
  const others = Object.entries(problems).filter(([field]) => field !== 'reason');
  return (
    <form
      aria-label={`${KINDS[kind]} ${feature.label.toLowerCase()}`}
      className="flex flex-wrap gap-x-3 gap-y-1 items-end border-l-4 border-accent pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <p className="basis-full text-faint text-xs">{MEANS[kind]}</p>
      {feature.kind === 'choice' ? (
        <fieldset className="flex flex-wrap gap-x-3" aria-invalid={problems.options ? true : undefined}>
          <legend className="text-faint text-xs">Options</legend>
          {Object.entries(feature.options).map(([option, label]) => (
            <label key={option} className="flex gap-1 items-center">
              <input
                type={kind === 'pin' ? 'radio' : 'checkbox'}
                name="option"
                checked={options.includes(option)}
                onChange={() =>
                  setOptions(
                    kind === 'pin'
                      ? [option]
                      : options.includes(option)
                        ? options.filter((entry) => entry !== option)
                        : [...options, option],
                  )
                }
              />
              {label}
            </label>
          ))}
        </fieldset>
      ) : (
        (kind === 'pin' ? (['At'] as const) : (['From', 'To'] as const)).map((end) => (
          <BandEnd
            key={end}
            label={end}
            feature={feature}
            value={end === 'To' ? to : from}
            wrong={problems.band !== undefined}
            onChange={end === 'To' ? setTo : setFrom}
          />
        ))
      )}
      <Field label="Reason (kept with the specification)" className="grow" error={problems.reason}>
        {(control) => (
          <input
            className="w-full"
            value={reason}
            maxLength={600}
            onChange={({ target }) => setReason(target.value)}
            {...control}
          />
        )}
      </Field>
      <button type="submit" className="press press-main">
        {KINDS[kind]}
      </button>
      <button type="button" className="press" onClick={() => onDone(null)}>
        Leave it
      </button>
      {others.length > 0 && (
        <p role="alert" className="problem basis-full">
          {others.map(([, message]) => message).join(' ')}
        </p>
      )}
      {feature.kind === 'scale' && (
        <p className="basis-full text-faint text-xs">
          The scale runs from {printFeature(target.feature, axisOf(feature).from)} to{' '}
          {printFeature(target.feature, axisOf(feature).to)}.
        </p>
      )}
    </form>
  );
}

/** One end of a band: a figure in the feature's unit, or one of its named grades. */
function BandEnd({
  label,
  feature,
  value,
  wrong,
  onChange,
}: {
  label: string;
  feature: NumericFeature;
  value: string;
  wrong: boolean;
  onChange: (value: string) => void;
}) {
  return (
    <Field label={feature.kind === 'scale' ? `${label}, ${UNIT_LABEL[feature.unit]}` : label}>
      {({ id }) =>
        feature.kind === 'grade' ? (
          <select id={id} value={Math.round(Number(value))} onChange={({ target }) => onChange(target.value)}>
            {feature.anchors.map((anchor, at) => (
              <option key={anchor} value={at + 1}>
                {anchor}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            className="figure w-20 text-right"
            inputMode="decimal"
            value={value}
            aria-invalid={wrong || undefined}
            onChange={({ target }) => onChange(target.value)}
          />
        )
      }
    </Field>
  );
}
