import type { APIContext, APIRoute } from 'astro';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { operation } from '@/contract/operation';
import { EVERYONE } from '@/contract/routes';
import { auth } from '@/server/auth/auth';
import { asTenant } from '@/server/database/tenant';
import { endpoint } from '@/server/http/endpoint';
import { changeClinic, readClinic } from '@/server/services/people/clinic';
import { addToken, listTokens, removeToken } from '@/server/services/people/tokens';
import { freshDatabase, PASSWORD, type TestDatabase } from './database';

let db: TestDatabase;
let cookie: string;
let token: string;

beforeAll(async () => {
  db = await freshDatabase();
  const { headers } = await auth().api.signInEmail({
    body: { email: 'practitioner@a.example', password: PASSWORD },
    returnHeaders: true,
  });
  cookie = headers
    .getSetCookie()
    .map((entry) => entry.split(';')[0])
    .join('; ');
  token = (
    await asTenant(db.clinicA.lead, (tenant) =>
      addToken(tenant, { name: 'machine', days: 1, access: 'write' }),
    )
  ).token;
});
afterAll(() => db.drop());

const echo = operation(
  { method: 'POST', path: '/echo/{id}', roles: EVERYONE },
  {
    id: 'echo',
    answer: z.object({ who: z.string(), size: z.number(), id: z.string() }),
    summary: '',
    tag: 'records',
    params: z.strictObject({ id: z.uuid() }),
    body: z.strictObject({ size: z.number().max(10, 'At most ten.') }),
  },
);
const NOBODY = { who: '', size: 0, id: '' };
const ID = '7d0f4b1e-58a4-4d3c-9a63-0c4f3f5a2b11';

async function ask(
  route: APIRoute,
  headers: Record<string, string>,
  body: string | undefined,
  id = ID,
): Promise<Response> {
  const url = new URL(`http://clinic.test/api/v1/echo/${id}`);
  const request = new Request(url, { method: 'POST', headers, ...(body === undefined ? {} : { body }) });
  return (await route({ request, url, params: { id } } as unknown as APIContext)) as Response;
}
const route = endpoint(echo, async ({ actor }, { body, params }) => ({
  who: actor.name,
  size: body.size,
  id: params.id,
}));

describe('an endpoint', () => {
  it('answers a token without an origin and a cookie with its own origin', async () => {
    const byToken = await ask(route, { authorization: `Bearer ${token}` }, '{"size":3}');
    expect(await byToken.json()).toEqual({ who: 'lead a', size: 3, id: ID });
    const byCookie = await ask(route, { cookie, origin: 'http://clinic.test' }, '{"size":4}');
    expect(await byCookie.json()).toMatchObject({ who: 'practitioner a', size: 4 });
  });

  it('refuses a cookie from another origin or from none', async () => {
    expect((await ask(route, { cookie, origin: 'http://elsewhere.test' }, '{"size":3}')).status).toBe(403);
    expect((await ask(route, { cookie }, '{"size":3}')).status).toBe(403);
  });

  it('names every wrong value with its path, parameters included', async () => {
    const answer = await ask(
      route,
      { authorization: `Bearer ${token}` },
      '{"size":30,"colour":"red"}',
      'not-an-id',
    );
    expect(answer.status).toBe(422);
    const { errors } = await answer.json();
    expect(errors.map((error: { path: string[] }) => error.path.join('.'))).toEqual(['path.id', 'size', '']);
    expect(errors[1].message).toBe('At most ten.');
  });

  it('a body over its limit is refused whether or not it says its length', async () => {
    const narrow = endpoint({ ...echo, bodyLimit: 20 }, async () => NOBODY);
    const long = JSON.stringify({ size: 1, padding: 'x'.repeat(100) });
    expect((await ask(narrow, { authorization: `Bearer ${token}` }, long)).status).toBe(413);
    expect(
      (await ask(narrow, { authorization: `Bearer ${token}`, 'content-length': '9999' }, '{}')).status,
    ).toBe(413);
  });

  it('keeps an unexpected failure to itself and gives a reference to look up', async () => {
    const broken = endpoint(echo, async () => {
      throw new Error('secret table missing');
    });
    const answer = await ask(broken, { authorization: `Bearer ${token}` }, '{"size":1}');
    expect(answer.status).toBe(500);
    const text = await answer.text();
    expect(text).toMatch(/Reference [0-9a-f]{8}/);
    expect(text).not.toContain('secret');
  });

  it('asks for the role that the operation names', async () => {
    const leadOnly = endpoint({ ...echo, roles: ['lead'] }, async () => NOBODY);
    expect((await ask(leadOnly, { cookie, origin: 'http://clinic.test' }, '{"size":1}')).status).toBe(403);
    expect((await ask(leadOnly, { authorization: `Bearer ${token}` }, '{"size":1}')).status).toBe(200);
  });
});

describe('tokens and clinic defaults', () => {
  it('a token is listed without its secret, noted when used, and belongs to its owner', async () => {
    const [mine] = await asTenant(db.clinicA.lead, listTokens);
    expect(mine).toMatchObject({ name: 'machine', lastUsedAt: expect.any(String) });
    expect(JSON.stringify(mine)).not.toContain(token);
    expect(await asTenant(db.clinicA.practitioner, listTokens)).toEqual([]);
    await expect(
      asTenant(db.clinicA.practitioner, (tenant) => removeToken(tenant, mine!.id)),
    ).rejects.toThrow('not found');
    await expect(asTenant(db.clinicB.lead, (tenant) => removeToken(tenant, mine!.id))).rejects.toThrow(
      'not found',
    );
  });

  it('an expired token opens nothing', async () => {
    const old = await asTenant(db.clinicA.lead, (tenant) =>
      addToken(tenant, { name: 'old', days: -1, access: 'write' }),
    );
    expect((await ask(route, { authorization: `Bearer ${old.token}` }, '{"size":1}')).status).toBe(401);
  });

  it('one clinic’s defaults are not another’s', async () => {
    await asTenant(db.clinicA.lead, (tenant) =>
      changeClinic(tenant, { school: 'load', lifeSchool: 'podiatry' }),
    );
    expect(await asTenant(db.clinicA.assistant, readClinic)).toMatchObject({
      school: 'load',
      lifeSchool: 'podiatry',
    });
    expect(await asTenant(db.clinicB.assistant, readClinic)).toMatchObject({
      school: 'balanced',
      lifeSchool: 'median',
    });
  });
});
