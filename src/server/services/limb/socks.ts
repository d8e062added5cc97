import { sql } from 'kysely';
import { addDays } from '@/core/calendar/days';
import { limbCourse, suddenChange } from '@/core/prosthesis/limb-course';
import { inOrderOfDay, type SockEntry } from '@/core/prosthesis/sock-log';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { withFolded } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';
import { limbOf } from './limb-record';

/** Days of a log that are read: a curve learns from four weeks, a course from ten and what lay before. */
const READ_DAYS = 140;
/** A change that was said is not said again each day. */
const SAID_FOR_DAYS = 21;
/** Clocks lie apart by so many hours at most. */
const FURTHEST_CLOCK_HOURS = 15;

export type KeptEntry = SockEntry & { fromHome: boolean };

/** The socks of the last months, in order, with records that were folded into this one. */
export async function readSockLog(tenant: Tenant, patientId: string, now: string): Promise<KeptEntry[]> {
  const rows = await tenant.tx
    .selectFrom('sock_entry')
    .select(['at', 'ply', 'feel', 'tags', 'made_by'])
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .where('at', '>=', addDays(now.slice(0, 10), -READ_DAYS))
    .orderBy('at')
    .execute();
  return rows.map(({ at, ply, feel, tags, made_by }) => ({
    at,
    ply,
    ...(feel === null ? {} : { feel }),
    ...(tags.length === 0 ? {} : { tags }),
    fromHome: made_by === null,
  }));
}

/** Keeps one look at the socks; a second one of the same minute corrects the first. */
export async function keepSocks(
  { tx, actor }: Tenant,
  patientId: string,
  { at, ply, feel, tags }: SockEntry,
  by: 'home' | 'clinic',
): Promise<void> {
  const said = {
    ply,
    feel: feel ?? null,
    tags: [...(tags ?? [])],
    made_by: by === 'home' ? null : actor.userId,
    made_at: new Date(),
  };
  await tx
    .insertInto('sock_entry')
    .values({ clinic_id: actor.clinicId, patient_id: patientId, at, ...said })
    .onConflict((conflict) => conflict.columns(['clinic_id', 'patient_id', 'at']).doUpdateSet(said))
    .execute();
}

/** The same from the clinic: a moment that has not come yet is refused at its field. */
export async function noteSocks(tenant: Tenant, patientId: string, entry: SockEntry): Promise<null> {
  await patientRow(tenant, patientId);
  const latest = new Date(Date.now() + FURTHEST_CLOCK_HOURS * 3_600_000).toISOString().slice(0, 16);
  if (entry.at > latest)
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: [{ path: ['at'], message: 'This moment has not come yet.' }],
    });
  await keepSocks(tenant, patientId, entry, 'clinic');
  await audit(tenant, 'write', 'socks', patientId);
  return null;
}

/** Why what is said now asks for somebody; null where it does not, or was said in the last weeks already. */
export async function limbAlarm(tenant: Tenant, patientId: string, entry: SockEntry): Promise<string | null> {
  const before = await readSockLog(tenant, patientId, entry.at);
  const { socketOn } = (await limbOf(tenant, patientId)).record;
  const entries = inOrderOfDay([...before, entry], { now: entry.at, socketOn: socketOn ?? null });
  const sudden = suddenChange(entries);
  if (sudden) return sudden;
  const [asks] = limbCourse(entries).asks;
  if (asks === undefined) return null;
  const said = await tenant.tx
    .selectFrom('home_report')
    .select('id')
    .where('patient_id', '=', patientId)
    .where('is_warning', 'is', true)
    .where(sql`content #>> '{content,kind}'`, '=', 'socks')
    .where('said_on', '>', addDays(entry.at.slice(0, 10), -SAID_FOR_DAYS))
    .limit(1)
    .executeTakeFirst();
  return said ? null : asks;
}
