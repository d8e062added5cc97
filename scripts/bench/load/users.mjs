// Many users at once on two copies of the application behind a small proxy: what they wait, whether one clinic slows the others.
import { Agent, createServer } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import autocannon from 'autocannon';
import httpProxy from 'http-proxy';
import { importOf, memoryOf, signedIn } from '../server.mjs';
import { day } from './day.mjs';

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

/** Of sorted times. */
const ranked = (times, share) => times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0;

/** How many come at a time, and how long until all are there: people who began together would do each thing together all day. */
const AT_A_TIME = 10;
const COMING_S = 30;
/** How long a person pauses before each thing, on the mean (ours): a whole visit by keyboard asks for less, see docs/performance.md. */
const PAUSE_S = Number(process.env.SOVET_LOAD_PAUSE ?? 10);
/** After so long without an answer a person gives up. */
const GIVEN_UP_S = 30;
const NO_ANSWER = 'no answer';

/** Takes down how long people waited, by what they did, once all have come. */
function noting(begun) {
  const times = [];
  const byKind = new Map();
  const failed = new Map();
  const noted = ({ name, status, ms, text }) => {
    if (performance.now() < begun) return;
    times.push(ms);
    if (!byKind.has(name)) byKind.set(name, []);
    byKind.get(name).push(ms);
    if (status < 400 && status > 0) return;
    const key = `${name} ${status || NO_ANSWER}`;
    const before = failed.get(key) ?? { many: 0, first: text.slice(0, 200) };
    failed.set(key, { ...before, many: before.many + 1 });
  };
  const all = () => {
    for (const own of [times, ...byKind.values()]) own.sort((a, b) => a - b);
    return { times, byKind, failed };
  };
  return { noted, all };
}

/** Everybody for a while, once all have come, and nobody ever pauses. */
async function withoutPause(proxy, people, model, seconds) {
  const { noted, all } = noting(performance.now() + COMING_S * 1000);
  const groups = Math.ceil(people.length / AT_A_TIME);
  const runs = await Promise.all(
    Array.from({ length: groups }, async (_, group) => {
      const who = people.filter((__, at) => at % groups === group);
      const after = (COMING_S * group) / groups;
      await wait(after * 1000);
      return autocannon({
        url: proxy.origin,
        connections: who.length,
        duration: COMING_S - after + seconds,
        timeout: GIVEN_UP_S,
        requests: day(who, proxy.origin, model, noted),
      });
    }),
  );
  return { ...all(), unanswered: runs.reduce((sum, { errors }) => sum + errors, 0) };
}

/** Chance as people have it: mostly short, now and then long. */
const pause = () => wait(-Math.log(1 - Math.random()) * PAUSE_S * 1000);

/** One person's days, one after another, with a pause before each thing that they do. */
async function working(person, proxy, model, noted, until) {
  const steps = day([person], proxy.origin, model, noted);
  let context = {};
  for (let at = 0; performance.now() < until; at = (at + 1) % steps.length) {
    if (at === 0) context = {};
    await pause();
    if (performance.now() >= until) return;
    const asked = steps[at].setupRequest({}, context);
    if (!asked) continue;
    const answer = await fetch(`${proxy.origin}${asked.path}`, {
      ...asked,
      signal: AbortSignal.timeout(GIVEN_UP_S * 1000),
    })
      .then(async (came) => ({ status: came.status, text: await came.text() }))
      .catch(({ message }) => ({ status: 0, text: message }));
    steps[at].onResponse(answer.status, answer.text, context);
  }
}

/** Everybody for a while as they work, and how long `/healthz` took in the same minutes. */
async function withPauses(proxy, people, model, seconds) {
  const begun = performance.now() + COMING_S * 1000;
  const until = begun + seconds * 1000;
  const { noted, all } = noting(begun);
  const floors = [];
  const healthz = async () => {
    await wait(begun - performance.now());
    while (performance.now() < until) {
      const asked = performance.now();
      await (await fetch(`${proxy.origin}/healthz`)).text();
      floors.push(performance.now() - asked);
      await wait(250);
    }
  };
  await Promise.all([healthz(), ...people.map((person) => working(person, proxy, model, noted, until))]);
  return {
    ...all(),
    unanswered: 0,
    wanted: 8,
    floor: healthzOf(floors),
  };
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
    const who = `${people.length} users on two copies`;
    const busy = { figure, proxy, seconds };
    const floor = await healthzUnder(proxy, people.length, Math.min(15, seconds));
    const memory = sampled(() => memories(copies));
    tell(busy, `${who} who never pause`, { ...(await withoutPause(proxy, people, model, seconds)), floor });
    const [first, last] = memory.ofThirds(seconds);
    figure({
      what: `${who}: memory of both copies, most in the last third of ${seconds} s`,
      value: last,
      unit: 'MB',
      wanted: 1.1,
      ofFloor: true,
      floor: { what: 'most in the first third', value: first },
    });
    tell(busy, `${who} who pause ${PAUSE_S} s on the mean`, await withPauses(proxy, people, model, seconds));
    await fairness(figure, proxy, people, model, Math.min(30, seconds));
  } finally {
    await proxy.stop();
  }
}

const healthzOf = (times) => ({
  what: '/healthz',
  value: ranked(
    times.toSorted((a, b) => a - b),
    0.95,
  ),
});

/** How long `/healthz` takes when so many ask for nothing else, without a pause. */
async function healthzUnder(proxy, connections, duration) {
  const floors = [];
  await autocannon({ url: `${proxy.origin}/healthz`, connections, duration }).on(
    'response',
    (_, __, ___, ms) => floors.push(ms),
  );
  return healthzOf(floors);
}

/** What so many waited, by what they did, and what came to nothing. */
function tell({ figure, proxy, seconds }, who, { times, byKind, failed, unanswered, floor, wanted = null }) {
  figure({ what: `${who}: answers a second`, value: times.length / seconds, unit: '/s' });
  figure({ what: `${who}: p95`, value: ranked(times, 0.95), unit: 'ms', wanted, ofFloor: true, floor });
  for (const [kind, own] of byKind)
    figure({ what: `${who}: ${kind}, p95`, value: ranked(own, 0.95), unit: 'ms', floor });
  for (const [kind, { many, first }] of failed) console.log(`  ${kind}: ${many} times, first: ${first}`);
  const broken = [...failed]
    .filter(([kind]) => kind.endsWith(NO_ANSWER) || / 5\d\d$/.test(kind))
    .reduce((sum, [, { many }]) => sum + many, unanswered);
  const value = broken + proxy.failures.splice(0).length;
  figure({ what: `${who}: answers of 5xx, or none`, value, unit: '', wanted: 0 });
}

/** One clinic imports a large catalogue again and again while ten others work. */
async function fairness(figure, proxy, people, model, seconds) {
  const [busy, ...others] = people.slice(0, 11);
  const quiet = await withoutPause(proxy, others, model, seconds);
  let running = true;
  const imports = (async () => {
    let round = 0;
    while (running) {
      round += 1;
      await importOf(proxy.origin, busy.cookie, `Busy ${round}`);
    }
  })();
  const beside = await withoutPause(proxy, others, model, seconds);
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
