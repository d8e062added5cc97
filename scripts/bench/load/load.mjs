// npm run load: a database with a million pairs in use in 400 clinics, and how long the lists of one of them take in it.
import { rmSync } from 'node:fs';
import { prepareDatabase, startApplication } from '../../lib/application.mjs';
import { ensureBuilt, ensureNpmPackages } from '../../lib/packages.mjs';
import { dataFolder, freePort, startPostgres } from '../../lib/postgres.mjs';
import { figuresOf, report } from '../figures.mjs';
import { signedIn } from '../server.mjs';
import { fill, seatPractitioners } from './fill.mjs';
import { usersOf } from './users.mjs';

const SECRET = 'a secret that only this script knows, long enough';
const CLINICS = Number(process.env.SOVET_LOAD_CLINICS ?? 400);
const PAIRS = Number(process.env.SOVET_LOAD_PAIRS ?? 1_000_000);
const USERS = Number(process.env.SOVET_LOAD_USERS ?? 200);
const SECONDS = Number(process.env.SOVET_LOAD_SECONDS ?? 120);
const ROUNDS = 15;

const middle = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];

ensureNpmPackages();
await ensureBuilt();
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
};
/** No list: every appointment of a clinic, which grows with it. */
const WHOLE = { 'Calendar file': '/api/v1/contacts.ics' };
const figure = figuresOf('load');
let application;
const started = [];
try {
  const time = async (origin, headers, path) => {
    const times = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const start = performance.now();
      const answer = await fetch(`${origin}${path}`, { headers });
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      times.push(performance.now() - start);
    }
    return middle(times);
  };
  const round = async (measured) => {
    application = await startApplication({ port: await freePort(), secret: SECRET, logins });
    const { origin } = application;
    const headers = { cookie: await signedIn(origin, 'lead@harbour.example') };
    const floor = { what: '/healthz', value: await time(origin, {}, '/healthz') };
    for (const [name, path] of Object.entries({ ...lists, ...WHOLE }))
      measured(name, await time(origin, headers, path), floor, name in lists ? 50 : null);
    await application.stop();
    application = undefined;
  };
  await round((name, ms) => figure({ what: `${name}, the demo alone`, value: ms, unit: 'ms' }));
  const owner = new pg.Client({ connectionString: database.url });
  await owner.connect();
  const start = performance.now();
  console.log(`filling ${CLINICS} clinics with ${PAIRS} pairs in use …`);
  await fill(owner, { clinics: CLINICS, pairs: PAIRS });
  figure({ what: 'filling it', value: (performance.now() - start) / 1000, unit: 's', wanted: 300 });
  const people = await seatPractitioners(owner, Math.min(USERS, CLINICS));
  await owner.end();
  await round((name, ms, floor, wanted) =>
    figure({ what: `${name} (${CLINICS} clinics)`, value: ms, unit: 'ms', wanted, floor }),
  );
  await usersOf(figure, people, {
    seconds: SECONDS,
    start: async (origin) => {
      const copy = await startApplication({
        port: await freePort(),
        secret: SECRET,
        logins,
        env: { SOVET_SIGN_IN_LIMIT: '100000', SOVET_ORIGIN: origin },
      });
      started.push(copy);
      return copy;
    },
  });
  report();
} finally {
  await application?.stop();
  for (const copy of started) await copy.stop();
  await database.stop();
  if (!process.env.SOVET_LOAD_KEEP) rmSync(folder, { recursive: true, force: true });
}
