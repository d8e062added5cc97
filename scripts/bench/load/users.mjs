// Many users at once on two copies of the application behind a small proxy: what they wait, whether one clinic slows the others.
import { Agent, createServer } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import autocannon from 'autocannon';
import httpProxy from 'http-proxy';
import { importOf, memoryOf, signedIn } from '../server.mjs';

const JSON_HEADERS = { 'content-type': 'application/json' };

/** Hands each request to the copy that has the fewest: in turn, the slower of two collects everybody. */
async function proxyOver() {
  const proxy = httpProxy.createProxyServer({ agent: new Agent({ keepAlive: true, maxSockets: 256 }) });
  const failures = [];
  proxy.on('error', (error, _, response) => {
    failures.push(error.code);
    response.writeHead?.(502);
    response.end?.();
  });
  const targets = [];
  const open = new Map();
  const server = createServer((request, response) => {
    const [target] = targets.toSorted((a, b) => (open.get(a) ?? 0) - (open.get(b) ?? 0));
    open.set(target, (open.get(target) ?? 0) + 1);
    response.once('close', () => open.set(target, open.get(target) - 1));
    proxy.web(request, response, { target });
  });
  await new Promise((ready) => server.listen(0, '127.0.0.1', ready));
  return {
    origin: `http://127.0.0.1:${server.address().port}`,
    failures,
    targets,
    stop: () =>
      new Promise((done) => {
        server.close(done);
        server.closeAllConnections();
      }),
  };
}

const ranked = (times, share) => times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0;

/**
 * A working day in one go, again and again: a new patient, a visit with its steps, the pair handed over, and between them the pages
 * that everybody looks at.
 */
function day(people, origin, model, noted) {
  let next = 0;
  const step = (name, method, path, { body, keep } = {}) => ({
    method,
    path: '/',
    setupRequest: (request, context) => {
      if (context.user === undefined) {
        context.user = people[next % people.length];
        next += 1;
      }
      const target = path(context);
      if (target === null) return null;
      context.begun = performance.now();
      return {
        ...request,
        method,
        path: target,
        headers: { ...JSON_HEADERS, cookie: context.user.cookie, origin },
        ...(body && { body: JSON.stringify(typeof body === 'function' ? body(context) : body) }),
      };
    },
    onResponse: (status, text, context) => {
      noted({ name: name ?? context.looked, status, ms: performance.now() - context.begun, text });
      if (keep && status < 300) keep(JSON.parse(text), context);
    },
  });
  const saved = (id, revision, content) =>
    step(`step ${id}`, 'PUT', ({ visit }) => (visit ? `/api/v1/visits/${visit}/steps/${id}` : null), {
      body: { revision, state: 'done', content },
    });
  /** One of the pages that everybody looks at, by chance: people who all did the same at once would wait for each other. */
  const look = () =>
    step(null, 'GET', (context) => {
      const chance = Math.random();
      const [name, path] =
        chance < 0.4
          ? ['Today', '/today']
          : chance < 0.8
            ? ['patient', `/patients/${context.user.patient}`]
            : ['candidates', '/api/v1/catalogue/parts'];
      context.looked = name;
      return path;
    });
  const [size] = model.sizing.sizes.slice(4);
  return [
    look(),
    step('new patient', 'POST', () => '/api/v1/patients', {
      body: {
        givenName: 'Load',
        familyName: 'Walker',
        bornOn: '1980-01-01',
        sizingGroup: model.sizing.group,
      },
      keep: ({ id }, context) => Object.assign(context, { patient: id }),
    }),
    look(),
    step('new visit', 'POST', ({ patient }) => (patient ? `/api/v1/patients/${patient}/visits` : null), {
      body: {},
      keep: ({ id }, context) => Object.assign(context, { visit: id }),
    }),
    saved('ask', 0, { findings: { body: { activities: ['walking'], bodyMass: 70, weeklyDistance: 18 } } }),
    look(),
    saved('feet', 0, { findings: { left: { footLength: 244 }, right: { footLength: 245 } } }),
    saved('ask', 1, { findings: { body: { activities: ['walking'], bodyMass: 71, weeklyDistance: 18 } } }),
    look(),
    saved('warnings', 0, { checked: true, present: [] }),
    look(),
    saved('try-on', 0, {
      tryOns: [
        {
          model: model.id,
          sizeLeft: size,
          sizeRight: size,
          width: model.sizing.widths[0],
          comfort: 71,
          verdict: 'chosen',
        },
      ],
    }),
    step('hand-over', 'POST', ({ visit }) => (visit ? `/api/v1/visits/${visit}/hand-over` : null), {
      body: {},
    }),
  ];
}

/** How many come at a time, and how long until all are there: people who began together would do each thing together all day. */
const AT_A_TIME = 10;
const COMING_S = 30;

