import { addDays } from '@/core/calendar/days';
import type { Tenant } from '../../database/tenant';
import { notFound, refusedAt } from '../../http/problem';
import { today } from '../clock';

interface PairDays {
  patient_id: string;
  started_on: string;
  ended_on: string | null;
}

export async function pairDays({ tx }: Tenant, pairId: string): Promise<PairDays> {
  const row = await tx
    .selectFrom('pair')
    .select(['patient_id', 'started_on', 'ended_on'])
    .where('id', '=', pairId)
    .executeTakeFirst();
  if (!row) throw notFound('This pair');
  return row;
}

/** A day in the life of a pair: not before its first, not ahead, not after its last. Tomorrow is somebody's today in another time zone. */
export function checkDay(on: string, { started_on, ended_on }: PairDays, field = 'on'): void {
  if (on < started_on) throw refusedAt(field, `The pair was first used on ${started_on}.`);
  if (on > addDays(today(), 1)) throw refusedAt(field, 'This day is in the future.');
  if (ended_on && on > ended_on) throw refusedAt(field, `The pair was retired on ${ended_on}.`);
}
