// Prepares a database and runs the built application on it.
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { isRoot, ROOT } from './packages.mjs';

/** Migrates, makes the logins, loads the demo, as built; returns the two addresses the application connects with. */
export function prepareDatabase(ownerUrl, secret, env = {}) {
  const done = spawnSync(process.execPath, ['dist/processes/cli/prepare.js'], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      SOVET_DEMO: 'on',
      SOVET_OWNER_DATABASE_URL: ownerUrl,
      SOVET_SECRET: secret,
      ...env,
    },
  });
  if (done.status !== 0) throw new Error('The database could not be prepared.');
  return JSON.parse(done.stdout.trim().split('\n').at(-1));
}

/** What the application may see of the environment: never the owner's address or password. */
const PASSED_ON = [
  'PATH',
  'HOME',
  'LANG',
  'LC_ALL',
  'TZ',
  'TMPDIR',
  'NODE_OPTIONS',
  'NODE_EXTRA_CA_CERTS',
  'SOVET_LOG',
  'SOVET_PROXIES',
  'SOVET_SIGN_IN_LIMIT',
  'SOVET_CONNECTIONS',
  'SOVET_KEPT_PLANS',
  'SOVET_REPLICA',
  'SOVET_SMTP',
  'SOVET_MAIL_FROM',
];

/** Started as root, the application runs as a user that owns nothing. */
function unprivileged() {
  if (!isRoot()) return {};
  const id = (flag) => Number(spawnSync('id', [flag, 'nobody'], { encoding: 'utf8' }).stdout);
  const user = { uid: id('-u'), gid: id('-g') };
  const reads = spawnSync(
    process.execPath,
    ['-e', 'require("node:fs").readdirSync(process.argv[1])', join(ROOT, 'dist/server')],
    {
      ...user,
      cwd: '/',
      stdio: 'ignore',
    },
  );
  if (reads.status === 0) return user;
  console.warn(
    `The folder ${ROOT} can be read by root alone, so the application runs as root. Put it where others may read.`,
  );
  return {};
}

/** Where it listens, as an address that this machine can call. */
const callable = (host) =>
  host === '0.0.0.0' ? '127.0.0.1' : host === '::' ? '[::1]' : host.includes(':') ? `[${host}]` : host;

export const listenHost = () => process.env.HOST || '127.0.0.1';

/**
 * Room for what a request leaves behind, MB: with the usual 16 it is looked through so often that, with a hundred people at once, one
 * fifteenth of the processor goes there. Costs a copy 80 to 100 MB.
 */
const YOUNG_MB = 64;

/** Starts the built server and waits until it answers. */
export async function startApplication({ port, secret, logins, env = {} }) {
  const host = listenHost();
  const here = `http://${callable(host)}:${port}`;
  const origin = env.SOVET_ORIGIN ?? process.env.SOVET_ORIGIN ?? here;
  const passed = Object.fromEntries(
    PASSED_ON.flatMap((name) => (process.env[name] === undefined ? [] : [[name, process.env[name]]])),
  );
  const server = spawn(
    process.execPath,
    [`--max-semi-space-size=${YOUNG_MB}`, join(ROOT, 'scripts/serve.mjs')],
    {
      cwd: ROOT,
      detached: true,
      stdio: ['ignore', 'ignore', 'inherit'],
      ...unprivileged(),
      env: {
        ...passed,
        NODE_ENV: 'production',
        HOST: host,
        PORT: String(port),
        SOVET_ORIGIN: origin,
        SOVET_SECRET: secret,
        SOVET_APP_DATABASE_URL: process.env.SOVET_APP_DATABASE_URL ?? logins.app,
        SOVET_AUTH_DATABASE_URL: process.env.SOVET_AUTH_DATABASE_URL ?? logins.auth,
        ...env,
      },
    },
  );
  const ended = new Promise((resolve) => server.once('exit', resolve));
  const stop = async (signal = 'SIGTERM') => {
    if (server.exitCode === null && server.signalCode === null) server.kill(signal);
    await ended;
  };
  for (let tries = 0; tries < 150; tries += 1) {
    if (server.exitCode !== null || server.signalCode !== null) break;
    const answer = await fetch(`${here}/readyz`, { signal: AbortSignal.timeout(2000) }).catch(() => null);
    if (answer?.ok) return { origin, here, stop, ended, pid: server.pid };
    await wait(100);
  }
  await stop();
  throw new Error('The application did not come up; the lines above say why.');
}
