import { existsSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { test as setup } from '@playwright/test';
import { prepareDatabase } from '../../scripts/lib/application.mjs';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { beside, copyDatabase } from './databases';
import { PRISTINE, remember, startServer, WORKERS } from './server';

const SECRET = 'a secret that only the browser tests know, long enough';

setup('each worker has a demo clinic that nobody else changes, and the built application on it', async () => {
  const first = process.env.SOVET_TEST_DATABASE_URL ?? '';
  const workers = Array.from({ length: WORKERS }, (_, worker) => worker);
  const logins = prepareDatabase(first, SECRET);
  await copyDatabase(first, PRISTINE);
  for (const worker of workers) {
    const databaseUrl = worker === 0 ? first : beside(first, String(worker));
    if (worker > 0) await copyDatabase(PRISTINE, databaseUrl);
    remember(
      {
        port: await freePort(),
        secret: SECRET,
        logins: worker === 0 ? logins : prepareDatabase(databaseUrl, SECRET),
        databaseUrl,
        pid: 0,
      },
      worker,
    );
  }
  await Promise.all(workers.map(startServer));
});

// What runs before the stories may still run: they begin once it has ended.
setup.afterAll(async () => {
  setup.setTimeout(0);
  const held = process.env.SOVET_HELD_WHILE_THERE ?? '';
  while (existsSync(held)) await wait(100);
});
