import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { z } from 'zod';
import type {
  invitationSchema,
  MailRecord,
  PersonAction,
  PersonRecord,
  personChangeSchema,
} from '@/contract/people-schema';
import { linkDigest, newLinkToken } from '../../auth/link';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { siteOrigin } from '../../http/site-origin';
import { nudge } from '../../jobs/jobs';
import { type QueuedLetter, queueMail } from '../../mail/queue';
import { readClinic } from './clinic';
import { endSessionsAt } from './sessions';

const LINK_DAYS = { invitation: 7, reset: 1 } as const;

/** Everybody of the clinic: those at work first, those who have left last. */
export async function listPeople({ tx }: Tenant): Promise<PersonRecord[]> {
  const rows = await tx
    .selectFrom('auth.user as person')
    .select((is) => [
      'person.id',
      'person.name',
      'person.contact_email',
      'person.person_of',
      'person.role',
      'person.standing',
      'person.lastSignInAt',
      'person.twoFactorEnabled',
      is
        .selectFrom('auth.session as session')
        .select(({ fn }) => fn.countAll<string>().as('count'))
        .where(({ or, and, eb, ref }) =>
          or([
            eb('session.seat', '=', ref('person.id')),
            and([eb('session.seat', 'is', null), eb('session.userId', '=', ref('person.id'))]),
          ]),
        )
        .as('sessions'),
    ])
    .orderBy(sql`array_position(array['active', 'invited', 'suspended', 'left'], person.standing)`)
    .orderBy('person.name')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    email: row.contact_email,
    role: row.role,
    state: row.standing,
    lastSignInAt: row.lastSignInAt?.toISOString() ?? null,
    secondFactor: row.twoFactorEnabled,
    sessions: Number(row.sessions ?? 0),
    elsewhere: row.person_of !== null,
  }));
}

async function person(tenant: Tenant, id: string): Promise<PersonRecord> {
  const found = (await listPeople(tenant)).find((entry) => entry.id === id);
  if (!found) throw notFound('This colleague');
  return found;
}

/** A link by which somebody sets a password; earlier ones of the same person no longer open anything. */
async function newLink({ tx, actor }: Tenant, userId: string, kind: keyof typeof LINK_DAYS): Promise<string> {
  const token = newLinkToken();
  await tx.deleteFrom('auth.password_link').where('user_id', '=', userId).execute();
  await tx
    .insertInto('auth.password_link')
    .values({
      hash: linkDigest(token),
      clinic_id: actor.clinicId,
      user_id: userId,
      kind,
      expires_at: new Date(Date.now() + LINK_DAYS[kind] * 86_400_000),
      used_at: null,
    })
    .execute();
  return `${siteOrigin()}/join?token=${token}`;
}

async function write(tenant: Tenant, letter: QueuedLetter): Promise<void> {
  await queueMail(tenant, letter);
  nudge('outbox');
}

export async function invite(
  tenant: Tenant,
  { name, email, role }: z.infer<typeof invitationSchema>,
): Promise<PersonRecord> {
  const id = randomUUID();
  const added = await tenant.tx
    .insertInto('auth.user')
    .values({
      id,
      clinic_id: tenant.actor.clinicId,
      name,
      // Until its person has opened the link, the seat has no address to sign in with: whoever has an account elsewhere joins
      // with that, and nobody here learns which it is.
      email: `${id}@seat.invalid`,
      contact_email: email.toLowerCase(),
      role,
      standing: 'invited',
      lastSignInAt: null,
    })
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!added)
    throw new Refusal(422, 'This address cannot be invited.', {
      errors: [{ path: ['email'], message: 'Somebody of this clinic has this address already.' }],
    });
  const clinic = await readClinic(tenant);
  const link = await newLink(tenant, id, 'invitation');
  await write(tenant, {
    recipient: email,
    subject: `${tenant.actor.name} invites you to ${clinic.name}`,
    body: [
      `${name},`,
      `${tenant.actor.name} has made an account for you at ${clinic.name}, ${clinic.place}, as ${role}.`,
      `Choose a password within ${LINK_DAYS.invitation} days:`,
      link,
      'If you were not expecting this, ignore this letter.',
    ].join('\n\n'),
  });
  await audit(tenant, 'write', `colleague invited: ${name}, ${role}`, null);
  return person(tenant, id);
}

