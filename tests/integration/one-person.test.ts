import { unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { authDatabase } from '@/server/database/connection';
import { type Actor, asTenant, audit } from '@/server/database/tenant';
import { sealTrails } from '@/server/jobs/jobs';
import { ruleUse } from '@/server/services/knowledge/knowledge';
import { addConsent } from '@/server/services/patients/consents';
import { erasePatient, exportPatient } from '@/server/services/patients/one-person';
import { addPatient, findPatients, readPatient } from '@/server/services/patients/patients';
import { checkTrail, exportTrail, readTrail, sealedSoFar } from '@/server/services/people/trail';
import { readRecall } from '@/server/services/recall/recall';
import { handOver } from '@/server/services/visits/hand-over';
import { readSheet } from '@/server/services/visits/sheets';
import { loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { usualModel } from './usual-model';

let db: TestDatabase;
let me: Actor;
let lead: Actor;
const NAME = 'Erasmia-Findable';

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

/** Somebody with a handed-over pair and a further open visit. */
async function somebody(): Promise<{ id: string; visitId: string }> {
  const model = await usualModel(me, { name: `Model ${Math.random()}` });
  return asTenant(me, async (tenant) => {
    const { id } = await addPatient(tenant, {
      givenName: 'Vera',
      familyName: NAME,
      bornOn: '1970-05-06',
      sizingGroup: 'women',
      occupation: 'findable lamplighter',
      address: '1 Findable Lane',
    });
    await addConsent(tenant, id, {
      kind: 'share',
      how: 'spoken',
      givenOn: '2026-01-02',
      note: 'findable words',
    });
    const { id: visitId } = await startVisit(tenant, id);
    const save = (step: Parameters<typeof saveStep>[2], content: unknown) =>
      saveStep(tenant, visitId, step, { revision: 0, state: 'done', content });
    await save('ask', {
      findings: { body: { activities: ['walking'], bodyMass: 70, medication: 'findable drops' } },
    });
    await save('feet', { findings: { left: { footLength: 244 }, right: { footLength: 245 } } });
    await save('try-on', {
      tryOns: [{ model, sizeLeft: 39, sizeRight: 39, width: 'B', comfort: 71, verdict: 'chosen' }],
    });
    await save('warnings', { checked: true, present: [] });
    await handOver(tenant, visitId, {});
    await startVisit(tenant, id);
    return { id, visitId };
  });
}

describe('everything of one person', () => {
  it('goes out as one archive that opens anywhere, and that it went is noted', async () => {
    const { id } = await somebody();
    const answer = await asTenant(me, (tenant) => exportPatient(tenant, id));
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
    const text = (name: RegExp) =>
      new TextDecoder().decode(files[Object.keys(files).find((file) => name.test(file))!]);
    expect(JSON.parse(text(/^record\.json$/))).toMatchObject({
      familyName: NAME,
      occupation: 'findable lamplighter',
    });
    expect(text(/^visits\/.*json$/)).toBeTruthy();
    expect(Object.keys(files).filter((name) => name.startsWith('visits/'))).toHaveLength(2);
    expect(JSON.parse(text(/^specifications\//)).picture.body.medication).toBe('findable drops');
    expect(text(/^sheets\/.*pdf$/).slice(0, 5)).toBe('%PDF-');
    const trail = await asTenant(lead, (tenant) => readTrail(tenant, { action: 'export' }));
    expect(text(/^README/)).toContain('has agreed to the record going to another practitioner');
    expect(trail[0]).toMatchObject({
      who: 'practitioner a',
      what: 'everything of this person',
      patientId: id,
    });
  });

  it('is not there for another clinic', async () => {
    const { id } = await somebody();
    expect((await refusal(asTenant(db.clinicB.lead, (tenant) => exportPatient(tenant, id)))).status).toBe(
      404,
    );
    const body = { familyName: NAME, reason: 'malice' };
    expect(
      (await refusal(asTenant(db.clinicB.lead, (tenant) => erasePatient(tenant, id, body)))).status,
    ).toBe(404);
    expect((await asTenant(me, (tenant) => readPatient(tenant, id))).familyName).toBe(NAME);
  });
});

describe('erasing one person', () => {
  it('the wrong name erases nobody', async () => {
    const { id } = await somebody();
    const refused = await refusal(
      asTenant(lead, (tenant) => erasePatient(tenant, id, { familyName: 'Else', reason: 'asked' })),
    );
    expect(refused.extra.errors?.[0]?.path).toEqual(['familyName']);
  });

  it('leaves not a word of them in any table, hides the shell everywhere, and keeps the rest whole', async () => {
    const other = await somebody();
    const { id, visitId } = await somebody();
    await asTenant(lead, (tenant) => erasePatient(tenant, id, { familyName: NAME, reason: 'asked for it' }));
    await asTenant(me, async (tenant) => {
      const found = await findPatients(tenant, NAME);
      expect(found.some((patient) => patient.id === id)).toBe(false);
      expect((await readRecall(tenant)).some((item) => JSON.stringify(item).includes(id))).toBe(false);
      await ruleUse(tenant);
    });
    expect((await refusal(asTenant(me, (tenant) => readPatient(tenant, id)))).status).toBe(404);
    expect((await refusal(asTenant(me, (tenant) => loadVisit(tenant, visitId)))).status).toBe(404);
    expect(await readSheet(me, visitId, null)).toBeNull();
    // Every row of every table, read as the role that sees past the walls.
    await asOwner(db, async (client) => {
      await client.query('set role sovet_backup');
      const { rows: tables } = await client.query(
        `select format('%I.%I', n.nspname, c.relname) as name from pg_class c join pg_namespace n on n.oid = c.relnamespace
         where n.nspname in ('public', 'auth') and c.relkind = 'r'`,
      );
      for (const { name } of tables) {
        const { rows } = await client.query(`select t::text as row from ${name} t where t::text ~* $1`, [
          `${id}|${visitId}`,
        ]);
        for (const { row } of rows) expect(row, name).not.toMatch(/findable|vera/i);
      }
    });
    // The next one is as it was, and the same person can come again as somebody new.
    expect((await asTenant(me, (tenant) => readPatient(tenant, other.id))).visits).toHaveLength(2);
    expect((await readSheet(me, other.visitId, null))?.patient).toBe(`Vera ${NAME}`);
  });

  it('nothing but that procedure changes what was issued: neither the application nor its owner', async () => {
    const { id } = await somebody();
    const change = `update specification set picture = '{}' where patient_id = '${id}'`;
    await expect(
      asTenant(lead, async ({ tx }) => {
        const { sql } = await import('kysely');
        await sql`select set_config('sovet.erasing', 'yes', true)`.execute(tx);
        await sql.raw(change).execute(tx);
      }),
    ).rejects.toThrow(/permission denied/);
    await asOwner(db, async (client) => {
      await client.query(`select set_config('sovet.clinic', '${me.clinicId}', false)`);
      await expect(client.query(change)).rejects.toThrow(/append-only/);
      await expect(client.query(`delete from specification where patient_id = '${id}'`)).rejects.toThrow(
        /append-only/,
      );
    });
  });
});

describe('the trail', () => {
  const sealEverything = async () => {
    // As if a quarter of an hour had passed.
    await asOwner(db, async (client) => {
      await client.query('alter table audit_entry disable trigger append_only');
      await client.query(
        `update audit_entry e set at = at - interval '20 minutes' where at > now() - interval '20 minutes'`,
      );
      await client.query(
        'update audit_entry e set digest = audit_digest(e) where id > coalesce((select max(to_id) from audit_seal), 0)',
      );
      await client.query('alter table audit_entry enable trigger append_only');
    });
    await sealTrails();
  };

  it('is filtered by day, kind and name, and goes out as a file', async () => {
    const today = new Date().toISOString().slice(0, 10);
    await asTenant(lead, (tenant) => audit(tenant, 'write', '=cmd|formula', null));
    const some = await asTenant(lead, (tenant) =>
      readTrail(tenant, { action: 'write', who: 'LEAD', from: today, to: today }),
    );
    expect(some.length).toBeGreaterThan(0);
    expect(some.every(({ who, action }) => who === 'lead a' && action === 'write')).toBe(true);
    expect(await asTenant(lead, (tenant) => readTrail(tenant, { to: '2001-01-01' }))).toEqual([]);
    const file = await (await asTenant(lead, (tenant) => exportTrail(tenant, { action: 'write' }))).text();
    expect(file.split('\n')[0]).toContain('at,id,who');
    expect(file).toContain(`"'=cmd|formula"`);
    const others = await asTenant(db.clinicB.lead, (tenant) => readTrail(tenant, {}));
    expect(others.every(({ who }) => who.endsWith(' b'))).toBe(true);
  });

  it('is read page by page, newest first, none twice and none left out', async () => {
    await asOwner(db, (client) =>
      client.query(
        `insert into audit_entry (clinic_id, user_id, who, action, what)
         select $1, $2, 'lead a', 'export', 'page ' || n from generate_series(1, 450) n`,
        [lead.clinicId, lead.userId],
      ),
    );
    const numbers: number[] = [];
    let after: string | undefined;
    for (let pages = 0; pages < 5; pages += 1) {
      const page = await asTenant(lead, (tenant) => readTrail(tenant, { action: 'export' }, after));
      if (page.length === 0) break;
      numbers.push(...page.flatMap(({ what }) => (what.startsWith('page ') ? [Number(what.slice(5))] : [])));
      after = page.at(-1)!.id;
    }
    expect(numbers).toEqual(Array.from({ length: 450 }, (_, at) => 450 - at));
  });

  it('is sealed block after block; a changed, a removed and a forged entry are named', async () => {
    await sealEverything();
    await somebody();
    await sealEverything();
    const whole = await asTenant(lead, checkTrail);
    expect(await asTenant(lead, sealedSoFar)).toEqual({ seals: whole.seals, entries: whole.entries });
    expect(whole.problems).toEqual([]);
    expect(whole.seals).toBeGreaterThanOrEqual(2);
    const tamper = async (change: string, back: string) => {
      await asOwner(db, async (client) => {
        await client.query('alter table audit_entry disable trigger append_only');
        await client.query(change);
      });
      const { problems } = await asTenant(lead, checkTrail);
      await asOwner(db, async (client) => {
        await client.query(back);
        await client.query('alter table audit_entry enable trigger append_only');
      });
      return problems;
    };
    const victim = await asOwner(
      db,
      async (client) =>
        (
          await client.query(
            `select id, what from audit_entry where clinic_id = '${me.clinicId}' order by id limit 1`,
          )
        ).rows[0],
    );
    expect(
      await tamper(
        `update audit_entry set what = 'nothing at all' where id = ${victim.id} and clinic_id = '${me.clinicId}'`,
        `update audit_entry set what = '${victim.what}' where id = ${victim.id} and clinic_id = '${me.clinicId}'`,
      ),
    ).toEqual([`Entry ${victim.id} is not what was written.`]);
    // Somebody who mends the entry's own digest as well still breaks the block.
    expect(
      await tamper(
        `update audit_entry e set what = 'nothing at all', digest = 'x' where id = ${victim.id} and clinic_id = '${me.clinicId}'`,
        `update audit_entry e set what = '${victim.what}' where id = ${victim.id} and clinic_id = '${me.clinicId}';
         update audit_entry e set digest = audit_digest(e) where id = ${victim.id} and clinic_id = '${me.clinicId}'`,
      ),
    ).toContain('Block 1 does not hold what was sealed.');
    expect(await asTenant(lead, checkTrail)).toMatchObject({ problems: [] });
  });

  it('cannot be emptied or rewritten by the application, and outlives an erasure', async () => {
    const { id } = await somebody();
    await sealEverything();
    await asTenant(lead, (tenant) => erasePatient(tenant, id, { familyName: NAME, reason: 'asked' }));
    expect(await asTenant(lead, checkTrail)).toMatchObject({ problems: [] });
    for (const text of [
      'truncate audit_entry',
      'delete from audit_entry',
      `update audit_entry set what = ''`,
    ])
      await expect(
        asTenant(lead, async ({ tx }) => {
          const { sql } = await import('kysely');
          await sql.raw(text).execute(tx);
        }),
      ).rejects.toThrow(/permission denied/);
    await expect(authDatabase().query('truncate public.audit_entry')).rejects.toThrow(/permission denied/);
    await asOwner(db, (client) =>
      expect(client.query('truncate audit_entry')).rejects.toThrow(/append-only/),
    );
  });
});