/** Everybody for a while, once all have come; how long they waited, by what they did. */
async function together(proxy, people, model, seconds) {
  const times = [];
  const byKind = new Map();
  const failed = new Map();
  const begun = performance.now() + COMING_S * 1000;
  const noted = ({ name, status, ms, text }) => {
    if (performance.now() < begun) return;
    times.push(ms);
    const kind = byKind.get(name) ?? [];
    byKind.set(name, kind);
    kind.push(ms);
    if (status >= 400) {
      const key = `${name} ${status}`;
      if (!failed.has(key)) failed.set(key, { many: 0, first: text.slice(0, 200) });
      failed.get(key).many += 1;
    }
  };
  const groups = Math.ceil(people.length / AT_A_TIME);
  await Promise.all(
    Array.from({ length: groups }, async (_, group) => {
      const who = people.filter((__, at) => at % groups === group);
      const after = (COMING_S * group) / groups;
      await wait(after * 1000);
      await autocannon({
        url: proxy.origin,
        connections: who.length,
        duration: COMING_S - after + seconds,
        timeout: 30,
        requests: day(who, proxy.origin, model, noted),
      });
    }),
  );
  times.sort((a, b) => a - b);
  return { times, byKind, failed };
}

/** Looks at a value every two seconds; tells the most of the first and of the last third of so many seconds before the end. */
function sampled(look) {
  const seen = [];
  const watch = setInterval(() => seen.push(look()), 2000);
  return {
    ofThirds: (seconds) => {
      clearInterval(watch);
      const third = Math.max(1, Math.floor(seconds / 6));
      return [seen.slice(-3 * third, -2 * third), seen.slice(-third)].map((part) => Math.max(...part));
    },
  };
}

const memories = (copies) => copies.reduce((sum, { pid }) => sum + memoryOf(pid), 0);

/**
 * @param {(figure: import('../figures.mjs').Figure) => void} figure
 * @param people addresses to sign in with, each with a patient of their clinic
 */
export async function usersOf(figure, people, { seconds, start }) {
  const proxy = await proxyOver();
  const { origin } = proxy;
  // The browser sees the proxy: that is the one origin of both.
  const copies = [await start(origin), await start(origin)];
  proxy.targets.push(...copies.map(({ here }) => here));
  try {
    for (const person of people) person.cookie = await signedIn(origin, person.email);
    const models = await (
      await fetch(`${origin}/api/v1/models`, { headers: { cookie: people[0].cookie } })
    ).json();
    // What they hand over is for walking, as they say that the pair is for.
    const model = models.find(
      ({ features, sizing }) =>
        features.use === 'walking' && sizing.widths.includes('D') && sizing.sizes.length > 6,
    );
    if (!model) throw new Error('The demo has no model for walking.');
    const floors = [];
    await autocannon({
      url: `${proxy.origin}/healthz`,
      connections: people.length,
      duration: Math.min(15, seconds),
    }).on('response', (_, __, ___, ms) => floors.push(ms));
    floors.sort((a, b) => a - b);
    const floor = { what: '/healthz', value: ranked(floors, 0.95) };
    const memory = sampled(() => memories(copies));
    const { times, byKind, failed } = await together(proxy, people, model, seconds);
    const [first, last] = memory.ofThirds(seconds);
    const who = `${people.length} users on two copies`;
    figure({ what: `${who}: answers a second`, value: times.length / seconds, unit: '/s' });
    figure({ what: `${who}: p95`, value: ranked(times, 0.95), unit: 'ms', wanted: 8, ofFloor: true, floor });
    for (const [kind, own] of byKind) {
      own.sort((a, b) => a - b);
      figure({ what: `${who}: ${kind}, p95`, value: ranked(own, 0.95), unit: 'ms', floor });
    }
    for (const [kind, { many, first }] of failed) console.log(`  ${kind}: ${many} times, first: ${first}`);
    const broken = [...failed]
      .filter(([kind]) => / 5\d\d$/.test(kind))
      .reduce((sum, [, { many }]) => sum + many, 0);
    figure({ what: `${who}: answers of 5xx`, value: broken + proxy.failures.length, unit: '', wanted: 0 });
    figure({
      what: `${who}: memory of both copies, most in the last third of ${seconds} s`,
      value: last,
      unit: 'MB',
      wanted: 1.1,
      ofFloor: true,
      floor: { what: 'most in the first third', value: first },
    });
    await fairness(figure, proxy, people, model, Math.min(30, seconds));
  } finally {
    await proxy.stop();
  }
}

/** One clinic imports a large catalogue again and again while ten others work. */
async function fairness(figure, proxy, people, model, seconds) {
  const [busy, ...others] = people.slice(0, 11);
  const quiet = await together(proxy, others, model, seconds);
  let running = true;
  const imports = (async () => {
    let round = 0;
    while (running) {
      round += 1;
      await importOf(proxy.origin, busy.cookie, `Busy ${round}`);
    }
  })();
  const beside = await together(proxy, others, model, seconds);
  running = false;
  await imports;
  figure({
    what: 'ten users while another clinic imports 50,000 models, median',
    value: ranked(beside.times, 0.5),
    unit: 'ms',
    wanted: 1.5,
    ofFloor: true,
    floor: { what: 'without', value: ranked(quiet.times, 0.5) },
  });
}
