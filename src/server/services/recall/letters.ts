import type { z } from 'zod';
import type { RecallLetters, writeSchema } from '@/contract/recall';
import type { ClinicRecord, RecallItem } from '@/contract/records';
import { reach } from '@/core/contact/reach';
import { recallKind } from '@/core/recall/kinds';
import { recallLetter } from '@/core/recall/letter';
import { nextLetterAt } from '@/core/recall/quiet';
import { speechIn } from '@/core/texts/languages';
import { optOutAddress } from '../../auth/opt-out';
import { audit, type Tenant } from '../../database/tenant';
import { nudge } from '../../jobs/jobs';
import { queueMail } from '../../mail/queue';
import { contactConsents } from '../patients/consents';
import { patientRow } from '../patients/patient-row';
import { readClinic } from '../people/clinic';
import { wordsFor } from '../people/texts';
import { readRecall } from './recall';

type Asked = z.infer<typeof writeSchema>['to'][number];
type Answer = RecallLetters['letters'][number];

/**
 * Writes to people of the list, each in their language and once for each day that it is about: by mail where they want mail, else as a
 * letter to be printed. Whoever does not want to be contacted is not; whoever wants a call or a text is named, to be called.
 */
export async function writeLetters(
  tenant: Tenant,
  { to }: z.infer<typeof writeSchema>,
): Promise<RecallLetters> {
  const clinic = await readClinic(tenant);
  const writing: Writing = {
    clinic,
    consents: await contactConsents(tenant, [...new Set(to.map(({ patient }) => patient))]),
    due: await readRecall(tenant, { kinds: [...new Set(to.map(({ kind }) => kind))] }),
    sendAt: nextLetterAt(new Date(), { from: clinic.quietFrom, to: clinic.quietTo }),
  };
  const letters: Answer[] = [];
  for (const asked of to) letters.push(await writeTo(tenant, asked, writing));
  nudge('outbox');
  return { letters, sendAt: writing.sendAt.toISOString() };
}

interface Writing {
  clinic: ClinicRecord;
  consents: Awaited<ReturnType<typeof contactConsents>>;
  due: readonly RecallItem[];
  sendAt: Date;
}

/** Writes to one person about one thing, or says why not. */
async function writeTo(tenant: Tenant, asked: Asked, writing: Writing): Promise<Answer> {
  const { clinic, consents, due, sendAt } = writing;
  const row = await patientRow(tenant, asked.patient);
  const name = `${row.given_name} ${row.family_name}`;
  const said = { patient: { id: row.id, name }, kind: asked.kind };
  const not = (why: string): Answer => ({ ...said, went: 'not', why, print: null });
  const { may, words } = reach({ ...row, contactBy: row.contact_by }, consents.get(row.id) ?? 'not-asked');
  const { letter: text } = recallKind(asked.kind);
  if (text === null) return not('This is not a matter for a letter.');
  if (!due.some(({ patient, kind, on }) => patient.id === row.id && kind === asked.kind && on === asked.on))
    return not('This is no longer due.');
  if (!may || row.contact_by === 'phone' || row.contact_by === 'text') return not(words);
  if (!(await writtenOnce(tenant, asked))) return not('Was written to before about this.');
  const isMail = row.contact_by === 'email';
  const { language, house } = await wordsFor(tenant, row.language);
  const { subject, body } = recallLetter(
    text,
    {
      patient: name,
      clinic: clinic.name,
      phone: clinic.phone,
      noMore: isMail ? optOutAddress(tenant.actor.clinicId, row.id) : null,
    },
    speechIn(language, house).say,
  );
  await audit(tenant, 'write', `written to: ${asked.kind}`, row.id);
  if (!isMail)
    return { ...said, went: 'print', why: words, print: { language, address: row.address, subject, body } };
  await queueMail(tenant, { recipient: row.email, subject, body, sendAt });
  return { ...said, went: 'mail', why: words, print: null };
}

/** Notes that somebody was written to; false where they were before about the same. */
async function writtenOnce({ tx, actor }: Tenant, { patient, kind, on }: Asked): Promise<boolean> {
  const row = await tx
    .insertInto('contact_try')
    .values({
      clinic_id: actor.clinicId,
      patient_id: patient,
      kind,
      about_on: on,
      way: 'written',
      note: '',
      snoozed_until: null,
      made_by: actor.userId,
    })
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst();
  return row !== undefined;
}
