import type { z } from 'zod';
import type { PairPage } from '@/contract/records';
import type { photographSchema } from '@/core/photograph/photograph-schema';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { checkDay, pairDays } from './pair-log';

/** Photographs of one pair at most: a record is no album. */
const MOST = 60;

/** Keeps a photograph of a pair. */
export async function keepPhotograph(
  tenant: Tenant,
  pairId: string,
  { kind, takenOn, width, height, image, thumbnail, lines }: z.infer<typeof photographSchema>,
): Promise<{ id: string }> {
  const { tx, actor } = tenant;
  const pair = await pairDays(tenant, pairId);
  checkDay(takenOn, pair, 'takenOn');
  const { many } = await tx
    .selectFrom('photograph')
    .select((eb) => eb.fn.countAll<number>().as('many'))
    .where('pair_id', '=', pairId)
    .executeTakeFirstOrThrow();
  if (Number(many) >= MOST) throw new Refusal(409, `${MOST} photographs of this pair are kept already.`);
  await audit(tenant, 'write', 'photograph of a pair', pair.patient_id);
  return tx
    .insertInto('photograph')
    .values({
      clinic_id: actor.clinicId,
      pair_id: pairId,
      kind,
      taken_on: takenOn,
      width,
      height,
      image: Buffer.from(image, 'base64'),
      thumbnail: Buffer.from(thumbnail, 'base64'),
      lines: lines ? JSON.stringify(lines) : null,
      made_by: actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
}

/** What is kept of a pair, without the pictures themselves, oldest first. */
export async function photographsOf({ tx }: Tenant, pairId: string): Promise<PairPage['photographs']> {
  const rows = await tx
    .selectFrom('photograph')
    .select(['id', 'kind', 'taken_on', 'width', 'height', 'lines'])
    .where('pair_id', '=', pairId)
    .orderBy('taken_on')
    .orderBy('made_at')
    .execute();
  return rows.map(({ taken_on, lines, ...row }) => ({ ...row, takenOn: taken_on, lines: lines ?? null }));
}

/** One picture as a file; whoever may see the pair may see it. */
export async function photographFile(
  tenant: Tenant,
  id: string,
  size: 'whole' | 'thumbnail',
): Promise<Response> {
  const row = await tenant.tx
    .selectFrom('photograph')
    // A closed or erased pair takes its photographs with it.
    .innerJoin('pair', 'pair.id', 'photograph.pair_id')
    .select([
      'pair.patient_id',
      size === 'whole' ? 'photograph.image as bytes' : 'photograph.thumbnail as bytes',
    ])
    .where('photograph.id', '=', id)
    .executeTakeFirst();
  if (!row) throw notFound('This photograph');
  if (size === 'whole') await audit(tenant, 'read', 'photograph of a pair', row.patient_id);
  return new Response(new Uint8Array(row.bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'no-store' },
  });
}
