import { sql } from 'kysely';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { RECALL_KINDS } from '@/core/recall/kinds';
import { asTenant } from '@/server/database/tenant';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { plannedIn, readsWhole, refuseWholeTables, wholeTables } from './explaining';

let db: TestDatabase;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

it('a statement that no index serves is found, one that an index serves is not', async () => {
  await asTenant(db.clinicA.lead, async ({ tx }) => {
    await sql`create temporary table kept (id integer primary key, name text) on commit drop`.execute(tx);
    await sql`select * from kept where id = ${1}`.execute(tx);
    expect(wholeTables()).toEqual([]);
    await sql`select * from kept where name = ${'one'}`.execute(tx);
    const found = wholeTables();
    expect(found).toMatchObject([{ table: 'kept' }]);
    expect(found[0]!.statement).toContain('where name');
    await sql`select count(*) from kept where name <> ${'one'} or id > ${0}`.execute(tx);
    expect(refuseWholeTables).toThrow('kept: select count(*)');
  });
});

/** What the function asks, with the names of its parameters as values. */
async function planInside(name: string) {
  const given: Record<string, string> = {
    today: `date '2031-05-04'`,
    at_site: 'null::uuid',
    kinds: `array[${RECALL_KINDS.map((kind) => `'${kind}'`).join(', ')}]`,
    most: '9',
    mine: 'current_clinic()',
  };
  return asOwner(db, async (client) => {
    const { rows } = await client.query('select prosrc from pg_proc where proname = $1', [name]);
    const [, asked] = /return query([\s\S]+);\s*end/.exec(rows[0].prosrc)!;
    const statement = asked!.replace(
      /(?<![\w.'-])(?:today|at_site|kinds|most|mine)(?![\w'-])/g,
      (word) => given[word]!,
    );
    await client.query('set enable_seqscan = off; set enable_sort = off; set enable_bitmapscan = off');
    return plannedIn((await client.query(`explain (format json, costs off) ${statement}`)).rows);
  });
}

it.each(['recall_due', 'recall_list'])('%s reads no table from end to end', async (name) => {
  const plan = await planInside(name);
  expect(plan.length).toBeGreaterThan(5);
  expect(plan.filter(readsWhole).map((one) => one['Relation Name'])).toEqual([]);
});

it('each kind of the recall comes in the order of its index: none is sorted to show its first rows', async () => {
  const firsts = (await planInside('recall_due')).filter((one) => one['Node Type'] === 'Limit');
  expect(firsts).toHaveLength(RECALL_KINDS.length);
  expect(firsts.filter(({ Plans }) => Plans?.[0]?.['Node Type'] === 'Sort')).toEqual([]);
});
