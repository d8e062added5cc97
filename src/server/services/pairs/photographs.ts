import type { z } from 'zod';
import type { broughtPhotographSchema } from '@/contract/pairs';
import type { PhotographRecord } from '@/contract/records';
import { dayOf } from '@/core/calendar/days';
import type { photographSchema } from '@/core/photograph/photograph-schema';
import { contentsOf } from '@/core/visit/held';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal, refusedAt } from '../../http/problem';
import { today } from '../clock';
import { stepsOf } from '../visits/visit-steps';
import { checkDay, pairDays } from './pair-days';

/** Photographs of one pair, or of all pairs that were brought to one visit, at most: a record is no album. */
const MOST = 60;

/** Whose photograph: a pair of this clinic, or one that was only brought to a visit. */
type Owner = { pair_id: string } | { visit_id: string; brought: string };

const ownedBy = ({ tx }: Tenant, owner: Owner) => {
  const query = tx.selectFrom('photograph');
  return 'pair_id' in owner
    ? query.where('pair_id', '=', owner.pair_id)
    : query.where('visit_id', '=', owner.visit_id);
};

async function keep(
  tenant: Tenant,
  owner: Owner,
  { kind, takenOn, width, height, image, thumbnail, lines, scale }: z.infer<typeof photographSchema>,
): Promise<{ id: string }> {
  const { many } = await ownedBy(tenant, owner)
    .select((eb) => eb.fn.countAll<number>().as('many'))
    .executeTakeFirstOrThrow();
  if (Number(many) >= MOST)
    throw new Refusal(
      409,
      `${MOST} photographs ${'pair_id' in owner ? 'of this pair' : 'of this visit'} are kept already.`,
    );
  return tenant.tx
    .insertInto('photograph')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: null,
      visit_id: null,
      brought: null,
      ...owner,
      kind,
      taken_on: takenOn,
      width,
      height,
      image: Buffer.from(image, 'base64'),
      thumbnail: Buffer.from(thumbnail, 'base64'),
      lines: lines ? JSON.stringify(lines) : null,
      scale: scale ? JSON.stringify(scale) : null,
      made_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
}

/** Keeps a photograph of a pair. */
export async function keepPhotograph(
  tenant: Tenant,
  pairId: string,
  photograph: z.infer<typeof photographSchema>,
): Promise<{ id: string }> {
  const pair = await pairDays(tenant, pairId);
  checkDay(photograph.takenOn, pair, 'takenOn');
  await audit(tenant, 'write', 'photograph of a pair', pair.patient_id);
  return keep(tenant, { pair_id: pairId }, photograph);
}

async function visitRow({ tx }: Tenant, visitId: string) {
  const row = await tx
    .selectFrom('visit')
    .select(['patient_id', 'started_at', 'closed_at'])
    .where('id', '=', visitId)
    .executeTakeFirst();
  if (!row) throw notFound('This visit');
  return row;
}

/** Keeps a photograph of a pair that was brought to a visit and is none of this clinic's. */
export async function keepBroughtPhotograph(
  tenant: Tenant,
  visitId: string,
  { brought, ...photograph }: z.infer<typeof broughtPhotographSchema>,
): Promise<{ id: string }> {
  const visit = await visitRow(tenant, visitId);
  if (visit.closed_at) throw new Refusal(409, 'This visit has ended; nothing is added to it.');
  if (photograph.takenOn > today()) throw refusedAt('takenOn', 'This day is in the future.');
  if (photograph.takenOn < dayOf(visit.started_at))
    throw refusedAt('takenOn', `This visit began on ${dayOf(visit.started_at)}.`);
  const pairs = contentsOf(await stepsOf(tenant, visitId))['old-pair']?.pairs ?? [];
  if (!pairs.some(({ id }) => id === brought))
    throw refusedAt('brought', 'This pair is not among those that were brought: it may not be saved yet.');
  await audit(tenant, 'write', 'photograph of a pair that was brought', visit.patient_id);
  return keep(tenant, { visit_id: visitId, brought }, photograph);
}

const COLUMNS = ['id', 'kind', 'taken_on', 'width', 'height', 'lines', 'scale'] as const;

/** What is kept of a pair, without the pictures themselves, oldest first. */
export async function photographsOf(tenant: Tenant, owner: Owner): Promise<PhotographRecord[]> {
  const query = ownedBy(tenant, owner).select(COLUMNS).orderBy('taken_on').orderBy('made_at');
  const rows = await ('pair_id' in owner ? query : query.where('brought', '=', owner.brought)).execute();
  return rows.map(({ taken_on, ...row }) => ({ ...row, takenOn: taken_on }));
}

/** Photographs of a pair that was brought to a visit. */
export async function broughtPhotographs(
  tenant: Tenant,
  visitId: string,
  brought: string,
): Promise<PhotographRecord[]> {
  await visitRow(tenant, visitId);
  return photographsOf(tenant, { visit_id: visitId, brought });
}

/** One picture as a file; whoever may see the pair or the visit may see it. */
export async function photographFile(
  tenant: Tenant,
  id: string,
  size: 'whole' | 'thumbnail',
): Promise<Response> {
  const row = await tenant.tx
    .selectFrom('photograph')
    // A closed or erased record takes its photographs with it.
    .leftJoin('pair', 'pair.id', 'photograph.pair_id')
    .leftJoin('visit', 'visit.id', 'photograph.visit_id')
    .select([
      (eb) => eb.fn.coalesce('pair.patient_id', 'visit.patient_id').as('patient_id'),
      size === 'whole' ? 'photograph.image as bytes' : 'photograph.thumbnail as bytes',
    ])
    .where('photograph.id', '=', id)
    .executeTakeFirst();
  if (!row?.patient_id) throw notFound('This photograph');
  if (size === 'whole') await audit(tenant, 'read', 'photograph of a pair', row.patient_id);
  return new Response(new Uint8Array(row.bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'no-store' },
  });
}
