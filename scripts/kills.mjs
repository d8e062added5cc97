// npm run kills [-- APPLICATION DATABASE]: writers at work while the application is killed (20 times) and the database is killed
// (10 times). What was acknowledged must be there afterwards, and the application must answer within five seconds of the
// database by itself.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { prepareDatabase, startApplication } from './lib/application.mjs';
import { demoLead } from './lib/demo-lead.mjs';
import { signalPostgres } from './lib/kill.mjs';
import { ensureBuilt, ensureNpmPackages } from './lib/packages.mjs';
import { freePort, startPostgres } from './lib/postgres.mjs';

ensureNpmPackages();
await ensureBuilt();
const [applicationRounds = 20, databaseRounds = 10] = process.argv.slice(2).map(Number);
const WRITERS = 4;
const BACK_WITHIN_MS = 5000;
const SECRET = 'a secret of the killing rounds and of nothing else, 0123456789';

const folder = mkdtempSync(join(tmpdir(), 'sovet-kills-'));
const [databasePort, port] = [await freePort(), await freePort()];
let database = await startPostgres(folder, 'sovet_kills', databasePort);
const logins = prepareDatabase(database.url, SECRET);
const start = () => startApplication({ port, secret: SECRET, logins });
let application = await start();
const { origin } = application;

const cookie = await demoLead(origin);
const read = async (path) => (await fetch(`${origin}/api/v1${path}`, { headers: { cookie } })).json();

const patients = await read('/patients');
const pairs = [];
for (const { id } of patients.slice(0, 20)) {
  const { pairs: mine } = await read(`/patients/${id}`);
  pairs.push(
    ...mine.filter(({ endedOn }) => endedOn === null).map((pair) => ({ patient: id, pair: pair.id })),
  );
}

const acknowledged = [];
let unanswered = 0;
let working = true;
async function writer(number) {
  for (let n = 0; working; n += 1) {
    const { patient, pair } = pairs[(number + n) % pairs.length];
    const note = `writer ${number}, note ${n}`;
    try {
      const answer = await fetch(`${origin}/api/v1/pairs/${pair}/log`, {
        method: 'POST',
        headers: { cookie, origin, 'content-type': 'application/json' },
        body: JSON.stringify({ on: new Date().toISOString().slice(0, 10), distanceKm: 0, note }),
        signal: AbortSignal.timeout(10_000),
      });
      if (answer.status === 201) acknowledged.push({ patient, pair, id: (await answer.json()).id, note });
      else {
        unanswered += 1;
        await answer.arrayBuffer();
        await wait(50);
      }
    } catch {
      unanswered += 1;
      await wait(50);
    }
  }
}

/** Milliseconds until the application says that it is ready. */
async function ready() {
  const begun = performance.now();
  while (performance.now() - begun < 60_000) {
    const answer = await fetch(`${origin}/readyz`, { signal: AbortSignal.timeout(2000) }).catch(() => null);
    if (answer?.status === 200) return performance.now() - begun;
    await wait(25);
  }
  return Number.POSITIVE_INFINITY;
}

const bad = [];
const waits = { application: [], database: [] };
try {
  const writers = Array.from({ length: WRITERS }, (_, number) => writer(number));
  await wait(1000);
  for (let round = 1; round <= applicationRounds; round += 1) {
    process.kill(-application.pid, 'SIGKILL');
    const killed = performance.now();
    // Answers once it is ready.
    application = await start();
    waits.application.push(performance.now() - killed);
    await wait(500 + Math.random() * 700);
  }
  console.log(
    `Application killed ${applicationRounds} times: ${acknowledged.length} writes acknowledged so far.`,
  );
  for (let round = 1; round <= databaseRounds; round += 1) {
    signalPostgres(folder, 'SIGKILL');
    await wait(300 + Math.random() * 900);
    database = await startPostgres(folder, 'sovet_kills', databasePort);
    const back = await ready();
    waits.database.push(back);
    if (back > BACK_WITHIN_MS) bad.push(`Round ${round}: ready ${Math.round(back)} ms after the database.`);
    await wait(500 + Math.random() * 700);
  }
  working = false;
  await Promise.all(writers);
  const kept = new Map();
  for (const patient of new Set(acknowledged.map((entry) => entry.patient)))
    for (const pair of (await read(`/patients/${patient}`)).pairs)
      for (const entry of pair.log) kept.set(entry.id, entry.note);
  for (const { id, note } of acknowledged)
    if (kept.get(id) !== note) bad.push(`Acknowledged and not there: ${note}.`);
  const most = (list) => (list.length === 0 ? 0 : Math.round(Math.max(...list)));
  console.log(
    `Database killed ${databaseRounds} times. ${acknowledged.length} writes acknowledged, ${unanswered} not answered or refused.`,
  );
  console.log(
    `Ready again at most ${most(waits.database)} ms after the database, ${most(waits.application)} ms after the application was killed and started again.`,
  );
  for (const line of bad.slice(0, 20)) console.log(`  ${line}`);
  console.log(bad.length === 0 ? 'Nothing lost.' : `${bad.length} bad.`);
} finally {
  working = false;
  await application.stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(bad.length === 0 ? 0 : 1);
