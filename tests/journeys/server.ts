import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startApplication } from '../../scripts/lib/application.mjs';

/** What a test worker needs to stop the application and start it again. */
export interface RunningServer {
  port: number;
  secret: string;
  logins: { app: string; auth: string };
  pid: number;
}

/** One file for each test database, so that two checkouts tested at once do not take each other's server. */
const key = createHash('sha256')
  .update(process.env.SOVET_TEST_DATABASE_URL ?? '')
  .digest('hex');
const file = join(tmpdir(), `sovet-journeys-${key.slice(0, 12)}.json`);

export const remember = (server: RunningServer): void => writeFileSync(file, JSON.stringify(server));
export const running = (): RunningServer => JSON.parse(readFileSync(file, 'utf8'));
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

export async function startServer(): Promise<void> {
  const { pid } = await startApplication({ ...running(), env: { SOVET_SIGN_IN_LIMIT: '200' } });
  remember({ ...running(), pid });
}
