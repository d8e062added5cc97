import { createReadStream } from 'node:fs';
import { mkdtemp, open, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chunksOf } from './body';
import { Refusal } from './problem';

/** A large body that has arrived whole, on disk. */
export interface Spooled {
  chunks: () => AsyncIterable<Uint8Array>;
  text: () => Promise<string>;
  drop: () => Promise<void>;
}

/**
 * Takes a large body to disk before anything is done with it: memory stays flat, and whoever sends slowly holds no lock and
 * no connection. 413 beyond the limit, 408 after the deadline.
 */
export async function spool(
  body: ReadableStream<Uint8Array>,
  { limit, deadlineMs }: { limit: number; deadlineMs: number },
): Promise<Spooled> {
  const folder = await mkdtemp(join(tmpdir(), 'sovet-upload-'));
  const path = join(folder, 'body');
  const drop = () => rm(folder, { recursive: true, force: true });
  try {
    const file = await open(path, 'w', 0o600);
    try {
      let size = 0;
      for await (const chunk of chunksOf(body, deadlineMs)) {
        size += chunk.byteLength;
        if (size > limit) throw new Refusal(413, `The file is larger than ${limit / 1_000_000} MB.`);
        await file.write(chunk);
      }
    } finally {
      await file.close();
    }
  } catch (error) {
    await drop();
    if (error instanceof Refusal) throw error;
    throw new Refusal(400, 'The file broke off.');
  }
  return { chunks: () => createReadStream(path), text: () => readFile(path, 'utf8'), drop };
}
