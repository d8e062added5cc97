import { sql } from 'kysely';
import type { z } from 'zod';
import type { LimbPage, limb as limbContract } from '@/contract/limb';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { kindsOf, needsHole, type SockChart } from '@/core/prosthesis/drawer';
import { limbCourse } from '@/core/prosthesis/limb-course';
import type { LimbRecord } from '@/core/prosthesis/limb-record';
import { prostheticFootOf } from '@/core/prosthesis/on-this-foot';
import { type SockDay, sockDay } from '@/core/prosthesis/sock-advice';
import { inOrderOfDay, type SockEntry } from '@/core/prosthesis/sock-log';
import { holdsBack } from '@/core/prosthesis/training';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { firstWeeksOf } from '../pairs/house-settings';
import { withFolded } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';
import { latestPicture } from './latest-picture';
import { limbOf } from './limb-record';
import { readSockLog } from './socks';
import { listTableChecks } from './table-checks';

/** Warnings of skin or pain that somebody said from home and nobody has dealt with: while there is one, no ply is advised. */
async function hasOpenWarning(tenant: Tenant, patientId: string): Promise<boolean> {
  const row = await tenant.tx
    .selectFrom('home_report')
    .select('id')
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .where('is_warning', 'is', true)
    .where('seen_at', 'is', null)
    // A limb that changed its volume asks for the prosthetist, and for socks until then.
    .where(sql<boolean>`(content #>> '{content,kind}' <> 'socks' or content #>> '{content,feel}' = 'pain')`)
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

/** The socks of today, from the log, the drawer and what is open. */
export async function readSockDay(
  tenant: Tenant,
  patientId: string,
  now: string,
  known?: { record: LimbRecord; entries: readonly SockEntry[] },
): Promise<SockDay> {
  const record = known?.record ?? (await limbOf(tenant, patientId)).record;
  return sockDay({
    entries: known?.entries ?? (await readSockLog(tenant, patientId, now)),
    drawer: kindsOf(record.drawer),
    needsHole: needsHole(record.suspension),
    hasWarning: await hasOpenWarning(tenant, patientId),
    socketOn: record.socketOn ?? null,
    now,
  });
}

/** The prosthetic side of a person as its page shows it; the reading is audited. */
export async function readLimb(tenant: Tenant, patientId: string, now: string): Promise<LimbPage> {
  await patientRow(tenant, patientId);
  const { record, revision } = await limbOf(tenant, patientId);
  const picture = await latestPicture(tenant, patientId);
  const foot = prostheticFootOf(picture);
  const months = picture.body.prosthesisMonths;
  const entries = await readSockLog(tenant, patientId, now);
  await audit(tenant, 'read', 'prosthetic side', patientId);
  return {
    record,
    revision,
    foot,
    hold: holdsBack(
      foot,
      months === NOT_EXAMINED ? null : months,
      record.therapyOn,
      now.slice(0, 10),
      await firstWeeksOf(tenant),
    ),
    charts: await listSockCharts(tenant),
    entries: entries.map(({ tags, ...entry }) => ({ ...entry, ...(tags ? { tags: [...tags] } : {}) })),
    day: await readSockDay(tenant, patientId, now, { record, entries }),
    course: limbCourse(inOrderOfDay(entries, { now, socketOn: record.socketOn ?? null })),
    checks: await listTableChecks(tenant, patientId),
  };
}

/** Writes the record; somebody else's newer one is not overwritten. */
export async function saveLimb(
  tenant: Tenant,
  patientId: string,
  { revision, record }: z.infer<typeof limbContract.saveLimb.body>,
): Promise<{ revision: number }> {
  const { tx, actor } = tenant;
  await patientRow(tenant, patientId);
  const written = {
    content: JSON.stringify(record),
    changed_by: actor.userId,
    changed_at: new Date(),
    revision: revision + 1,
  };
  const row =
    revision === 0
      ? await tx
          .insertInto('limb')
          .values({ clinic_id: actor.clinicId, patient_id: patientId, ...written })
          .onConflict((conflict) => conflict.doNothing())
          .returning('revision')
          .executeTakeFirst()
      : await tx
          .updateTable('limb')
          .set(written)
          .where('patient_id', '=', patientId)
          .where('revision', '=', revision)
          .returning('revision')
          .executeTakeFirst();
  if (!row)
    throw new Refusal(
      409,
      'Somebody wrote this record since you opened it. Open it again: yours is not lost here.',
    );
  await audit(tenant, 'write', 'prosthetic side', patientId);
  return row;
}

/** Makers' colours, as the clinic entered them once. */
export async function listSockCharts({
  tx,
}: Tenant): Promise<z.infer<typeof limbContract.saveSockChart.body>[]> {
  const rows = await tx.selectFrom('sock_chart').select(['maker', 'colours']).orderBy('maker').execute();
  return rows.map(({ maker, colours }) => ({ maker, colours: [...colours] }));
}

/** Writes one maker's colours. */
export async function saveSockChart({ tx, actor }: Tenant, { maker, colours }: SockChart): Promise<null> {
  await tx
    .insertInto('sock_chart')
    .values({ clinic_id: actor.clinicId, maker, colours: JSON.stringify(colours) })
    .onConflict((conflict) =>
      conflict.columns(['clinic_id', 'maker']).doUpdateSet({ colours: JSON.stringify(colours) }),
    )
    .execute();
  return null;
}
