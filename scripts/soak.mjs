// npm run soak [-- REQUESTS [SEED]]: generated requests over every operation, whole ones and spoilt ones. Nothing may answer 5xx
// (but 503 with Retry-After where it says that it is busy), no record may take over two seconds
// and no file over ten, memory may not grow.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { prepareDatabase, startApplication } from './lib/application.mjs';
import { demoLead } from './lib/demo-lead.mjs';
import { ensureBuilt, ensureNpmPackages } from './lib/packages.mjs';
import { freePort, startPostgres } from './lib/postgres.mjs';

ensureNpmPackages();
await ensureBuilt();
const { default: fc } = await import('fast-check');
const count = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? 20261126);
const AT_ONCE = 4;
const SLOW_MS = 2000;
/** Files that are drawn or rendered to order, in processes that give way to everything else. */
const SLOW_FILE_MS = 10_000;
const SECRET = 'a secret of the long run and of nothing else, 0123456789';

const folder = mkdtempSync(join(tmpdir(), 'sovet-soak-'));
const database = await startPostgres(folder, 'sovet_soak');
const logins = prepareDatabase(database.url, SECRET);
const application = await startApplication({ port: await freePort(), secret: SECRET, logins });
const { origin } = application;

const cookie = await demoLead(origin);
const document = await (await fetch(`${origin}/api/v1/openapi.json`, { headers: { cookie } })).json();
// Whoever signs everybody out, or erases, ends the run and not a request.
const LEFT_OUT = new Set(['actOnPerson', 'changePerson', 'erasePatient']);
const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
  Object.entries(methods).flatMap(([method, about]) =>
    LEFT_OUT.has(about.operationId) ? [] : [{ path, method, about }],
  ),
);
const ids = (await (await fetch(`${origin}/api/v1/patients`, { headers: { cookie } })).json()).map(
  ({ id }) => id,
);

const strange = fc.oneof(
  fc.constantFrom(
    '',
    ' ',
    '\0',
    '\ud800',
    '../../etc/passwd',
    "'; drop table patient; --",
    '-'.repeat(36),
    '9'.repeat(40),
  ),
  fc.string({ unit: 'binary', maxLength: 60 }),
  fc.double(),
  fc.constantFrom(null, true, [], {}, 2 ** 31, -1, 1e308),
);
const body = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 4 },
    strange,
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(fc.string({ maxLength: 12 }), tie('value'), { maxKeys: 5 }),
  ),
})).value;
/** Bodies of the shape that the document describes, some of them spoilt. */
function shaped(schema, depth = 0) {
  if (!schema || depth > 5) return body;
  if (schema.$ref)
    return shaped(
      schema.$ref
        .split('/')
        .slice(1)
        .reduce((at, key) => at?.[key], document),
      depth + 1,
    );
  if (schema.enum) return fc.oneof({ arbitrary: fc.constantFrom(...schema.enum), weight: 8 }, strange);
  if (schema.type === 'object' && schema.properties)
    return fc.record(
      Object.fromEntries(
        Object.entries(schema.properties).map(([key, of]) => [
          key,
          fc.oneof({ arbitrary: shaped(of, depth + 1), weight: 9 }, strange),
        ]),
      ),
      { requiredKeys: [] },
    );
  if (schema.type === 'array') return fc.array(shaped(schema.items, depth + 1), { maxLength: 4 });
  if (schema.type === 'string')
    return schema.format === 'uuid'
      ? fc.constantFrom(...ids)
      : fc.oneof(fc.string({ maxLength: 30 }), fc.constantFrom('2026-01-01', 'ask'));
  if (schema.type === 'integer' || schema.type === 'number')
    return fc.oneof(fc.integer({ min: -10, max: 400 }), fc.double({ noNaN: true }));
  if (schema.type === 'boolean') return fc.boolean();
  const [any] = schema.anyOf ?? schema.oneOf ?? [];
  return any ? shaped(any, depth + 1) : body;
}
const request = fc.constantFrom(...operations).chain(({ path, method, about }) =>
  fc.record({
    path: fc
      .tuple(
        fc.constantFrom(...ids),
        fc.oneof(fc.constantFrom('ask', 'feet', 'reason'), fc.string({ maxLength: 40 })),
        fc.boolean(),
      )
      .map(([id, other, whole]) =>
        path.replace(/\{(\w+)\}/g, (_, name) =>
          encodeURIComponent(name === 'id' && whole ? id : other.toWellFormed() || 'x'),
        ),
      ),
    method: fc.constant(method.toUpperCase()),
    query: fc.option(fc.webQueryParameters({ size: 'small' }), { nil: '' }),
    body:
      method === 'get'
        ? fc.constant(undefined)
        : fc.oneof(
            { arbitrary: shaped(about.requestBody?.content?.['application/json']?.schema), weight: 4 },
            body,
          ),
  }),
);

const memory = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${application.pid}/status`, 'utf8'))[1]) / 1024;
const requests = fc.sample(request, { seed, numRuns: count });
const statuses = new Map();
const bad = [];
let slowest = 0;
let next = 0;
let early = 0;
async function worker() {
  while (next < requests.length) {
    const at = next++;
    const { path, method, query, body: sent } = requests[at];
    // Asking everybody for a second factor would end the run as well: nothing else would be reached.
    if (sent && typeof sent === 'object') delete sent.secondFactorRequired;
    const begun = performance.now();
    let status;
    try {
      const answer = await fetch(`${origin}/api/v1${path}${query ? `?${query}` : ''}`, {
        method,
        headers: { cookie, origin, 'content-type': 'application/json' },
        ...(sent === undefined ? {} : { body: JSON.stringify(sent) }),
        signal: AbortSignal.timeout(20_000),
      });
      await answer.arrayBuffer();
      status = answer.status;
      const isBusy = status === 503 && answer.headers.has('retry-after');
      if (status >= 500 && !isBusy) bad.push(`${status} ${method} ${path}`);
    } catch (error) {
      bad.push(`${error.name} ${method} ${path}`);
    }
    const ms = performance.now() - begun;
    slowest = Math.max(slowest, ms);
    const isFile = /^\/devices\/|\/export$/.test(path);
    if (ms > (isFile ? SLOW_FILE_MS : SLOW_MS)) bad.push(`${Math.round(ms)} ms ${method} ${path}`);
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
    if (at === Math.floor(requests.length / 4)) early = memory();
    if (at > 0 && at % 2000 === 0)
      console.log(`${at} of ${requests.length}, ${bad.length} bad, ${Math.round(memory())} MB`);
  }
}
try {
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  await wait(2000);
  const late = memory();
  console.log(
    `${requests.length} requests, seed ${seed}: ${[...statuses]
      .sort()
      .map(([status, many]) => `${status} × ${many}`)
      .join(', ')}`,
  );
  console.log(
    `Slowest ${Math.round(slowest)} ms. Memory ${Math.round(early)} MB after a quarter, ${Math.round(late)} MB at the end.`,
  );
  if (late > early * 1.5 + 50) bad.push(`Memory grew from ${Math.round(early)} to ${Math.round(late)} MB.`);
  for (const line of bad.slice(0, 30)) console.log(`  ${line}`);
  console.log(bad.length === 0 ? 'Nothing bad.' : `${bad.length} bad.`);
} finally {
  await application.stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(bad.length === 0 ? 0 : 1);