/** At least one lead stays who can sign in. */
async function keepALead(tenant: Tenant, leaving: string): Promise<void> {
  const others = (await listPeople(tenant)).filter(
    (entry) => entry.role === 'lead' && entry.state === 'active' && entry.id !== leaving,
  );
  if (others.length === 0) throw new Refusal(409, 'A clinic needs a lead. Make somebody else a lead first.');
}

/** Changes a role or a standing. Who is suspended or has left is signed out everywhere; what they did keeps their name. */
export async function changePerson(
  tenant: Tenant,
  id: string,
  change: z.infer<typeof personChangeSchema>,
): Promise<PersonRecord> {
  // Two leads who demote each other follow one another.
  await tenant.tx.selectFrom('clinic').select('clinic_id').forNoKeyUpdate().execute();
  const before = await person(tenant, id);
  const isLeadAtWork = before.role === 'lead' && before.state === 'active';
  const stays = (change.role ?? before.role) === 'lead' && (change.state ?? before.state) === 'active';
  if (isLeadAtWork && !stays) await keepALead(tenant, id);
  if (change.state === 'active' && before.state === 'invited')
    throw new Refusal(409, 'An invited colleague becomes active by choosing a password.');
  await tenant.tx
    .updateTable('auth.user')
    .set({
      ...(change.role ? { role: change.role } : {}),
      ...(change.state ? { standing: change.state } : {}),
      updatedAt: new Date(),
    })
    .where('id', '=', id)
    .execute();
  if (change.state !== undefined && change.state !== 'active') {
    await endSessionsAt(tenant, id);
    await tenant.tx.deleteFrom('access_token').where('user_id', '=', id).execute();
    await tenant.tx.deleteFrom('auth.password_link').where('user_id', '=', id).execute();
  }
  const what = [change.role && `role ${change.role}`, change.state && `now ${change.state}`].filter(Boolean);
  await audit(tenant, 'write', `colleague ${before.name}: ${what.join(', ')}`, null);
  return person(tenant, id);
}

export async function actOnPerson(tenant: Tenant, id: string, action: PersonAction): Promise<PersonRecord> {
  const { name, email, state, elsewhere } = await person(tenant, id);
  if (elsewhere && action !== 'sign-out-everywhere')
    throw new Refusal(
      409,
      `${name} signs in with an account of another clinic: password and second factor are looked after there.`,
    );
  if (action === 'sign-out-everywhere') await endSessionsAt(tenant, id);
  else if (action === 'drop-second-factor') {
    await tenant.tx.deleteFrom('auth.twoFactor').where('userId', '=', id).execute();
    await tenant.tx.updateTable('auth.user').set({ twoFactorEnabled: false }).where('id', '=', id).execute();
    await endSessionsAt(tenant, id);
  } else {
    if (state === 'left' || state === 'suspended')
      throw new Refusal(
        409,
        `${name} ${state === 'left' ? 'has left' : 'is suspended'}: take them back first.`,
      );
    const link = await newLink(tenant, id, state === 'invited' ? 'invitation' : 'reset');
    await write(tenant, {
      recipient: email,
      subject: 'A new password for Sovet',
      body: [
        `${name},`,
        'choose a new password here:',
        link,
        'Anyone with this link can do so: do not pass it on.',
      ].join('\n\n'),
    });
  }
  await audit(tenant, 'write', `colleague ${name}: ${action.replaceAll('-', ' ')}`, null);
  return person(tenant, id);
}

const OUTBOX_DAYS = 90;

/** Letters that a page of the outbox holds. */
export const OUTBOX_PAGE = 200;

/**
 * Letters of the clinic, newest first. What was sent is told without its links.
 *
 * @param after the last letter of the page before
 */
export async function readOutbox({ tx }: Tenant, after?: string): Promise<MailRecord[]> {
  let query = tx
    .selectFrom('mail')
    .select(['id', 'recipient', 'subject', 'body', 'state', 'problem', 'written_at'])
    .where('written_at', '>', sql<Date>`now() - make_interval(days => ${OUTBOX_DAYS})`);
  if (after !== undefined)
    query = query.where(
      sql<boolean>`(written_at, id) < (select before.written_at, before.id from mail as before where before.id = ${after}::uuid)`,
    );
  const rows = await query.orderBy('written_at', 'desc').orderBy('id', 'desc').limit(OUTBOX_PAGE).execute();
  return rows.map(({ written_at, ...row }) => ({ ...row, writtenAt: written_at.toISOString() }));
}
