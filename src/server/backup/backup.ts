import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdtemp, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import pg from 'pg';
import { ensureLogins, ensureRoles, loginUrls } from '../database/migrate';
import { JOBS_SCHEMA } from '../jobs/jobs';
import { contentsOfDatabase, differencesFrom, type Manifest, manifestSchema } from './manifest';

/** Runs one of PostgreSQL's or the system's programs; its own words make the failure. */
function run(program: string, args: string[]): void {
  const { status, stderr, error } = spawnSync(program, args, {
    encoding: 'utf8',
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  if (error || status !== 0)
    throw new Error(
      `${program.split('/').at(-1)} failed: ${error?.message ?? stderr.trim().split('\n').slice(-3).join(' ')}`,
    );
}

async function digestOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(path)) hash.update(chunk);
  return hash.digest('hex');
}

async function connected<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

const MANIFEST = 'manifest.json';
const DUMP = 'database.dump';

/**
 * Writes everything of a database into one file: a dump in PostgreSQL's own format and a manifest of what it holds, both of
 * one moment, while the application works on. Nobody's rows are left out: it is made as a role that sees past the walls
 * and can change nothing, so its owner need not be a superuser.
 *
 * @param bin folder of PostgreSQL's programs
 */
export async function backup(ownerUrl: string, file: string, bin: string): Promise<Manifest> {
  const folder = await mkdtemp(join(tmpdir(), 'sovet-backup-'));
  try {
    const dump = join(folder, DUMP);
    const contents = await connected(ownerUrl, async (client) => {
      await client.query('begin isolation level repeatable read read only');
      await client.query('set local role sovet_backup');
      const { rows } = await client.query<{ id: string }>('select pg_export_snapshot() as id');
      run(join(bin, 'pg_dump'), [
        '--format=custom',
        '--no-owner',
        '--enable-row-security',
        '--role=sovet_backup',
        // Scheduled work is made anew at each start; what waits to be sent lies in a table of our own.
        `--exclude-schema=${JOBS_SCHEMA}`,
        `--snapshot=${rows[0]!.id}`,
        `--file=${dump}`,
        `--dbname=${ownerUrl}`,
      ]);
      return contentsOfDatabase(client);
    });
    const manifest: Manifest = {
      format: 'sovet-backup',
      version: 1,
      madeAt: new Date().toISOString(),
      dump: await digestOf(dump),
      ...contents,
    };
    await writeFile(join(folder, MANIFEST), JSON.stringify(manifest, null, 1));
    // Under its name only when it is whole: a run that broke off leaves no half of a backup behind.
    const target = resolve(file);
    const part = join(dirname(target), `.${Date.now()}.part`);
    run('tar', ['-cf', part, '-C', folder, MANIFEST, DUMP]);
    await rename(part, target);
    return await readBack(target, bin);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Leaves word of a backup for the screen of operations. */
export async function noteBackup(ownerUrl: string, secret: string, what: string): Promise<void> {
  await connected(loginUrls(ownerUrl, secret).auth, (client) =>
    client.query(`insert into public.operations_note (kind, what) values ('backup', $1)`, [what]),
  );
}

/** Unpacks a backup, checks that it is whole, and hands over its dump. */
async function unpacked<T>(file: string, work: (dump: string, manifest: Manifest) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'sovet-restore-'));
  try {
    run('tar', ['-xf', resolve(file), '-C', folder, MANIFEST, DUMP]);
    const manifest = manifestSchema.safeParse(JSON.parse(await readFile(join(folder, MANIFEST), 'utf8')));
    if (!manifest.success) throw new Error(`${file} is not a backup that this version can read.`);
    const dump = join(folder, DUMP);
    if ((await digestOf(dump)) !== manifest.data.dump)
      throw new Error(`${file} is damaged: its dump is not the one that was written.`);
    return await work(dump, manifest.data);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Reads a backup as a restore would, without restoring it. */
function readBack(file: string, bin: string): Promise<Manifest> {
  return unpacked(file, async (dump, manifest) => {
    run(join(bin, 'pg_restore'), ['--list', dump]);
    return manifest;
  });
}

/**
 * Restores a backup into a database that holds nothing, and holds the result against the manifest: rows, digests and a
 * replay. Roles, grants, policies and logins are there afterwards; the application can start. Who was erased since, as other
 * backups beside it know, is erased again.
 */
export async function restore(
  ownerUrl: string,
  file: string,
  { bin, secret }: { bin: string; secret: string },
): Promise<{ manifest: Manifest; erased: number }> {
  return unpacked(file, async (dump, manifest) => {
    await connected(ownerUrl, async (client) => {
      const { rows } = await client.query<{ taken: boolean }>(
        `select exists (select from pg_class c join pg_namespace n on n.oid = c.relnamespace
           where n.nspname in ('public', 'auth') and c.relkind = 'r') as taken`,
      );
      if (rows[0]?.taken)
        throw new Error(
          'This database holds tables already. Restore into an empty one: nothing is ever overwritten.',
        );
      await ensureRoles(client);
    });
    run(join(bin, 'pg_restore'), [
      '--no-owner',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${ownerUrl}`,
      dump,
    ]);
    await ensureLogins(ownerUrl, loginUrls(ownerUrl, secret));
    const found = await connected(ownerUrl, async (client) => {
      await client.query('begin read only');
      await client.query('set local role sovet_backup');
      return contentsOfDatabase(client);
    });
    const differences = differencesFrom(manifest, found);
    if (differences.length > 0)
      throw new Error(
        `The restored database is not what was backed up. ${differences.slice(0, 5).join(' ')}`,
      );
    const erased = await eraseAgain(ownerUrl, await erasuresBeside(file), manifest);
    return { manifest, erased };
  });
}

/** Erasures that any backup in the same folder knows of: who was erased after this one was made is erased again. */
async function erasuresBeside(file: string): Promise<Manifest['erasures']> {
  const folder = dirname(resolve(file));
  const known = new Map<string, Manifest['erasures'][number]>();
  for (const name of await readdir(folder)) {
    const { status, stdout } = spawnSync('tar', ['-xOf', join(folder, name), MANIFEST], { encoding: 'utf8' });
    if (status !== 0) continue;
    const manifest = manifestSchema.safeParse(parsed(stdout));
    for (const erasure of manifest.success ? manifest.data.erasures : [])
      known.set(`${erasure.clinic} ${erasure.patient}`, erasure);
  }
  return [...known.values()];
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Answers how many were there to be erased. */
async function eraseAgain(
  ownerUrl: string,
  erasures: Manifest['erasures'],
  { erasures: done }: Manifest,
): Promise<number> {
  const before = new Set(done.map(({ clinic, patient }) => `${clinic} ${patient}`));
  let erased = 0;
  for (const { clinic, patient, reason, by } of erasures.filter(
    (one) => !before.has(`${one.clinic} ${one.patient}`),
  ))
    await connected(ownerUrl, async (client) => {
      await client.query('begin');
      await client.query(`select set_config('sovet.clinic', $1, true)`, [clinic]);
      const { rows } = await client.query<{ there: boolean }>('select erase_patient($1, $2, $3) as there', [
        patient,
        reason,
        by,
      ]);
      await client.query('commit');
      if (rows[0]?.there) erased += 1;
    });
  return erased;
}
