import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import {
  invitationSchema,
  PERSON_ACTIONS,
  PERSON_STATES,
  type PersonAction,
  type PersonRecord,
  ROLE_NAMES,
} from '@/contract/people-schema';
import type { Role } from '@/contract/routes';
import { keysOf } from '@/core/tables/keys-of';
import { Field, FormProblem } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { writtenDay } from '@/ui/formats';
import { useApiForm } from '../use-api-form';

/** Everybody of the clinic: who may do what, who is let in, and how they get back in. */
export function People({ people, me }: { people: PersonRecord[]; me: string }) {
  const [list, setList] = useState(people);
  const [problem, setProblem] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const refresh = async () => {
    const answer = await call('people', {});
    if (answer.ok) setList(answer.value);
  };
  const put = (answer: Awaited<ReturnType<typeof call<'changePerson'>>>, said: string) => {
    setProblem(answer.ok ? null : failureInWords(answer));
    setDone(answer.ok ? said : null);
    if (answer.ok)
      setList((before) => before.map((entry) => (entry.id === answer.value.id ? answer.value : entry)));
  };
  const act = async ({ id, name }: PersonRecord, action: PersonAction) =>
    put(
      await call('actOnPerson', { params: { id }, body: { action } }),
      `${name}: ${PERSON_ACTIONS[action].toLowerCase()}, done.`,
    );
  const change = async (
    { id, name }: PersonRecord,
    body: { role?: Role; state?: 'active' | 'suspended' | 'left' },
  ) => put(await call('changePerson', { params: { id }, body }), `${name}: changed.`);
  return (
    <>
      <div role="status" className="min-h-6">
        {done}
      </div>
      <FormProblem message={problem ?? undefined} />
      <ul aria-label="Colleagues">
        {list.map((person) => (
          <li
            key={person.id}
            className="grid md:grid-cols-[1fr_11rem_1fr_15rem] gap-4 items-start border-b border-line py-2"
          >
            <div>
              <strong>{person.name}</strong>
              {person.id === me && <span className="text-faint"> (you)</span>}
              <span className="block text-faint text-sm">{person.email}</span>
            </div>
            <Select
              label={`Role of ${person.name}`}
              quiet
              options={ROLE_NAMES}
              value={person.role}
              onChange={(role) => role && role !== person.role && void change(person, { role })}
            />
            <div className="text-sm">
              <span className={person.state === 'active' ? '' : 'text-hold'}>
                {PERSON_STATES[person.state]}
              </span>
              <span className="text-faint">
                {person.lastSignInAt ? `, last here ${writtenDay(person.lastSignInAt)}` : ', not here yet'}
                {person.elsewhere
                  ? ', signs in with an account of another clinic'
                  : person.secondFactor
                    ? ', with a second factor'
                    : ', password only'}
                {person.sessions > 0 &&
                  `, open in ${person.sessions === 1 ? 'one browser' : `${person.sessions} browsers`}`}
              </span>
            </div>
            <PersonMenu person={person} isMe={person.id === me} act={act} change={change} />
          </li>
        ))}
      </ul>
      <Invite onInvited={refresh} />
    </>
  );
}

interface MenuProps {
  person: PersonRecord;
  isMe: boolean;
  act: (person: PersonRecord, action: PersonAction) => void;
  change: (person: PersonRecord, change: { state: 'active' | 'suspended' | 'left' }) => void;
}

function PersonMenu({ person, isMe, act, change }: MenuProps) {
  const { state, name } = person;
  const button = (label: string, onClick: () => void) => (
    <button
      type="button"
      className="press press-quiet text-left"
      aria-label={`${label}: ${name}`}
      onClick={onClick}
    >
      {label}
    </button>
  );
  return (
    <details className="text-sm">
      <summary className="cursor-pointer">More</summary>
      <div className="grid">
        {person.sessions > 0 &&
          button(PERSON_ACTIONS['sign-out-everywhere'], () => act(person, 'sign-out-everywhere'))}
        {!person.elsewhere &&
          (state === 'active' || state === 'invited') &&
          button(state === 'invited' ? 'Send the invitation again' : PERSON_ACTIONS['reset-password'], () =>
            act(person, 'reset-password'),
          )}
        {!person.elsewhere &&
          person.secondFactor &&
          button(PERSON_ACTIONS['drop-second-factor'], () => act(person, 'drop-second-factor'))}
        {!isMe && state === 'active' && button('Suspend', () => change(person, { state: 'suspended' }))}
        {!isMe &&
          (state === 'suspended' || state === 'left') &&
          button('Take back', () => change(person, { state: 'active' }))}
        {!isMe && state !== 'left' && button('Has left', () => change(person, { state: 'left' }))}
      </div>
    </details>
  );
}

function Invite({ onInvited }: { onInvited: () => void }) {
  const { register, handleSubmit, refuse, reset, formState } = useApiForm(invitationSchema, {
    name: '',
    email: '',
    role: 'practitioner' as Role,
  });
  const { errors, isSubmitting } = formState;
  const [invited, setInvited] = useState<string | null>(null);
  const submit = handleSubmit(async (person) => {
    const answer = await call('invite', { body: person });
    if (!answer.ok) return refuse(answer);
    setInvited(`${person.name} gets a letter at ${person.email}.`);
    reset();
    onInvited();
  });
  return (
    <section aria-labelledby="invite" className="mt-6 border-t border-rule pt-2">
      <h2 id="invite">Invite a colleague</h2>
      <form onSubmit={submit} noValidate className="flex flex-wrap gap-3 items-start">
        <Field label="Name" error={errors.name?.message}>
          {(control) => <input {...register('name')} {...control} />}
        </Field>
        <Field label="E-mail" error={errors.email?.message}>
          {(control) => <input type="email" className="w-64" {...register('email')} {...control} />}
        </Field>
        <Field label="Role" error={errors.role?.message}>
          {(control) => (
            <select {...register('role')} {...control}>
              {keysOf(ROLE_NAMES).map((role) => (
                <option key={role} value={role}>
                  {ROLE_NAMES[role]}
                </option>
              ))}
            </select>
          )}
        </Field>
        <button type="submit" className="press press-main self-end" disabled={isSubmitting}>
          Send the invitation
        </button>
      </form>
      <FormProblem message={errors.root?.message} />
      {invited && <p role="status">{invited}</p>}
    </section>
  );
}
