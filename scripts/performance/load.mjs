// npm run load: a database with a million pairs in use in 400 clinics, and how long the lists of one of them take in it.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../lib/application.mjs';
import { ensureBuilt, ensureNpmPackages, ROOT } from '../lib/packages.mjs';
import { dataFolder, freePort, startPostgres } from '../lib/postgres.mjs';
import { signedIn } from './server.mjs';

const SECRET = 'a secret that only this script knows, long enough';
const CLINICS = Number(process.env.SOVET_LOAD_CLINICS ?? 400);
const PAIRS = Number(process.env.SOVET_LOAD_PAIRS ?? 1_000_000);
const ROUNDS = 15;

/** What lists are made of. Steps and specifications are read one visit at a time, whatever else there is. */
const COPIED = [
  'shoe_model',
  'patient',
  'visit',
  'pair',
  'outcome',
  'fitting',
  'shoe_order',
  'order_event',
  'contact_try',
  'inspection',
];
/** Once for a clinic: the catalogue, and what no list of the day is sorted by. */
const ONCE = new Set(['shoe_model', 'outcome', 'fitting', 'inspection']);
const OWN = /^(?:id|.*_id|replaced_by|folded_into|instead_of|supersedes|merged_into|follows)$/;
const SHARED = new Set(['clinic_id', 'model_id', 'user_id', 'site_id']);

/** Every clinic as the demo's, with its people and their pairs several times over: by SQL, past keys and triggers that were tested elsewhere. */
async function fill(owner) {
  const { rows } = await owner.query(
    'select clinic_id from patient group by 1 order by count(*) desc limit 1',
  );
  const { clinic_id: clinic } = rows[0];
  await owner.query(`select set_config('sovet.clinic', $1, false)`, [clinic]);
  const count = async () => {
    const { rows } = await owner.query('select count(*)::integer as pairs from pair where ended_on is null');
    return rows[0].pairs;
  };
  const copies = Math.ceil(PAIRS / CLINICS / (await count()));
  await owner.query('set session_replication_role = replica');
  await owner.query(
    `create table load_clinic as select $1::uuid as id union all select gen_random_uuid() from generate_series(2, $2)`,
    [clinic, CLINICS],
  );
  await owner.query(
    `insert into clinic (clinic_id, name, place) select id, 'Clinic ' || id, 'Testholm' from load_clinic where id <> $1`,
    [clinic],
  );
  for (const table of COPIED) {
    const { rows: columns } = await owner.query(
      `select column_name as name, data_type as type from information_schema.columns
       where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' order by ordinal_position`,
      [table],
    );
    const value = ({ name, type }) =>
      name === 'clinic_id'
        ? 'load_clinic.id'
        : !ONCE.has(table) && type === 'uuid' && OWN.test(name) && !SHARED.has(name)
          ? `case when copy = 1 then t.${name} else md5(t.${name}::text || copy)::uuid end`
          : type === 'bigint' && name === 'id'
            ? `nextval(pg_get_serial_sequence('${table}', 'id'))`
            : `t.${name}`;
    const names = columns.map(({ name }) => name).join(', ');
    const { rowCount } = await owner.query(
      `insert into ${table} (${names}) overriding system value
       select ${columns.map(value).join(', ')} from ${table} as t, load_clinic, generate_series(1, $2::integer) as copy
       where t.clinic_id = $1 and not (load_clinic.id = $1 and copy = 1)`,
      [clinic, ONCE.has(table) ? 1 : copies],
    );
    console.log(`  ${table}: ${rowCount}`);
  }
  await owner.query('set session_replication_role = default');
  await owner.query('vacuum analyze');
  return { copies };
}

const middle = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];

ensureNpmPackages();
ensureBuilt();
const { default: pg } = await import('pg');
const folder = `${dataFolder()}-load`;
rmSync(folder, { recursive: true, force: true });
const database = await startPostgres(folder, 'sovet_load');
const logins = prepareDatabase(database.url, SECRET);
const lists = {
  'Today, page': '/today',
  'Today, API': '/api/v1/today',
  'Patients, first page': '/patients',
  'Patients, part of a name': '/patients?q=mar',
  'Patients, birth year': '/api/v1/patients?q=1950',
  'Shoes, page': '/shoes',
  'Parts of the catalogue': '/api/v1/catalogue/parts',
  'Orders, page': '/shoes/orders',
  'Trail, page': '/audit',
  'Calendar file': '/api/v1/contacts.ics',
};
let application;
const measured = [];
try {
  const time = async (origin, headers, path) => {
    const times = [];
    let bytes = 0;
    for (let round = 0; round < ROUNDS; round += 1) {
      const start = performance.now();
      const answer = await fetch(`${origin}${path}`, { headers });
      bytes = (await answer.arrayBuffer()).byteLength;
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      times.push(performance.now() - start);
    }
    return { ms: middle(times), kB: bytes / 1000 };
  };
  const round = async (when) => {
    application = await startApplication({ port: await freePort(), secret: SECRET, logins });
    const { origin } = application;
    const headers = { cookie: await signedIn(origin, 'lead@harbour.example') };
    const floor = await time(origin, {}, '/healthz');
    for (const [name, path] of Object.entries({ '/healthz': '/healthz', ...lists }))
      measured.push({ when, name, ...(await time(origin, headers, path)), floor: floor.ms });
    await application.stop();
    application = undefined;
  };
  await round('demo');
  const owner = new pg.Client({ connectionString: database.url });
  await owner.connect();
  const start = performance.now();
  console.log(`filling ${CLINICS} clinics with ${PAIRS} pairs in use …`);
  await fill(owner);
  console.log(`filled in ${((performance.now() - start) / 1000).toFixed(0)} s (wanted ≤ 300)`);
  await owner.end();
  await round('full');
  const at = (when, name) => measured.find((one) => one.when === when && one.name === name);
  console.log('\nlist                        demo ms   full ms   × /healthz      kB (wanted ≤ 50 ms)');
  for (const name of ['/healthz', ...Object.keys(lists)]) {
    const [demo, full] = [at('demo', name), at('full', name)];
    console.log(
      [
        name.padEnd(26),
        demo.ms.toFixed(1).padStart(8),
        full.ms.toFixed(1).padStart(9),
        (full.ms / full.floor).toFixed(1).padStart(12),
        full.kB.toFixed(0).padStart(7),
      ].join(' '),
    );
  }
  mkdirSync(join(ROOT, 'dist'), { recursive: true });
  writeFileSync(
    join(ROOT, 'dist/load.json'),
    JSON.stringify({ clinics: CLINICS, pairs: PAIRS, measured }, null, 2),
  );
} finally {
  await application?.stop();
  await database.stop();
  if (!process.env.SOVET_LOAD_KEEP) rmSync(folder, { recursive: true, force: true });
}
