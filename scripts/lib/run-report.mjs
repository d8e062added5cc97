// What a run says at its end, over all runners: what failed, what was slowest.

/** Which kind a test file of vitest is, by where it lies. */
const kindOf = (file) =>
  file.includes('/tests/integration/') ? 'integration' : file.endsWith('.tsx') ? 'component' : 'unit';

/** Tests of a vitest report with their seconds and whether they failed. */
export const vitestTests = ({ testResults }) =>
  testResults.flatMap(({ name: file, assertionResults }) =>
    assertionResults.map(({ fullName, duration, status, failureMessages }) => ({
      suite: kindOf(file),
      name: fullName,
      seconds: (duration ?? 0) / 1000,
      failed: status === 'failed',
      why: failureMessages?.[0],
    })),
  );

/** Tests of a Playwright report with their seconds and whether they failed. */
export function playwrightTests({ suites }) {
  const within = (part, above) => [
    ...part.specs.map(({ title, tests }) => ({
      suite: 'journeys',
      name: [...above, title].join(' › '),
      seconds:
        tests.reduce(
          (sum, { results }) => sum + results.reduce((all, { duration }) => all + duration, 0),
          0,
        ) / 1000,
      failed: tests.some(({ status }) => status === 'unexpected'),
      why: tests.flatMap(({ results }) => results).find(({ error }) => error)?.error.message,
    })),
    ...(part.suites ?? []).flatMap((inner) => within(inner, [...above, inner.title])),
  ];
  return suites.flatMap((part) => within(part, [part.title]));
}

/** The slowest ten as lines. */
export const slowestLines = (times, many = 10) =>
  times
    .toSorted((a, b) => b.seconds - a.seconds)
    .slice(0, many)
    .map(({ suite, name, seconds }) => `${seconds.toFixed(1).padStart(6)} s  ${suite}: ${name}`);

/** What failed, a line each, with the first line of why. */
export const failedLines = (tests) =>
  tests
    .filter(({ failed }) => failed)
    .map(({ suite, name, why }) => `  ${suite}: ${name}${why ? ` (${why.split('\n')[0]})` : ''}`);
