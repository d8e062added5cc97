import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { startApplication } from '../../scripts/lib/application.mjs';
import { beside } from './databases';

/** What a test worker needs to stop the application and start it again. */
export interface RunningServer {
  port: number;
  secret: string;
  logins: { app: string; auth: string };
  /** The owner's address of its database. */
  databaseUrl: string;
  pid: number;
}

const FIRST = process.env.SOVET_TEST_DATABASE_URL ?? 'postgresql://none/none';

/** A database with the demo that nobody changes: others are copied from it. */
export const PRISTINE = beside(FIRST, 'pristine');

/** As many browsers at once as there are cores to the two that the tests are meant for: each with an application of its own. */
export const WORKERS = Math.min(2, availableParallelism());

/** Which of them this process is. */
const HERE = Number(process.env.TEST_PARALLEL_INDEX ?? 0);

/** One file for each test database and worker, so that two checkouts tested at once do not take each other's server. */
const key = createHash('sha256').update(FIRST).digest('hex');
const fileOf = (worker: number) => join(tmpdir(), `sovet-journeys-${key.slice(0, 12)}-${worker}.json`);

export const remember = (server: RunningServer, worker = HERE): void =>
  writeFileSync(fileOf(worker), JSON.stringify(server));
export const running = (worker = HERE): RunningServer => JSON.parse(readFileSync(fileOf(worker), 'utf8'));
export const origin = (): string => `http://127.0.0.1:${running().port}`;

/** Kills the application outright, as a power cut would. */
export async function killServer(): Promise<void> {
  const { pid } = running();
  process.kill(pid, 'SIGKILL');
  for (let tries = 0; tries < 50; tries += 1) {
    const answers = await fetch(`${origin()}/healthz`).then(
      () => true,
      () => false,
    );
    if (!answers) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

export async function startServer(worker = HERE): Promise<void> {
  const { pid } = await startApplication({ ...running(worker), env: { SOVET_SIGN_IN_LIMIT: '200' } });
  remember({ ...running(worker), pid }, worker);
}
