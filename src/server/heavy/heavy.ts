import type { ChildProcess } from 'node:child_process';
import { log } from '../http/log';
import { Refusal } from '../http/problem';
import type { MadeFile } from './device-files';
import type { HeavyAsked, HeavyInput, HeavyKind, HeavyResult, HeavySaid } from './heavy-process';
import { processBeside } from './process-beside';

/** Processes at work at once, and how many requests may wait for one. */
const AT_ONCE = 2;
const WAITING = 8;
const DEADLINE_MS = 30_000;

const idle: ChildProcess[] = [];
const queue: ((worker: ChildProcess) => void)[] = [];
let workers = 0;

function startWorker(): ChildProcess {
  const child = processBeside('heavy/heavy-process');
  workers += 1;
  child.on('error', (error) => log.error({ err: error }, 'a process for heavy work'));
  child.once('exit', () => {
    workers -= 1;
    const at = idle.indexOf(child);
    if (at >= 0) idle.splice(at, 1);
  });
  // An idle one keeps nobody alive.
  child.unref();
  child.channel?.unref();
  return child;
}

function workerFor(): Promise<ChildProcess> {
  const free = idle.pop();
  if (free) return Promise.resolve(free);
  if (workers < AT_ONCE) return Promise.resolve(startWorker());
  if (queue.length >= WAITING)
    throw new Refusal(503, 'Many files are being made just now. Try again in a moment.');
  return new Promise((resolve) => queue.push(resolve));
}

function release(worker: ChildProcess): void {
  const alive = worker.connected;
  const next = queue.shift();
  if (next) next(alive ? worker : startWorker());
  else if (alive) idle.push(worker);
}

function answerOf<K extends HeavyKind>(worker: ChildProcess): Promise<HeavySaid<K>> {
  return new Promise((resolve, reject) => {
    const settle = (work: () => void) => {
      clearTimeout(timer);
      worker.off('message', said);
      worker.off('exit', ended);
      work();
    };
    const said = (message: HeavySaid<K>) => settle(() => resolve(message));
    const ended = () => settle(() => reject(new Error('The process for heavy work ended.')));
    const timer = setTimeout(() => {
      worker.kill('SIGKILL');
      settle(() => reject(new Refusal(503, 'This took too long. Try again in a moment.')));
    }, DEADLINE_MS);
    worker.on('message', said);
    worker.once('exit', ended);
  });
}

/** Works outside the server's own thread: a few at once, a few more waiting, the rest told to come again (503). */
export async function heavy<K extends HeavyKind>(kind: K, input: HeavyInput<K>): Promise<HeavyResult<K>> {
  const worker = await workerFor();
  try {
    const answer = answerOf<K>(worker);
    worker.send({ kind, input } as HeavyAsked);
    const said = await answer;
    if ('failed' in said) throw new Error(`Heavy work failed: ${said.failed}`);
    return said.done;
  } finally {
    release(worker);
  }
}

/** A made file as the answer. */
export const fileResponse = (
  { bytes, type, name }: MadeFile,
  disposition: 'attachment' | 'inline' = 'attachment',
): Response =>
  new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': type,
      'content-disposition': `${disposition}; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
