import { Refusal } from './problem';

/** Enough for every form; larger uploads get their own limits. */
export const BODY_LIMIT = 256 * 1024;

/** A body as it comes, piece by piece. */
export async function* chunksOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = body.getReader();
  try {
    for (let next = await reader.read(); !next.done; next = await reader.read()) yield next.value;
  } finally {
    reader.releaseLock();
  }
}

/** Reads a JSON body, never holding more than the limit: 413 beyond it, 400 when it is no JSON. */
export async function readJson(request: Request, limit = BODY_LIMIT): Promise<unknown> {
  const tooLarge = () => new Refusal(413, `The request is larger than ${Math.round(limit / 1024)} kB.`);
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  if (!request.body) return undefined;
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of chunksOf(request.body)) {
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
