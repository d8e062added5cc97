import { sql } from 'kysely';
import type { z } from 'zod';
import type { SupplierAnnouncement } from '@/contract/records';
import type { supplierAnswerSchema } from '@/contract/shoes';
import { type SupplierItem, supplierFeed } from '@/simulators/supplier-feed';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { knownModels, modelNamed, storeEntries, tieForerunners } from './catalogue-store';
import { catalogueEntries, noteChange, putOnShelf } from './models';

/** What the simulated supplier announces this month and nobody has answered. */
async function openItems(tenant: Tenant, month: string): Promise<SupplierItem[]> {
  const { items } = supplierFeed(await catalogueEntries(tenant), month);
  const answered = await tenant.tx.selectFrom('supplier_item').select('item_id').execute();
  const done = new Set(answered.map((row) => row.item_id));
  return items.filter((item) => !done.has(item.id));
}

const inWords = (item: SupplierItem): string => {
  switch (item.kind) {
    case 'new-version':
      return `New version ${item.version}, in place of ${item.entry.replaces}`;
    case 'discontinued':
      return 'No longer made';
    case 'price':
      return `Price ${item.price}`;
    case 'stock':
      return `Delivered: ${Object.entries(item.stock)
        .map(([size, count]) => `${count} × ${size}`)
        .join(', ')}`;
  }
};

/** Announcements with how many people wear what they are about. */
export async function readSupplierFeed(
  tenant: Tenant,
  month = today().slice(0, 7),
): Promise<SupplierAnnouncement[]> {
  const wearing = await tenant.tx
    .selectFrom('pair')
    .innerJoin('shoe_model', 'shoe_model.id', 'pair.model_id')
    .select(['maker', 'name', 'version', sql<number>`count(distinct pair.patient_id)::int`.as('wearers')])
    .where('ended_on', 'is', null)
    .groupBy(['maker', 'name', 'version'])
    .execute();
  return (await openItems(tenant, month)).map((item) => {
    const version = item.kind === 'new-version' ? item.entry.replaces : item.version;
    const worn = wearing.find(
      (row) => row.maker === item.maker && row.name === item.name && row.version === version,
    );
    return {
      id: item.id,
      kind: item.kind,
      on: item.on,
      title: `${item.maker} ${item.name} ${version}`,
      what: inWords(item),
      wearers: worn?.wearers ?? 0,
    };
  });
}

/** Takes announcements over into the catalogue or sets them aside; each is offered once. */
export async function answerSupplier(
  tenant: Tenant,
  { take, ignore }: z.infer<typeof supplierAnswerSchema>,
  month = today().slice(0, 7),
): Promise<SupplierAnnouncement[]> {
  const items = await openItems(tenant, month);
  for (const item of items) {
    const taken = take.includes(item.id);
    if (!taken && !ignore.includes(item.id)) continue;
    if (taken) await takeOver(tenant, item);
    await tenant.tx
      .insertInto('supplier_item')
      .values({
        clinic_id: tenant.actor.clinicId,
        item_id: item.id,
        answer: taken ? 'taken' : 'ignored',
        answered_by: tenant.actor.userId,
      })
      .onConflict((conflict) => conflict.doNothing())
      .execute();
  }
  return readSupplierFeed(tenant, month);
}

async function takeOver(tenant: Tenant, item: SupplierItem): Promise<void> {
  // Of a new version its forerunner.
  const version = item.kind === 'new-version' ? item.entry.replaces! : item.version;
  const id = await modelNamed(tenant, { ...item, version });
  if (!id) return;
  const change = (set: { status?: 'discontinued'; price?: number }) =>
    tenant.tx
      .updateTable('shoe_model')
      .set({ ...set, updated_at: sql`now()` })
      .where('id', '=', id)
      .execute();
  if (item.kind === 'new-version') {
    await storeEntries(tenant, [item.entry], await knownModels(tenant));
    await tieForerunners(tenant, [item.entry]);
    await change({ status: 'discontinued' });
  }
  if (item.kind === 'discontinued') await change({ status: 'discontinued' });
  if (item.kind === 'price') await change({ price: item.price });
  if (item.kind === 'stock') await putOnShelf(tenant, id, item.stock);
  await noteChange(tenant, 'supplier', inWords(item), id);
}
