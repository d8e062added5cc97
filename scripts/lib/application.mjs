// Prepares a database and runs the built application on it.
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './packages.mjs';

/** Migrates, makes the logins, loads the demo; returns the two addresses the application connects with. */
export function prepareDatabase(ownerUrl, secret, env = {}) {
  const done = spawnSync(process.execPath, ['--import', 'tsx', 'src/server/cli/prepare.ts'], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, SOVET_OWNER_DATABASE_URL: ownerUrl, SOVET_SECRET: secret, ...env },
  });
  if (done.status !== 0) throw new Error('The database could not be prepared.');
  return JSON.parse(done.stdout.trim().split('\n').at(-1));
}

/** Starts the built server and waits until it answers. */
export async function startApplication({ port, secret, logins, env = {} }) {
  const origin = env.SOVET_ORIGIN ?? process.env.SOVET_ORIGIN ?? `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, [join(ROOT, 'dist/server/entry.mjs')], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: process.env.HOST ?? '127.0.0.1',
      PORT: String(port),
      SOVET_ORIGIN: origin,
      SOVET_SECRET: secret,
      SOVET_APP_DATABASE_URL: process.env.SOVET_APP_DATABASE_URL ?? logins.app,
      SOVET_AUTH_DATABASE_URL: process.env.SOVET_AUTH_DATABASE_URL ?? logins.auth,
      ...env,
    },
  });
  const ended = new Promise((resolve) => server.once('exit', resolve));
  const stop = async (signal = 'SIGTERM') => {
    if (server.exitCode === null && server.signalCode === null) server.kill(signal);
    await ended;
  };
  for (let tries = 0; tries < 100; tries += 1) {
    if (server.exitCode !== null) break;
    const answer = await fetch(`http://127.0.0.1:${port}/healthz`).catch(() => null);
    if (answer?.ok) return { origin, stop, ended, pid: server.pid };
    await wait(100);
  }
  await stop();
  throw new Error('The application did not come up; the lines above say why.');
}
