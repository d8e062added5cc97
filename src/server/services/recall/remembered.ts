import type { RecallItem } from '@/contract/records';
import { listenTo } from '../../database/connection';
import { Remembered } from '../../database/remembered';
import { type Actor, asTenant } from '../../database/tenant';
import { today } from '../clock';
import { type RecallWanted, readRecall } from './recall';

/** Rows that one copy keeps at most, of all clinics together. Ours. */
const MOST_ROWS = 20_000;

const remembered = new Remembered<readonly RecallItem[]>((hearing) => listenTo('recall', hearing), {
  longestMs: 60_000,
  most: MOST_ROWS,
  size: (rows) => rows.length + 1,
});

/** What was changed here holds for the very next request; other copies hear of it from the database. */
export const forgetRecallOf = (clinicId: string): void => remembered.forget(clinicId);

/**
 * Who needs what, as `readRecall` says it: read once, and again when the database tells of a change of the clinic's records that it is
 * read from, or the day is another.
 */
export async function recallOf(actor: Actor, wanted: RecallWanted): Promise<readonly RecallItem[]> {
  const { clinicId } = actor;
  const key = JSON.stringify([clinicId, today(), wanted.site, wanted.kinds, wanted.most]);
  const rows = await remembered.of(key, clinicId, async () => ({
    value: await asTenant(actor, (tenant) => readRecall(tenant, wanted)),
    about: [clinicId],
  }));
  return rows ?? [];
}
