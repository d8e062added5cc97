// What the server answers under load: saved steps, previews, a large import.
import { readFileSync } from 'node:fs';

export const SIGN_IN = { email: 'practitioner@harbour.example', password: 'low-tide-lantern' };

/** The session cookie of somebody of the demo. */
export async function signedIn(origin, email = SIGN_IN.email) {
  const answer = await fetch(`${origin}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin },
    body: JSON.stringify({ ...SIGN_IN, email }),
  });
  return answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');
}

/** A visit step saved by 20 users at once, each on a visit of its own, against the same server's health check. */
export async function serverSteps(figure, origin) {
  const headers = { 'content-type': 'application/json', origin, cookie: await signedIn(origin) };
  const post = async (path, body) =>
    (await fetch(`${origin}/api/v1${path}`, { method: 'POST', headers, body: JSON.stringify(body) })).json();
  const visits = [];
  for (let user = 0; user < 20; user += 1) {
    const { id } = await post('/patients', {
      givenName: 'Bench',
      familyName: `User ${user}`,
      bornOn: '1980-01-01',
      sizingGroup: 'men',
    });
    visits.push((await post(`/patients/${id}/visits`, {})).id);
  }
  // One user saves one step after the other; revisions count up within each connection.
  const saves = visits.map((id) => ({ id, revision: 0 }));
  const save = async (user) => {
    const body = JSON.stringify({
      revision: user.revision,
      state: 'in-progress',
      content: { findings: { body: { falls: user.revision % 9 }, left: { arch: 'low', pain: ['shin'] } } },
    });
    const answer = await fetch(`${origin}/api/v1/visits/${user.id}/steps/ask`, {
      method: 'PUT',
      headers,
      body,
    });
    await answer.text();
    if (!answer.ok) throw new Error(`a save answered ${answer.status}`);
    user.revision += 1;
  };
  const check = async () => (await fetch(`${origin}/healthz`)).text();
  await together(saves, check, 2000);
  await together(saves, save, 2000);
  const health = await together(saves, check, 6000);
  const step = await together(saves, save, 8000);
  figure({ what: '/healthz under 20 users, p95', value: health.p95, unit: 'ms' });
  figure({
    what: 'a visit step saved by 20 users, p95',
    value: step.p95,
    unit: 'ms',
    wanted: 8,
    ofFloor: true,
    floor: { what: '/healthz', value: health.p95 },
  });
}

/** A house rule previewed over 5,000 stored pictures while others save steps. */
export async function previewUnderLoad(figure, origin, databaseUrl) {
  const { default: pg } = await import('pg');
  const owner = new pg.Client({ connectionString: databaseUrl });
  await owner.connect();
  try {
    await owner.query(
      `select set_config('sovet.clinic', (select clinic_id::text from auth."user" limit 1), false)`,
    );
    const { rows } = await owner.query('select count(*)::int as count from specification');
    await owner.query(
      `insert into specification (clinic_id, patient_id, visit_id, purpose, picture, choices, result, issued_by, issued_at)
       select clinic_id, patient_id, visit_id, coalesce(purpose, '') || ' ' || copy, picture, choices, result, issued_by, issued_at - interval '1 minute' * copy
       from specification, generate_series(1, $1) copy limit $2`,
      [Math.ceil(5000 / rows[0].count), 5000 - rows[0].count],
    );
  } finally {
    await owner.end();
  }
  const headers = { 'content-type': 'application/json', origin, cookie: await signedIn(origin) };
  const preview = async () => {
    const start = performance.now();
    const answer = await fetch(`${origin}/api/v1/knowledge/house-rules/preview`, {
      method: 'POST',
      headers,
      body: JSON.stringify({
        changes: [{ kind: 'strength', rule: 'older-or-falls', strength: 'slight', reason: 'bench' }],
        settings: {},
      }),
    });
    const last = JSON.parse((await answer.text()).trim().split('\n').at(-1));
    return { ms: performance.now() - start, ...last.finished };
  };
  const users = Array.from({ length: 4 }, () => ({}));
  const read = async () => {
    const answer = await fetch(`${origin}/api/v1/today`, { headers });
    await answer.text();
    if (!answer.ok) throw new Error(`a read answered ${answer.status}`);
  };
  await preview();
  const alone = await preview();
  figure({
    what: `preview of a house rule over ${alone.looked} stored pictures`,
    value: alone.ms / 1000,
    unit: 's',
    wanted: 5,
  });
  const quiet = await together(users, read, 4000);
  let running = true;
  const previews = (async () => {
    while (running) await preview();
  })();
  const busy = await together(users, read, 4000);
  running = false;
  await previews;
  figure({
    what: 'Today read by 4 users during a preview, median',
    value: busy.median,
    unit: 'ms',
    wanted: 1.5,
    ofFloor: true,
    floor: { what: 'without one', value: quiet.median },
  });
}

/** The patient’s sheet as PDF, as a browser gets it: the quickest of some, after one that warmed the process for heavy work. */
export async function sheetAsPdf(figure, origin) {
  const headers = { origin, cookie: await signedIn(origin) };
  const read = async (path) => (await fetch(`${origin}/api/v1${path}`, { headers })).json();
  const [{ id }] = await read('/patients?q=Marne');
  const { visits } = await read(`/patients/${id}`);
  const visit = visits.find(({ handedOver }) => handedOver.length > 0);
  const times = [];
  for (let round = 0; round < 6; round += 1) {
    const begun = performance.now();
    const answer = await fetch(`${origin}/visits/${visit.id}/sheet.pdf`, { headers });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`a sheet answered ${answer.status}`);
    times.push(performance.now() - begun);
  }
  figure({ what: 'the patient’s sheet as PDF', value: Math.min(...times.slice(1)), unit: 'ms', wanted: 500 });
}

/** Resident memory of the application and its children, MB. */
export function memoryOf(pid) {
  const rss = (id) => {
    try {
      const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0;
      const children = readFileSync(`/proc/${id}/task/${id}/children`, 'utf8')
        .trim()
        .split(' ')
        .filter(Boolean);
      return children.reduce((sum, child) => sum + rss(child), Number(kb));
    } catch {
      return 0;
    }
  };
  return rss(pid) / 1024;
}

/** An invented catalogue as CSV. */
export function catalogueOf(maker, many = 50_000) {
  const head =
    'maker,name,version,group,system,allowance_mm,sizes,widths,ball_width_mm,stock,price,drop_mm,heel_stack_mm,mass_g,closure,midsole_hardness';
  const line = (_, at) =>
    `${maker},Model ${at},1,men,eu,15,39-46,D 2E,95,42 D:2,100,${at % 12},30,${200 + (at % 200)},laces,firm\n`;
  return `${head}\n${Array.from({ length: many }, line).join('')}`;
}

/** Sends it, and reads the progress to its end. */
async function sendCatalogue(origin, cookie, text, signal) {
  const headers = { 'content-type': 'text/csv', origin, cookie };
  const answer = await fetch(`${origin}/api/v1/catalogue`, { method: 'POST', headers, body: text, signal });
  let last = '';
  let progress = 0;
  for await (const chunk of answer.body) {
    for (const part of Buffer.from(chunk).toString().trim().split('\n')) last = part;
    progress += 1;
  }
  return { ...JSON.parse(last).finished, progress };
}

/** 50,000 models of one maker into the catalogue of whoever the cookie belongs to. */
export const importOf = (origin, cookie, maker) => sendCatalogue(origin, cookie, catalogueOf(maker));

/** 50,000 rows sent as CSV: how long, how memory moves, and that cancelling takes them back. */
export async function importOfFiftyThousand(figure, origin, pid) {
  const cookie = await signedIn(origin);
  const headers = { cookie };
  const send = (text, signal) => sendCatalogue(origin, cookie, text, signal);
  // One small file first: what is loaded once is not counted.
  await send(catalogueOf('Warm', 1));
  const text = catalogueOf('Benchworks');
  const before = memoryOf(pid);
  let most = before;
  const watch = setInterval(() => {
    most = Math.max(most, memoryOf(pid));
  }, 100);
  const start = performance.now();
  const done = await send(text);
  const seconds = (performance.now() - start) / 1000;
  clearInterval(watch);
  figure({
    what: `import of ${done.rows} models, ${(text.length / 1e6).toFixed(1)} MB`,
    value: seconds,
    unit: 's',
    wanted: 20,
  });
  figure({ what: 'memory of the server during it, more', value: most - before, unit: 'MB' });
  const count = async () => {
    const answer = await fetch(`${origin}/api/v1/models`, { headers });
    return (await answer.json()).length;
  };
  const models = await count();
  const abort = new AbortController();
  setTimeout(() => abort.abort(), 1500);
  await send(catalogueOf('Cancelled'), abort.signal).catch(() => null);
  await new Promise((wait) => setTimeout(wait, 1500));
  figure({
    what: 'an import cancelled after 1.5 s leaves',
    value: (await count()) - models,
    unit: 'models',
    wanted: 0,
  });
}

/** Every user does the same thing again and again for a while; answers a second and the 95th percentile. */
async function together(users, work, ms) {
  const times = [];
  const until = Date.now() + ms;
  await Promise.all(
    users.map(async (user) => {
      while (Date.now() < until) {
        const start = performance.now();
        await work(user);
        times.push(performance.now() - start);
      }
    }),
  );
  times.sort((a, b) => a - b);
  return {
    aSecond: Math.round((times.length / ms) * 1000),
    median: times[Math.floor(times.length / 2)],
    p95: times[Math.floor(times.length * 0.95)],
  };
}
