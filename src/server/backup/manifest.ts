import type pg from 'pg';
import { z } from 'zod';
import { replay, replaysAlike } from '@/core/prescribe/counterfactual/replay';
import { storedPicture } from '../services/knowledge/stored-picture';

/** What a backup says of itself, so that a restored copy can be held against it. */
export const manifestSchema = z.object({
  format: z.literal('sovet-backup'),
  version: z.literal(1),
  madeAt: z.string(),
  migrations: z.array(z.string()),
  /** SHA-256 of the dump beside it. */
  dump: z.string(),
  /** Rows and a sum over the rows’ digests, by table. */
  tables: z.record(z.string(), z.object({ rows: z.string(), checksum: z.string() })),
  /** The latest specifications resolved again from their stored pictures: how many, and how many to the last byte. */
  replay: z.object({ looked: z.int(), alike: z.int() }),
  /** Who was erased up to then: an older backup that is restored beside this one is brought up to date by it. */
  erasures: z.array(
    z.object({ clinic: z.string(), patient: z.string(), reason: z.string(), by: z.string() }),
  ),
});
export type Manifest = z.infer<typeof manifestSchema>;
export type Contents = Pick<Manifest, 'migrations' | 'tables' | 'replay' | 'erasures'>;

const REPLAYED = 50;

/**
 * Reads what a database holds, within the transaction that the client has open, as the role that sees past the walls.
 * Digests do not depend on the order of rows, nor on the session's settings.
 */
export async function contentsOfDatabase(client: pg.ClientBase): Promise<Contents> {
  await client.query("set local timezone = 'UTC'");
  const { rows: names } = await client.query<{ name: string; quoted: string }>(
    `select n.nspname || '.' || c.relname as name, format('%I.%I', n.nspname, c.relname) as quoted
     from pg_class c join pg_namespace n on n.oid = c.relnamespace
     where n.nspname in ('public', 'auth') and c.relkind = 'r' order by 1`,
  );
  const tables: Contents['tables'] = {};
  for (const { name, quoted } of names) {
    const { rows } = await client.query<{ rows: string; checksum: string }>(
      `select count(*)::text as rows, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as checksum from ${quoted} t`,
    );
    tables[name] = rows[0]!;
  }
  const { rows: steps } = await client.query<{ name: string }>(
    'select name from public.kysely_migration order by 1',
  );
  const { rows: erasures } = await client.query<Manifest['erasures'][number]>(
    'select clinic_id as clinic, patient_id as patient, reason, by_user as by from public.erasure order by at, patient_id',
  );
  return { migrations: steps.map(({ name }) => name), tables, replay: await replayLatest(client), erasures };
}

async function replayLatest(client: pg.ClientBase): Promise<Contents['replay']> {
  const { rows } = await client.query(
    `select s.picture, s.choices, s.result, e.edition, e.rules
     from public.specification s
     join public.knowledge_edition e on e.clinic_id = s.clinic_id and e.edition = s.result->>'knowledge'
     order by s.issued_at desc, s.id limit $1`,
    [REPLAYED],
  );
  const alike = rows.filter(({ picture, choices, result, edition, rules }) =>
    replaysAlike(result, replay(storedPicture(picture, choices), { edition, rules })),
  );
  return { looked: rows.length, alike: alike.length };
}

/** How what is there differs from what a manifest says, a sentence each. */
export function differencesFrom(said: Contents, found: Contents): string[] {
  const differences: string[] = [];
  for (const name of new Set([...Object.keys(said.tables), ...Object.keys(found.tables)])) {
    const [before, now] = [said.tables[name], found.tables[name]];
    if (!before) differences.push(`${name} is not in the backup.`);
    else if (!now) differences.push(`${name} is missing.`);
    else if (before.rows !== now.rows) differences.push(`${name}: ${now.rows} rows, not ${before.rows}.`);
    else if (before.checksum !== now.checksum)
      differences.push(`${name}: the same number of rows, but not the same.`);
  }
  if (said.migrations.join() !== found.migrations.join()) differences.push('The steps of the schema differ.');
  if (said.replay.looked !== found.replay.looked || said.replay.alike !== found.replay.alike)
    differences.push(
      `Of the latest specifications ${found.replay.alike} of ${found.replay.looked} replay to the last byte, not ${said.replay.alike} of ${said.replay.looked}.`,
    );
  return differences;
}
