import { expect, test } from '@playwright/test';
import { PASSWORD, signIn } from './keyboard';
import { origin } from './server';
import { accessToken } from './token';

const json = { 'content-type': 'application/json' };
const at = (path: string) => `${origin()}/api/v1${path}`;

test.describe('the HTTP API', () => {
  let token: string;
  test.beforeAll(async ({ browser }) => {
    token = await accessToken(browser);
  });
  const post = (path: string, body: unknown, headers: Record<string, string> = {}) =>
    fetch(at(path), {
      method: 'POST',
      headers: { ...json, authorization: `Bearer ${token}`, ...headers },
      body: JSON.stringify(body),
    });

  test('describes itself in OpenAPI 3.1, every call with its errors', async () => {
    const document = await (await fetch(at('/openapi.json'))).json();
    expect(document.openapi).toBe('3.1.0');
    expect(Object.keys(document.paths)).toEqual(
      expect.arrayContaining([
        '/calculations/specification',
        '/calculations/sizes',
        '/calculations/socks',
        '/calculations/alignment',
        '/calculations/wear',
        '/calculations/comparison',
        '/calculations/next-questions',
        '/calculations/what-if',
        '/knowledge/house-rules/preview',
        '/visits/{id}/steps/{step}',
      ]),
    );
    const { $ref } =
      document.paths['/calculations/specification'].post.requestBody.content['application/json'].schema;
    expect($ref).toBe('#/components/schemas/calculateSpecificationBody');
    const { findings } = document.components.schemas.calculateSpecificationBody.properties;
    expect(findings.properties.left.properties.footLength).toMatchObject({
      type: 'number',
      minimum: 90,
      maximum: 360,
    });
  });

  test('simulated devices answer with the file they are described to write', async () => {
    const document = await (await fetch(at('/openapi.json'))).json();
    for (const [device, type] of [
      ['footprint-scanner', 'image/png'],
      ['foot-scanner', 'model/stl'],
      ['pressure-plate', 'text/csv'],
      ['gait-camera', 'image/png'],
      ['knee-camera', 'image/png'],
    ] as const) {
      const described = document.paths[`/devices/${device}`].get.responses['200'].content;
      expect(Object.keys(described), device).toEqual([type]);
      const answer = await fetch(at(`/devices/${device}?side=left`), {
        headers: { authorization: `Bearer ${token}` },
      });
      expect(answer.status, device).toBe(200);
      expect(answer.headers.get('content-type'), device).toContain(type);
      expect((await answer.arrayBuffer()).byteLength, device).toBeGreaterThan(1000);
    }
    const refused = await fetch(at('/devices/pressure-plate?peakKpa=9000'), {
      headers: { authorization: `Bearer ${token}` },
    });
    expect(refused.status).toBe(422);
    expect((await refused.json()).errors[0]).toMatchObject({ path: ['query', 'peakKpa'] });
  });

  test('every described call exists', async () => {
    const document = await (await fetch(at('/openapi.json'))).json();
    for (const [path, methods] of Object.entries(document.paths as Record<string, Record<string, unknown>>)) {
      for (const method of Object.keys(methods)) {
        const real = path
          .replaceAll('{id}', '00000000-0000-4000-8000-000000000000')
          .replaceAll('{step}', 'ask');
        const answer = await fetch(at(real), { method: method.toUpperCase(), headers: json });
        expect(answer.status, `${method} ${path}`).toBe(401);
      }
    }
  });

  test('calculates with a token', async () => {
    const socks = await (
      await post('/calculations/socks', {
        inventory: [{ ply: 3, hole: false, quantity: 3 }],
        wantedPly: 9,
        needsHole: false,
      })
    ).json();
    expect(socks.exact.socks).toEqual([3, 3, 3]);
    const lean = await (
      await post('/calculations/alignment', { shoeRiseMm: 20, setRiseMm: 9.5, leverMm: 180 })
    ).json();
    expect(lean.angleDeg).toBeCloseTo(3.34, 2);
    const sizes = await (await post('/calculations/sizes', { footLengthMm: 262.5 })).json();
    expect(sizes.find((row: { system: string }) => row.system === 'us-men').size).toBe(9);
    const wear = await (
      await post('/calculations/wear', { ageDays: 100, log: [{ day: 50, amount: 300 }] })
    ).json();
    expect(wear.weekly).toBeCloseTo(21, 6);
    const specification = await (
      await post('/calculations/specification', { findings: { left: { roll: 'out', arch: 'high' } } })
    ).json();
    expect(
      specification.targets.find((target: { feature: string }) => target.feature === 'medialSupport').options,
    ).not.toContain('post');
    // Purposes that exclude each other are pairs of their own; one is picked by its purpose.
    const findings = { body: { activities: ['road-running', 'lifting-upright'] } };
    for (const pair of ['road-running', 'lifting-upright']) {
      const answer = await (await post('/calculations/specification', { findings, pair })).json();
      expect(answer.pairs.map(({ id }: { id: string }) => id)).toEqual(['road-running', 'lifting-upright']);
      expect(answer.pair).toBe(pair);
      expect(answer.deadlocks).toEqual([]);
    }
  });

  test('reasons: every school, what hangs on what, what to ask next, what if', async () => {
    const findings = {
      body: { conditions: ['diabetes'], ageYears: 70 },
      left: { arch: 'low', archMobility: 'flexible', roll: 'in', pain: ['achilles-mid'] },
    };
    const comparison = await (await post('/calculations/comparison', { findings })).json();
    expect(comparison.schools).toEqual(['balanced', 'comfort', 'load', 'shape']);
    const drop = comparison.rows.find((row: { feature: string }) => row.feature === 'drop');
    expect(drop).toMatchObject({ differs: true });
    expect(comparison.limitsOfUse).toContain('not a diagnosis');
    const next = await (await post('/calculations/next-questions', { findings })).json();
    expect(next.questions[0]).toMatchObject({ finding: 'sensation', seconds: 120, step: 'feet' });
    const reliance = await (await post('/calculations/reliance', { findings, school: 'load' })).json();
    expect(reliance.reliance.drop[0].finding).toBe('pain');
    const from = { drop: 8, heelStack: 28, forefootStiffness: 2, heelCushioning: 3, rocker: 1, stepRate: 0 };
    const whatIf = await (await post('/calculations/what-if', { from, to: { ...from, stepRate: 5 } })).json();
    const knee = whatIf.regions.find((region: { region: string }) => region.region === 'knee');
    expect(knee.lines[0].size).toEqual({ low: -20, high: -20 });
    expect(whatIf.caution).toContain('not dose');
    const refused = await post('/calculations/what-if', { from, to: { ...from, drop: 90 } });
    expect((await refused.json()).errors[0].path).toEqual(['to', 'drop']);
  });

  test('decides: an overruled target travels with what the rules said, a bad decision is refused at its field', async () => {
    const findings = { left: { pain: ['achilles-mid'] } };
    const decision = { feature: 'drop', kind: 'overrule', band: { from: 4, to: 6 }, reason: 'trained to it' };
    const specification = await (
      await post('/calculations/specification', { findings, decisions: [decision] })
    ).json();
    const drop = specification.targets.find((target: { feature: string }) => target.feature === 'drop');
    expect(drop).toMatchObject({ best: 6, decision: { kind: 'overrule', ruled: { best: 10 } } });
    const refused = await post('/calculations/specification', {
      findings,
      decisions: [{ ...decision, band: { from: 9, to: 4 } }],
    });
    expect(refused.status).toBe(422);
    expect((await refused.json()).errors[0].path).toEqual(['decisions', 0, 'band']);
  });

  test('knowledge and house rules: read by all, refused where they cannot hold', async () => {
    const headers = { authorization: `Bearer ${token}` };
    const knowledge = await (await fetch(at('/knowledge'), { headers })).json();
    expect(knowledge.rules.length).toBeGreaterThan(180);
    expect(knowledge.use.some((entry: { fired: number }) => entry.fired > 0)).toBe(true);
    const versions = await (await fetch(at('/knowledge/house-rules'), { headers })).json();
    expect(versions.at(-1)).toMatchObject({ version: 1, madeBy: 'Maren Odell' });
    const refused = await post('/knowledge/house-rules/preview', {
      changes: [{ kind: 'off', rule: 'nobody', reason: 'test' }],
      settings: {},
    });
    expect(refused.status).toBe(422);
    expect((await refused.json()).errors[0]).toMatchObject({ path: ['changes', 0] });
    const late = await post('/knowledge/house-rules', {
      changes: [],
      settings: {},
      basedOn: 0,
      note: 'late',
    });
    expect(late.status).toBe(409);
    expect((await late.json()).current.version).toBeGreaterThanOrEqual(2);
  });

  test('shoes: candidates with sizes, advice on a fit, a catalogue out and in, orders', async () => {
    const get = (path: string) => fetch(at(path), { headers: { authorization: `Bearer ${token}` } });
    const findings = {
      body: { sizingGroup: 'women', activities: ['walking'] },
      left: { footLength: 244, ballWidth: 94 },
      right: { footLength: 241, ballWidth: 93 },
    };
    const { candidates, toTry } = await (
      await post('/calculations/candidates', { findings, limit: 3 })
    ).json();
    expect(candidates).toHaveLength(3);
    expect(candidates[0].size.left.roomMm).toBeGreaterThanOrEqual(9.9);
    expect(candidates[0].fit).toMatch(/95 %/);
    expect(toTry.map(({ role }: { role: string }) => role)[0]).toBe('optimum');
    const [{ id, size }] = candidates;
    const tryOn = { model: id, sizeLeft: size.left.size, sizeRight: size.right.size, width: size.left.width };
    const fit = await post('/calculations/fit-advice', {
      findings,
      tryOns: [{ ...tryOn, left: { roomMm: 4 }, feels: ['too-firm'] }],
    });
    const advised = await fit.json();
    expect(advised.advice[0].advice[0]).toMatchObject({ level: 'stop', field: 'roomMm' });
    expect(advised.next.direction).toBe('softer');
    const like = await post('/calculations/more-like', { findings, model: id, but: 'wider' });
    expect(like.status).toBe(200);
    const wrong = await post('/calculations/fit-advice', {
      findings,
      tryOns: [{ ...tryOn, left: { roomMm: 400 } }],
    });
    expect((await wrong.json()).errors[0].path).toEqual(['tryOns', 0, 'left', 'roomMm']);
    const file = await (await get('/catalogue?format=json')).text();
    const models = JSON.parse(file).models.length;
    const dry = await fetch(at('/catalogue?dry=yes'), {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
      body: file,
    });
    const lines = (await dry.text()).trim().split('\n');
    expect(JSON.parse(lines.at(-1)!).finished).toMatchObject({
      imported: false,
      changed: models,
      errorCount: 0,
    });
    const record = await (await get(`/models/${id}`)).json();
    expect(record.readings.drop[0]).toMatchObject({ from: expect.any(String), on: expect.any(String) });
    const orders = await (await get('/orders?open=yes')).json();
    expect(orders.map(({ state }: { state: string }) => state)).toEqual(
      expect.arrayContaining(['wanted', 'ordered', 'arrived', 'checked']),
    );
  });

  test('answers bad values with problem details and a path per field', async () => {
    const answer = await post('/calculations/specification', {
      findings: { left: { footLength: 26.5 }, body: { reach: 'sometimes' } },
    });
    expect(answer.status).toBe(422);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    const problem = await answer.json();
    expect(problem.errors.map((error: { path: string[] }) => error.path.join('.'))).toEqual(
      expect.arrayContaining(['findings.left.footLength', 'findings.body.reach']),
    );
  });

  test('refuses what is too large, no JSON, or not there, without a stack trace', async () => {
    const large = await post('/calculations/specification', {
      findings: { body: { workedBefore: 'x'.repeat(400_000) } },
    });
    expect(large.status).toBe(413);
    const broken = await fetch(at('/calculations/sizes'), {
      method: 'POST',
      headers: { ...json, authorization: `Bearer ${token}` },
      body: '{"foot',
    });
    expect(broken.status).toBe(400);
    const unknown = await fetch(at('/nothing/here'));
    expect(unknown.status).toBe(404);
    const nobody = await fetch(at('/patients/00000000-0000-4000-8000-000000000000'), {
      headers: { authorization: `Bearer ${token}` },
    });
    expect(nobody.status).toBe(404);
    for (const answer of [large, broken, unknown, nobody])
      expect(await answer.text()).not.toMatch(/\bat .*\.(m?js|ts):\d+/);
  });

  test('a revoked or invented token opens nothing', async ({ page }) => {
    expect((await fetch(at('/today'), { headers: { authorization: 'Bearer sovet_invented' } })).status).toBe(
      401,
    );
    await signIn(page, 'lead');
    const made = await (
      await page.request.post(at('/tokens'), {
        headers: { origin: origin() },
        data: { name: 'short', days: 1 },
      })
    ).json();
    const use = () => fetch(at('/today'), { headers: { authorization: `Bearer ${made.token}` } });
    expect((await use()).status).toBe(200);
    await page.request.delete(at(`/tokens/${made.id}`), { headers: { origin: origin() } });
    expect((await use()).status).toBe(401);
  });

  test('an assistant may not change the clinic or hand over', async ({ page }) => {
    await signIn(page, 'assistant');
    const change = await page.request.patch(at('/clinic'), {
      headers: { origin: origin() },
      data: { school: 'shape' },
    });
    expect(change.status()).toBe(403);
  });
});

