import { Refusal } from './problem';

/** Enough for every form; larger uploads get their own limits. */
export const BODY_LIMIT = 256 * 1024;

/** A body has to be here by then: whoever trickles one in holds nothing but its own connection. */
export const BODY_DEADLINE_MS = 20_000;

/** A body as it comes, piece by piece; 408 when it has not ended in time. */
export async function* chunksOf(
  body: ReadableStream<Uint8Array>,
  deadlineMs: number,
): AsyncGenerator<Uint8Array> {
  const reader = body.getReader();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Refusal(408, 'The request took too long to arrive.')), deadlineMs);
  });
  try {
    for (;;) {
      const next = await Promise.race([reader.read(), late]);
      if (next.done) return;
      yield next.value;
    }
  } catch (error) {
    // What still comes is not waited for.
    void reader.cancel().catch(() => null);
    throw error;
  } finally {
    clearTimeout(timer);
    reader.releaseLock();
  }
}

/** Reads a JSON body, never holding more than the limit: 413 beyond it, 408 when it does not come, 400 when it breaks off or is no JSON. */
export async function readJson(
  request: Request,
  limit = BODY_LIMIT,
  deadlineMs = BODY_DEADLINE_MS,
): Promise<unknown> {
  const tooLarge = () => new Refusal(413, `The request is larger than ${Math.round(limit / 1024)} kB.`);
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  if (!request.body) return undefined;
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of chunksOf(request.body, deadlineMs)) {
      size += chunk.byteLength;
      if (size > limit) throw tooLarge();
      chunks.push(chunk);
    }
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(400, 'The request broke off.');
  }
  const text = Buffer.concat(chunks).toString('utf8');
  if (text === '') return undefined;
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(400, 'The request is not valid JSON.');
  }
}
