import type { z } from 'zod';
import type { RecallLetters, writeSchema } from '@/contract/recall';
import { reach } from '@/core/contact/reach';
import { recallKind } from '@/core/recall/kinds';
import { recallLetter } from '@/core/recall/letter';
import { nextLetterAt } from '@/core/recall/quiet';
import { speechIn } from '@/core/texts/languages';
import { optOutAddress } from '../../auth/opt-out';
import { audit, type Tenant } from '../../database/tenant';
import { nudge } from '../../jobs/jobs';
import { patientRow } from '../patients/patient-row';
import { readClinic } from '../people/clinic';
import { wordsFor } from '../people/texts';
import { consentsOf } from './recall';

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
  const consents = await consentsOf(tenant, [...new Set(to.map(({ patient }) => patient))]);
  const sendAt = nextLetterAt(new Date(), { from: clinic.quietFrom, to: clinic.quietTo });
  const letters: Answer[] = [];
  for (const asked of to) {
    const row = await patientRow(tenant, asked.patient);
    const name = `${row.given_name} ${row.family_name}`;
    const details = {
      contactBy: row.contact_by,
      phone: row.phone,
      email: row.email,
      address: row.address,
    };
    const { may, words } = reach(details, consents.get(row.id) ?? 'not-asked');
    const { letter: text } = recallKind(asked.kind);
    const said = { patient: { id: row.id, name }, kind: asked.kind };
    if (text === null) {
      letters.push({ ...said, went: 'not', why: 'This is not a matter for a letter.', print: null });
      continue;
    }
    if (!may || row.contact_by === 'phone' || row.contact_by === 'text') {
      letters.push({ ...said, went: 'not', why: words, print: null });
      continue;
    }
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
    if (!(await writtenOnce(tenant, asked))) {
      letters.push({ ...said, went: 'not', why: 'Was written to before about this.', print: null });
      continue;
    }
    if (isMail)
      await tenant.tx
        .insertInto('mail')
        .values({
          clinic_id: tenant.actor.clinicId,
          recipient: row.email,
          subject,
          body,
          problem: null,
          sent_at: null,
          next_try_at: sendAt,
        })
        .execute();
    await audit(tenant, 'write', `written to: ${asked.kind}`, row.id);
    letters.push({
      ...said,
      went: isMail ? 'mail' : 'print',
      why: words,
      print: isMail ? null : { language, address: row.address, subject, body },
    });
  }
  nudge('outbox');
  return { letters, sendAt: sendAt.toISOString() };
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
