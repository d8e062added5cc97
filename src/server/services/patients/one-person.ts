import { strToU8, zipSync } from 'fflate';
import { sql } from 'kysely';
import type { z } from 'zod';
import type { erasureSchema } from '@/contract/patients-schema';
import { consentState } from '@/core/contact/consent';
import { EMPTY_LIMB } from '@/core/prosthesis/limb-record';
import { keepUntilInWords } from '@/core/retention/keep-until';
import { audit, type Tenant } from '../../database/tenant';
import { heavy } from '../../heavy/heavy';
import { Refusal } from '../../http/problem';
import { limbOf } from '../limb/limb-record';
import { listTableChecks } from '../limb/table-checks';
import { readClinic } from '../people/clinic';
import { stepsOf } from '../visits/visit-steps';
import { patientRow } from './patient-row';
import { patientAudit, readPatient } from './patients';
import { closePatient, mustKeep } from './retention';

const README = `Everything that the clinic keeps of one person.

record.json           name, dates, ways to reach, what was agreed to, pairs with their use, orders, visits
visits/*.json         each visit step by step, as it was written
specifications/*.json what was prescribed: findings, choices and result, with the edition of the rules
sheets/*.pdf, *.json  what was taken home
photographs/*.jpg     pairs as they were photographed
outings.json          how outings in new pairs felt
outcomes.json         what became of each pair: comfort, pain, activities, skin, falls
reviews.json          reviews of each pair: what changed, what was found, what was decided
limb.json             the prosthetic side: record, socks of each day, shoes checked on the table
devices.json          outings that devices recorded, with the pair of each
from-home.json        what was said on the patient’s own page, unverified, with its photographs in from-home/
week.json             outings of the week and which pair goes to which
trail.json            who read or changed this, the latest 50

JSON is plain text (RFC 8259); lengths in millimetres, masses in kilograms, times in UTC.
`;

const PASSING_ON = {
  given: 'This person has agreed to the record going to another practitioner.',
  withdrawn: 'This person does not agree to the record going to another practitioner: it is for them alone.',
  'not-asked':
    'Whether this person agrees to the record going to another practitioner was not asked. Ask before you pass it on.',
} as const;

const json = (value: unknown): Uint8Array => strToU8(JSON.stringify(value, null, 2));

/** Everything of one person in one archive: for them, or for the next practitioner. */
export async function exportPatient(tenant: Tenant, id: string): Promise<Response> {
  const { tx } = tenant;
  const record = await readPatient(tenant, id);
  const files: Record<string, Uint8Array> = {
    'README.txt': strToU8(`${README}\n${PASSING_ON[consentState(record.consents, 'share')]}\n`),
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
  const photographs = await tx
    .selectFrom('photograph')
    .leftJoin('pair', 'pair.id', 'photograph.pair_id')
    .leftJoin('visit', 'visit.id', 'photograph.visit_id')
    .select(['photograph.id', 'kind', 'taken_on', 'image'])
    .where((eb) => eb(eb.fn.coalesce('pair.patient_id', 'visit.patient_id'), '=', id))
    .execute();
  for (const { id: photograph, kind, taken_on, image } of photographs)
    files[`photographs/${taken_on}-${kind}-${photograph.slice(0, 8)}.jpg`] = new Uint8Array(image);
  const outings = await tx
    .selectFrom('outing_answer')
    .innerJoin('pair', 'pair.id', 'outing_answer.pair_id')
    .select(['pair_id', 'answered_on', 'felt', 'gait_changed', 'marks', 'seen', 'note'])
    .where('pair.patient_id', '=', id)
    .orderBy('answered_on')
    .execute();
  if (outings.length > 0) files['outings.json'] = json(outings);
  const outcomes = await tx
    .selectFrom('outcome')
    .innerJoin('pair', 'pair.id', 'outcome.pair_id')
    .select(['pair_id', 'taken_on', 'measures'])
    .where('pair.patient_id', '=', id)
    .orderBy('taken_on')
    .execute();
  if (outcomes.length > 0) files['outcomes.json'] = json(outcomes);
  const reviews = await tx
    .selectFrom('review')
    .innerJoin('pair', 'pair.id', 'review.pair_id')
    .select(['pair_id', 'done_on', 'decision', 'content'])
    .where('pair.patient_id', '=', id)
    .orderBy('done_on')
    .execute();
  if (reviews.length > 0) files['reviews.json'] = json(reviews);
  const limb = {
    record: (await limbOf(tenant, id)).record,
    socks: await tx
      .selectFrom('sock_entry')
      .select(['at', 'ply', 'feel', 'tags'])
      .where('patient_id', '=', id)
      .orderBy('at')
      .execute(),
    checks: await listTableChecks(tenant, id),
  };
  if (limb.record !== EMPTY_LIMB || limb.socks.length > 0 || limb.checks.length > 0)
    files['limb.json'] = json(limb);
  const devices = await tx
    .selectFrom('track_outing')
    .innerJoin('pair', 'pair.id', 'track_outing.pair_id')
    .select(['pair_id', 'began_at', 'ended_at', 'done_on', 'km', 'ascent_m', 'cadence'])
    .select(['track_outing.surface', 'source'])
    .where('pair.patient_id', '=', id)
    .orderBy('began_at')
    .execute();
  if (devices.length > 0) files['devices.json'] = json(devices);
  const home = await tx
    .selectFrom('home_report')
    .select([
      'id',
      'pair_id',
      'said_on',
      'content',
      'image',
      'frames',
      'is_warning',
      'received_at',
      'seen_at',
      'found',
    ])
    .where('patient_id', '=', id)
    .orderBy('received_at')
    .execute();
  if (home.length > 0)
    files['from-home.json'] = json(home.map(({ image: _, frames: __, ...report }) => report));
  for (const { id: report, said_on, image, frames } of home)
    for (const [at, picture] of (image ? [image] : (frames ?? [])).entries())
      files[`from-home/${said_on}-${report.slice(0, 8)}${frames ? `-${at + 1}` : ''}.jpg`] = new Uint8Array(
        picture,
      );
  const week = await tx
    .selectFrom('week_plan')
    .select(['sessions', 'settled', 'saved_at'])
    .where('patient_id', '=', id)
    .executeTakeFirst();
  if (week) files['week.json'] = json(week);
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
 * stays without a name. The trail keeps who did what with which number. Not to be taken back. Where a rule of the clinic
 * obliges it to keep the record, that is closed from view until then, and erased by itself afterwards.
 */
export async function erasePatient(
  tenant: Tenant,
  id: string,
  { familyName, reason }: z.infer<typeof erasureSchema>,
): Promise<{ keptUntil: string | null; because: string | null }> {
  const patient = await patientRow(tenant, id);
  if (familyName.trim() !== patient.family_name)
    throw new Refusal(422, 'Nobody was erased.', {
      errors: [{ path: ['familyName'], message: 'This is not the family name of this patient.' }],
    });
  const { retention, formats } = await readClinic(tenant);
  const keep = await mustKeep(tenant, id, retention);
  if (keep) {
    const because = keepUntilInWords(keep, retention, formats);
    await audit(tenant, 'erase', `closed from view; asked for: ${reason}. ${because}`, id);
    await closePatient(tenant, id, { until: keep.until, because });
    return { keptUntil: keep.until, because };
  }
  await audit(tenant, 'erase', 'everything of this person', id);
  await sql`select erase_patient(${id}::uuid, ${reason}, ${tenant.actor.userId})`.execute(tenant.tx);
  return { keptUntil: null, because: null };
}
