import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { type ConsentRecord, consentSchema } from '@/contract/patients-schema';
import { CONSENT_WAYS, CONSENTS, type ConsentKind, consentState } from '@/core/contact/consent';
import { keysOf } from '@/core/tables/keys-of';
import { Field, FormProblem } from '@/ui/fields/Field';
import { FormDay } from '@/ui/fields/FormDay';
import { writtenDay } from '@/ui/formats';
import { useApiForm } from '../use-api-form';

const STANDS = { given: 'agreed', withdrawn: 'taken back', 'not-asked': 'not asked' } as const;

interface Props {
  patientId: string;
  consents: readonly ConsentRecord[];
  today: string;
}

/** What a patient agreed to, kind by kind: since when, how, and whether it was taken back. */
export function Consents({ patientId, consents, today }: Props) {
  const [list, setList] = useState(consents);
  const [asked, setAsked] = useState<ConsentKind | null>(null);
  const [problem, setProblem] = useState<string>();
  const refresh = async () => {
    const answer = await call('consents', { params: { id: patientId } });
    if (answer.ok) setList(answer.value);
    setAsked(null);
  };
  const withdraw = async (id: string) => {
    const answer = await call('withdrawConsent', { params: { id }, body: { on: today } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    await refresh();
  };
  return (
    <section aria-labelledby="consents" className="mt-6 border-t border-rule pt-2">
      <h2 id="consents">Consents</h2>
      <ul>
        {keysOf(CONSENTS).map((kind) => {
          const state = consentState(list, kind);
          const mine = list.filter((entry) => entry.kind === kind);
          const inForce = mine.find(({ withdrawnOn }) => withdrawnOn === null);
          return (
            <li
              key={kind}
              className="grid md:grid-cols-[1fr_20rem_auto] gap-x-4 gap-y-1 items-baseline border-b border-line py-1.5"
            >
              <span>
                {CONSENTS[kind].label}
                <span className="block text-faint text-sm">{CONSENTS[kind].reads}</span>
              </span>
              <span>
                <strong className={state === 'given' ? '' : 'text-hold'}>{STANDS[state]}</strong>
                {mine.map((entry) => (
                  <span key={entry.id} className="block text-faint text-sm">
                    {writtenDay(entry.givenOn)}, {CONSENT_WAYS[entry.how]}
                    {entry.recordedBy && `, noted by ${entry.recordedBy}`}
                    {entry.withdrawnOn && `; taken back ${writtenDay(entry.withdrawnOn)}`}
                    {entry.note && `; ${entry.note}`}
                  </span>
                ))}
              </span>
              {inForce ? (
                <button
                  type="button"
                  className="press"
                  aria-label={`Taken back: ${CONSENTS[kind].label}`}
                  onClick={() => void withdraw(inForce.id)}
                >
                  Taken back
                </button>
              ) : (
                <button
                  type="button"
                  className="press"
                  aria-label={`Note: ${CONSENTS[kind].label}`}
                  onClick={() => setAsked(kind)}
                >
                  Note …
                </button>
              )}
              {asked === kind && (
                <ConsentForm patientId={patientId} kind={kind} today={today} onSaved={refresh} />
              )}
            </li>
          );
        })}
      </ul>
      <FormProblem message={problem} />
    </section>
  );
}

interface FormProps {
  patientId: string;
  kind: ConsentKind;
  today: string;
  onSaved: () => Promise<void>;
}

function ConsentForm({ patientId, kind, today, onSaved }: FormProps) {
  const { register, control, handleSubmit, refuse, formState } = useApiForm(consentSchema, {
    kind,
    how: 'spoken',
    givenOn: today,
    note: '',
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async (body) => {
    const answer = await call('addConsent', { params: { id: patientId }, body });
    if (answer.ok) await onSaved();
    else refuse(answer);
  });
  return (
    <form onSubmit={submit} noValidate className="col-span-3 flex flex-wrap gap-3 items-end bg-desk p-3 mt-1">
      <Field label="On" error={errors.givenOn?.message}>
        {(attributes) => <FormDay control={control} name="givenOn" {...attributes} />}
      </Field>
      <Field label="How" error={errors.how?.message}>
        {(control) => (
          <select {...register('how')} {...control}>
            {keysOf(CONSENT_WAYS).map((how) => (
              <option key={how} value={how}>
                {CONSENT_WAYS[how]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Note, where there is one" error={errors.note?.message}>
        {(control) => <input className="w-64" {...register('note')} {...control} />}
      </Field>
      <button type="submit" className="press press-main" disabled={isSubmitting}>
        Agreed
      </button>
      <FormProblem message={errors.root?.message} />
    </form>
  );
}
