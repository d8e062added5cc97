import type { z } from 'zod';
import type { trySchema } from '@/contract/recall';
import { addDays } from '@/core/calendar/days';
import { LONGEST_SNOOZE_DAYS, recallKind } from '@/core/recall/kinds';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal, refusedAt } from '../../http/problem';
import { today } from '../clock';
import { patientRow } from '../patients/patient-row';

/** Notes what was tried to reach somebody, or puts it off with a reason. A warning is not put off. */
export async function noteTry(
  tenant: Tenant,
  patientId: string,
  { kind, on, way, note, until }: z.infer<typeof trySchema>,
): Promise<null> {
  await patientRow(tenant, patientId);
  if (way === 'snoozed') {
    if (recallKind(kind).isWarning)
      throw new Refusal(409, 'A warning is not put off: the foot is looked at first.');
    if (!until || until <= today()) throw refusedAt('until', 'Choose a day in the future.');
    if (until > addDays(today(), LONGEST_SNOOZE_DAYS))
      throw refusedAt('until', `At most ${LONGEST_SNOOZE_DAYS} days ahead.`);
    if (note.trim() === '') throw refusedAt('note', 'Write why it is put off.');
  }
  await tenant.tx
    .insertInto('contact_try')
    .values({
      clinic_id: tenant.actor.clinicId,
      patient_id: patientId,
      kind,
      about_on: on,
      way,
      note,
      snoozed_until: way === 'snoozed' ? (until ?? null) : null,
      made_by: tenant.actor.userId,
    })
    .execute();
  await audit(tenant, 'write', `contact: ${kind}, ${way}`, patientId);
  return null;
}
