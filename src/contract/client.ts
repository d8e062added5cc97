import type { Answer } from './answer';
import type { api } from './contract';
import { jsonLines } from './json-lines';
import type { AnswerOf, CallInput, ConflictOf, ProblemDetails } from './operation';
import { type OperationName, ROUTES } from './routes';

type Api = typeof api;

export interface SendOptions {
  /** Lets the call outlive the page. */
  keepalive?: boolean;
  signal?: AbortSignal | undefined;
}

interface Sent {
  params?: Readonly<Record<string, unknown>> | undefined;
  query?: Readonly<Record<string, unknown>> | undefined;
  body?: unknown;
}

/** The parts of a typed input, whatever they hold. */
const partsOf = (input: object): Sent => input;

/** `/visits/{id}` with its parameters filled in, and its query. */
function addressOf(path: string, { params = {}, query = {} }: Sent): string {
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(params[name])));
  const search = new URLSearchParams(
    Object.entries(query).flatMap(([name, value]) => (value === undefined ? [] : [[name, String(value)]])),
  ).toString();
  return `/api/v1${filled}${search ? `?${search}` : ''}`;
}

const UNREADABLE: ProblemDetails = {
  type: 'about:blank',
  title: 'The server did not answer properly.',
  status: 500,
  code: 'failed',
};

/** Statuses of a proxy that does not reach the server. */
const isUnreached = (status: number): boolean => status >= 502 && status <= 504;

/** The one place where the browser talks to the API. Never throws: a lost connection is a value like any other. */
async function send(name: OperationName, sent: Sent, options: SendOptions): Promise<Answer<Response>> {
  const { method, path } = ROUTES[name];
  const { body } = sent;
  const isFile = body instanceof Blob;
  let response: Response;
  try {
    response = await fetch(addressOf(path, sent), {
      method,
      keepalive: options.keepalive ?? false,
      signal: options.signal ?? null,
      headers:
        body === undefined ? {} : { 'content-type': isFile ? body.type || 'text/csv' : 'application/json' },
      ...(body === undefined ? {} : { body: isFile ? body : JSON.stringify(body) }),
    });
  } catch {
    return { ok: false, kind: options.signal?.aborted ? 'cancelled' : 'offline' };
  }
  if (response.ok) return { ok: true, value: response };
  if (response.status === 401) return { ok: false, kind: 'signed-out' };
  if (isUnreached(response.status)) return { ok: false, kind: 'offline' };
  const problem: ProblemDetails | null = await response.json().catch(() => null);
  return {
    ok: false,
    kind: 'refused',
    problem: problem?.title && problem.code ? problem : { ...UNREADABLE, status: response.status },
  };
}

/**
 * Calls an operation by its name and answers what the contract says.
 *
 * @example const answer = await call('saveStep', { params: { id, step: 'ask' }, body: { revision, state, content } });
 */
export async function call<K extends OperationName>(
  name: K,
  input: CallInput<Api[K]>,
  options: SendOptions = {},
): Promise<Answer<AnswerOf<Api[K]>, ConflictOf<Api[K]>>> {
  const answer = await send(name, partsOf(input), options);
  // The server answers what the contract says: tests hold every operation to its schemas.
  if (!answer.ok) return answer as Answer<AnswerOf<Api[K]>, ConflictOf<Api[K]>>;
  const value = answer.value.status === 204 ? null : await answer.value.json().catch(() => undefined);
  return value === undefined
    ? { ok: false, kind: 'refused', problem: { ...UNREADABLE, code: 'failed' } }
    : { ok: true, value };
}

/** Operations that answer with a file or a stream. */
export type FileOperation = {
  [K in OperationName]: Api[K] extends { produces: string } ? K : never;
}[OperationName];

/** Calls an operation that answers with a file, under the name that the server gives it. */
export async function fetchFile<K extends FileOperation>(
  name: K,
  input: CallInput<Api[K]>,
  options: SendOptions = {},
): Promise<Answer<File>> {
  const answer = await send(name, partsOf(input), options);
  if (!answer.ok) return answer;
  const { headers } = answer.value;
  const named = /filename="([^"]+)"/.exec(headers.get('content-disposition') ?? '')?.[1] ?? name;
  try {
    const blob = await answer.value.blob();
    return { ok: true, value: new File([blob], named, { type: blob.type }) };
  } catch {
    return { ok: false, kind: 'offline' };
  }
}

/**
 * Calls an operation that answers a line of JSON at a time. `onLine` gets each as it arrives; the answer is the last
 * one, or what went wrong. Aborting cancels the work on the server.
 */
export async function followLines<Line>(
  name: FileOperation,
  input: Sent,
  onLine: (line: Line) => void,
  options: SendOptions = {},
): Promise<Answer<Line | null>> {
  const answer = await send(name, input, options);
  if (!answer.ok) return answer;
  let last: Line | null = null;
  try {
    if (answer.value.body)
      for await (const line of jsonLines<Line>(answer.value.body)) {
        last = line;
        onLine(line);
      }
    return { ok: true, value: last };
  } catch {
    return { ok: false, kind: options.signal?.aborted ? 'cancelled' : 'offline' };
  }
}