test.describe('sign-in', () => {
  const enter = (headers: Record<string, string>, password = PASSWORD) =>
    fetch(`${origin()}/api/auth/sign-in/email`, {
      method: 'POST',
      headers: { ...json, ...headers },
      body: JSON.stringify({ email: 'lead@harbour.example', password }),
    });

  test('sets a cookie that scripts cannot read and other sites do not send', async () => {
    const answer = await enter({ origin: origin() });
    const cookie = answer.headers.get('set-cookie') ?? '';
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
  });

  test('refuses another origin, a wrong password and a new account', async () => {
    expect((await enter({ origin: 'http://elsewhere.example' })).status).toBe(403);
    expect((await enter({ origin: origin() }, 'not-the-password')).status).toBe(401);
    const up = await fetch(`${origin()}/api/auth/sign-up/email`, {
      method: 'POST',
      headers: { ...json, origin: origin() },
      body: JSON.stringify({ email: 'x@y.example', password: 'long-enough-password', name: 'x' }),
    });
    expect(up.status).toBe(404);
  });

  test('a change by cookie from another origin is refused', async ({ page }) => {
    await signIn(page);
    const answer = await page.request.post(at('/patients'), {
      headers: { origin: 'http://elsewhere.example' },
      data: {},
    });
    expect(answer.status()).toBe(403);
  });

  test('pages send a strict policy, and lead nowhere else after sign-in', async ({ page }) => {
    const answer = await fetch(`${origin()}/sign-in`);
    const policy = answer.headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toContain('unsafe-inline');
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).toContain("frame-ancestors 'none'");
    await signIn(page);
    await page.goto(`${origin()}/sign-in?to=//elsewhere.example`);
    expect(page.url()).toBe(`${origin()}/today`);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL(/sign-in/);
    await page.goto(`${origin()}/patients`);
    expect(page.url()).toContain('/sign-in?to=');
  });
});
