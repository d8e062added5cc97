import { dayOf } from '@/core/calendar/days';
import { MOST_OF_A_KIND, RECALL_KINDS, recallKind } from '@/core/recall/kinds';
import { nextLetterAt } from '@/core/recall/quiet';
import { authDatabase } from '../../database/connection';
import { asTenant, type Tenant } from '../../database/tenant';
import { log } from '../../http/log';
import { siteOrigin } from '../../http/site-origin';
import { queueMail } from '../../mail/queue';
import { caretaker } from '../pairs/caretaker';
import { readClinic } from '../people/clinic';
import { readRecall } from './recall';

/** Who needs what, in numbers and without a name: a letter leaves the house. */
export async function digestOf(tenant: Tenant): Promise<{ subject: string; body: string }> {
  const items = await readRecall(tenant);
  const clinic = await readClinic(tenant);
  const lines = RECALL_KINDS.flatMap((kind) => {
    const many = items.filter((item) => item.kind === kind).length;
    const count = many >= MOST_OF_A_KIND ? `${MOST_OF_A_KIND} or more` : String(many);
    return many === 0 ? [] : [`${recallKind(kind).title}: ${count}`];
  });
  return {
    subject: `${clinic.name}: the week ahead`,
    body: [
      lines.length === 0 ? 'Nothing is due.' : lines.join('\n'),
      `${siteOrigin()}/today`,
      'The settings of the clinic say whether this letter comes.',
    ].join('\n\n'),
  };
}

/** Writes the week’s letter to the leads of one clinic, once a week. */
export async function writeDigest(tenant: Tenant, now = new Date()): Promise<number> {
  const clinic = await readClinic(tenant);
  const claimed = await tenant.tx
    .updateTable('clinic')
    .set({ digest_on: dayOf(now) })
    .where('digest', 'is', true)
    .where((is) => is.or([is('digest_on', 'is', null), is('digest_on', '<', dayOf(now))]))
    .returning('clinic_id')
    .executeTakeFirst();
  if (!claimed) return 0;
  const leads = await tenant.tx
    .selectFrom('auth.user')
    .select('contact_email')
    .where('role', '=', 'lead')
    .where('standing', '=', 'active')
    .execute();
  const letter = await digestOf(tenant);
  const sendAt = nextLetterAt(now, { from: clinic.quietFrom, to: clinic.quietTo });
  for (const { contact_email } of leads)
    await queueMail(tenant, { recipient: contact_email, ...letter, sendAt });
  return leads.length;
}

/** The week’s letter of every clinic; one clinic’s trouble does not keep the others waiting. */
export async function writeDigests(): Promise<void> {
  const { rows } = await authDatabase().query<{ clinic_id: string }>('select clinic_id from public.clinic');
  for (const { clinic_id } of rows)
    try {
      await asTenant(caretaker(clinic_id), (tenant) => writeDigest(tenant));
    } catch (error) {
      log.warn(
        { err: error, clinic: clinic_id },
        'the week’s letter could not be written; it comes next week',
      );
    }
}
