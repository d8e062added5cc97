import { afterEach, describe, expect, it, vi } from 'vitest';
import { errorAt, failureInWords, fieldErrorsOf } from './answer';
import { call, fetchFile, followLines } from './client';

interface Sent {
  address: string;
  method: string;
  body: unknown;
  headers: Record<string, string>;
}

const answers = (respond: (sent: Sent) => Response | Promise<Response>) =>
  vi.stubGlobal('fetch', (address: string, init: RequestInit) =>
    Promise.resolve().then(() =>
      respond({
        address,
        method: String(init.method),
        body: init.body,
        headers: init.headers as Record<string, string>,
      }),
    ),
  );
afterEach(() => vi.unstubAllGlobals());

const json = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
const ID = '3f0c9a52-6a1e-4f0b-9a53-0d5a7b1f2c11';

describe('calling an operation by its name', () => {
  it('fills in the path, sends the body as JSON and gives back what the server answers', async () => {
    let sent: Sent | undefined;
    answers((request) => {
      sent = request;
      return json(200, { revision: 4, savedAt: '2031-06-15T09:40:00.000Z' });
    });
    const answer = await call('saveStep', {
      params: { id: ID, step: 'old-pair' },
      body: { revision: 3, state: 'done', content: {} },
    });
    expect(sent).toMatchObject({ address: `/api/v1/visits/${ID}/steps/old-pair`, method: 'PUT' });
    expect(sent?.headers).toEqual({ 'content-type': 'application/json' });
    expect(JSON.parse(String(sent?.body))).toEqual({ revision: 3, state: 'done', content: {} });
    expect(answer).toEqual({ ok: true, value: { revision: 4, savedAt: '2031-06-15T09:40:00.000Z' } });
  });

  it('writes a query, leaving out what is undefined, and no body where there is none', async () => {
    let sent: Sent | undefined;
    answers((request) => {
      sent = request;
      return json(200, []);
    });
    await call('orders', { query: { open: 'yes', patient: undefined } });
    expect(sent?.address).toBe('/api/v1/orders?open=yes');
    expect(sent?.body).toBeUndefined();
    expect(sent?.headers).toEqual({});
  });

  it('an answer without content is null', async () => {
    answers(() => new Response(null, { status: 204 }));
    expect(await call('removeToken', { params: { id: ID } })).toEqual({ ok: true, value: null });
  });

  it('a lost connection, a proxy that reaches nobody and a cancelled call are values, not exceptions', async () => {
    answers(() => {
      throw new TypeError('network');
    });
    expect(await call('today', {})).toEqual({ ok: false, kind: 'offline' });
    answers(() => new Response('<html>', { status: 502 }));
    expect(await call('today', {})).toEqual({ ok: false, kind: 'offline' });
    const abort = new AbortController();
    abort.abort();
    answers(() => {
      throw new DOMException('aborted', 'AbortError');
    });
    expect(await call('today', {}, { signal: abort.signal })).toEqual({ ok: false, kind: 'cancelled' });
  });

  it('tells an expired sign-in from a refusal, and an answer that is no JSON from both', async () => {
    answers(() => json(401, { title: 'Sign in to go on.', code: 'signed-out' }));
    expect(await call('today', {})).toEqual({ ok: false, kind: 'signed-out' });
    answers(() => new Response('<html>', { status: 500 }));
    const broken = await call('today', {});
    expect(broken).toMatchObject({ ok: false, kind: 'refused', problem: { code: 'failed', status: 500 } });
    answers(() => new Response('no json', { status: 200 }));
    expect(await call('today', {})).toMatchObject({ ok: false, kind: 'refused' });
  });

  it('a conflict carries what stands on the server, under its own type', async () => {
    const current = { step: 'ask', revision: 7, content: { findings: {} } };
    answers(() => json(409, { title: 'Somebody saved before you.', status: 409, code: 'conflict', current }));
    const answer = await call('saveStep', {
      params: { id: ID, step: 'ask' },
      body: { revision: 6, state: 'done', content: {} },
    });
    if (answer.ok || answer.kind !== 'refused' || answer.problem.code !== 'conflict')
      throw new Error('a conflict was expected');
    expect(answer.problem.current?.revision).toBe(7);
  });

  it('names what is wrong at each field, and all of it in one sentence', async () => {
    const errors = [
      { path: ['bornOn'], message: 'Check the year of birth.' },
      { path: ['name', 'givenName'], message: 'Enter the given name.' },
    ];
    answers(() =>
      json(422, { title: 'Some values cannot be accepted.', status: 422, code: 'invalid', errors }),
    );
    const answer = await call('startVisit', { params: { id: ID } });
    if (answer.ok) throw new Error('a refusal was expected');
    expect(fieldErrorsOf(answer)).toEqual(errors);
    expect(errorAt(answer, 'givenName')).toBe('Enter the given name.');
    expect(errorAt(answer, 'height')).toBeUndefined();
    expect(failureInWords(answer)).toBe(
      'Some values cannot be accepted. Check the year of birth. Enter the given name.',
    );
  });
});

describe('a file from a simulated device', () => {
  it('asks with its settings and names the file as the device does', async () => {
    let address = '';
    answers((sent) => {
      address = sent.address;
      return new Response('time_s,row', {
        headers: {
          'content-type': 'text/csv',
          'content-disposition': 'attachment; filename="step-left.csv"',
        },
      });
    });
    const answer = await fetchFile('pressurePlate', { query: { side: 'left', peakKpa: 380.5 } });
    expect(address).toBe('/api/v1/devices/pressure-plate?side=left&peakKpa=380.5');
    expect(answer.ok && answer.value.name).toBe('step-left.csv');
    expect(answer.ok && (await answer.value.text())).toBe('time_s,row');
  });

  it('says the device’s own sentence for a setting it refuses', async () => {
    const message = 'The arch index lies between 0.15 and 0.36.';
    answers(() =>
      json(422, {
        title: 'Some values cannot be accepted.',
        code: 'invalid',
        errors: [{ path: ['query', 'archIndex'], message }],
      }),
    );
    const answer = await fetchFile('footprintScanner', { query: { archIndex: 2 } });
    expect(answer.ok ? '' : failureInWords(answer)).toContain(message);
  });
});

describe('an answer that comes line by line', () => {
  const streamed = (text: string) => answers(() => new Response(text, { status: 200 }));

  it('hands over each line as it arrives and ends with the last', async () => {
    streamed('{"rows":10}\n{"rows":20}\n{"finished":true}\n');
    const lines: unknown[] = [];
    const answer = await followLines('importCatalogue', { body: new Blob(['x']) }, (line) =>
      lines.push(line),
    );
    expect(lines).toEqual([{ rows: 10 }, { rows: 20 }, { finished: true }]);
    expect(answer).toEqual({ ok: true, value: { finished: true } });
  });

  it('sends a file as it is, under its own type', async () => {
    let sent: Sent | undefined;
    answers((request) => {
      sent = request;
      return new Response('', { status: 200 });
    });
    const file = new Blob(['[]'], { type: 'application/json' });
    await followLines('importCatalogue', { body: file }, () => {});
    expect(sent?.body).toBe(file);
    expect(sent?.headers).toEqual({ 'content-type': 'application/json' });
  });

  it('a stream that breaks off is a lost connection', async () => {
    const broken = new ReadableStream({
      start(controller) {
        controller.enqueue(new TextEncoder().encode('{"rows":1}\n'));
        controller.error(new Error('reset'));
      },
    });
    answers(() => new Response(broken, { status: 200 }));
    expect(await followLines('importCatalogue', {}, () => {})).toEqual({ ok: false, kind: 'offline' });
  });
});
