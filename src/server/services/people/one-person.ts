import { strToU8, zipSync } from 'fflate';
import { sql } from 'kysely';
import type { z } from 'zod';
import type { erasureSchema } from '@/contract/people-schema';
import { audit, type Tenant } from '../../database/tenant';
import { heavy } from '../../heavy/heavy';
import { Refusal } from '../../http/problem';
import { stepsOf } from '../visits/visit-steps';
import { patientAudit, patientRow, readPatient } from './patients';

const README = `Everything that the clinic keeps of one person.

record.json           name, dates, pairs with their use, orders, visits
visits/*.json         each visit step by step, as it was written
specifications/*.json what was prescribed: findings, choices and result, with the edition of the rules
sheets/*.pdf, *.json  what was taken home
trail.json            who read or changed this, the latest 50

JSON is plain text (RFC 8259); lengths in millimetres, masses in kilograms, times in UTC.
`;

const json = (value: unknown): Uint8Array => strToU8(JSON.stringify(value, null, 2));

/** Everything of one person in one archive: for them, or for the next practitioner. */
export async function exportPatient(tenant: Tenant, id: string): Promise<Response> {
  const { tx } = tenant;
  const record = await readPatient(tenant, id);
  const files: Record<string, Uint8Array> = {
    'README.txt': strToU8(README),
    'record.json': json(record),
    'trail.json': json(await patientAudit(tenant, id)),
  };
  for (const visit of record.visits)
    files[`visits/${visit.startedAt.slice(0, 10)}-${visit.id.slice(0, 8)}.json`] = json({
      ...visit,
      steps: await stepsOf(tenant, visit.id),
    });
  const issued = await tx
    .selectFrom('specification')
    .select(['id', 'issued_at', 'visit_id', 'picture', 'choices', 'result', 'purpose'])
    .where('patient_id', '=', id)
    .execute();
  for (const { issued_at, ...row } of issued)
    files[`specifications/${issued_at.toISOString().slice(0, 10)}-${row.id.slice(0, 8)}.json`] = json({
      issuedAt: issued_at,
      ...row,
    });
  const sheets = await tx
    .selectFrom('hand_over')
    .select(['id', 'sheet', 'handed_over_at'])
    .where('patient_id', '=', id)
    .execute();
  for (const { id: handOver, sheet, handed_over_at } of sheets) {
    const name = `sheets/${handed_over_at.toISOString().slice(0, 10)}-${handOver.slice(0, 8)}`;
    files[`${name}.json`] = json(sheet);
    files[`${name}.pdf`] = (await heavy('sheetPdf', sheet)).bytes;
  }
  await audit(tenant, 'export', 'everything of this person', id);
  return new Response(new Uint8Array(zipSync(files)), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': 'attachment; filename="one-person.zip"',
      'cache-control': 'no-store',
    },
  });
}

/**
 * Erases one person: name, findings, prescriptions, sheets and notes go; that a visit took place and how long a pair lasted
 * stays without a name. The trail keeps who did what with which number. Not to be taken back.
 */
export async function erasePatient(
  tenant: Tenant,
  id: string,
  { familyName, reason }: z.infer<typeof erasureSchema>,
): Promise<null> {
  const patient = await patientRow(tenant, id);
  if (familyName.trim() !== patient.family_name)
    throw new Refusal(422, 'Nobody was erased.', {
      errors: [{ path: ['familyName'], message: 'This is not the family name of this patient.' }],
    });
  await audit(tenant, 'erase', 'everything of this person', id);
  await sql`select erase_patient(${id}::uuid, ${reason}, ${tenant.actor.userId})`.execute(tenant.tx);
  return null;
}
