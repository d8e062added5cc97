// A working day as requests: what one person asks of the application, again and again.

const JSON_HEADERS = { 'content-type': 'application/json' };

/**
 * A working day, again and again: a new patient, a visit with its steps, the pair handed over, and between them the pages that everybody
 * looks at. In the shape that autocannon takes: `setupRequest` makes a request of what is known by then, `onResponse` keeps what came.
 */
export function day(people, origin, model, noted) {
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
      if (keep && status >= 200 && status < 300) keep(JSON.parse(text), context);
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
