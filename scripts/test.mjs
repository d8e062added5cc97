// One command: types, lint, arrows, unit, component, integration and browser tests; ends with one line that totals all runners.
// Two cores are kept busy throughout: see docs/decisions/tests-beside-each-other.md.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { ensureChromium, ensureNpmPackages, ensurePoppler, isRoot, ROOT } from './lib/packages.mjs';
import { dataFolder, startPostgres } from './lib/postgres.mjs';
import { failedLines, playwrightTests, slowestLines, vitestTests } from './lib/run-report.mjs';

const total = { passed: 0, failed: 0, skipped: 0 };
const tests = [];
const failed = [];
const took = [];
const reports = mkdtempSync(join(tmpdir(), 'sovet-reports-'));
const outside = join(reports, 'outside-tests');
const add = (passed, failed, skipped = 0) => {
  total.passed += passed;
  total.failed += failed;
  total.skipped += skipped;
};

/** Runs a script of Node beside whatever else runs; what it prints comes in one piece when it has ended. */
async function beside(name, args) {
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  const [out, err] = await Promise.all([text(child.stdout), text(child.stderr), once(child, 'exit')]);
  console.log(`\n— ${name}\n${out}${err}`);
  return child.exitCode === 0;
}

/** A check that passes or fails as a whole. */
async function check(name, command, ...args) {
  const passed = await beside(name, [join(ROOT, 'node_modules', command), ...args]);
  add(passed ? 1 : 0, passed ? 0 : 1);
  if (!passed) failed.push(`  ${name}`);
}

/** One after the other, beside the build. */
async function checks() {
  await check(
    'pages',
    'astro/astro.js',
    'check',
    '--minimumFailingSeverity',
    'error',
    '--tsconfig',
    'tsconfig.pages.json',
  );
  await check('types', 'typescript-7/bin/tsc', '--noEmit');
  await check('lint', '@biomejs/biome/bin/biome', 'check', '--error-on-warnings', '.');
  const arrows = (name, folder, config) =>
    check(
      name,
      'dependency-cruiser/bin/dependency-cruise.mjs',
      folder,
      '--config',
      config,
      '--output-type',
      'err',
    );
  await arrows('import arrows', 'src', '.dependency-cruiser.cjs');
  await check('licences', '../scripts/licences.mjs');
  await arrows('folders without circles', 'src/core', '.dependency-cruiser.folders.cjs');
}

async function build() {
  const built = await beside('build', [
    '--eval',
    "import('./scripts/lib/packages.mjs').then(({ ensureBuilt }) => ensureBuilt())",
  ]);
  if (!built) throw new Error('The build failed.');
}

/** How the tests' databases run; a story of a power cut starts one of its own, as it is shipped. */
const FOR_TESTS = {
  // What the planner knows of a table does not change while tests run: each statement is explained there.
  autovacuum: 'off',
  // Nobody keeps its records: no test waits for the disk.
  fsync: 'off',
  full_page_writes: 'off',
  synchronous_commit: 'off',
};

const databases = [];
/** A database server of one runner's own: roles belong to the whole server. */
async function databaseFor(runner) {
  const folder =
    process.env.SOVET_DATA || isRoot()
      ? `${dataFolder()}-test-${runner}`
      : join(ROOT, `.data-test-${runner}`);
  rmSync(folder, { recursive: true, force: true });
  const database = await startPostgres(folder, 'sovet_test', 0, FOR_TESTS);
  databases.push(database);
  return database.url;
}

/** What a runner of vitest told of failures outside its tests; a runner of another kind tells nothing. */
const outsideTests = () => (existsSync(outside) ? [readFileSync(outside, 'utf8')] : []);

/** A runner that writes its counts as JSON. */
async function runner(name, env, report, { counts: read, tests: testsOf }, ...command) {
  const child = spawn(process.execPath, [join(ROOT, 'node_modules', command[0]), ...command.slice(1)], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const [status, signal] = await once(child, 'exit');
  let counts;
  try {
    const whole = JSON.parse(readFileSync(report, 'utf8'));
    counts = read(whole);
    const ran = testsOf(whole);
    tests.push(...ran);
    failed.push(...failedLines(ran));
  } catch {
    counts = [0, 1, 0];
    failed.push(`  ${name}: no report`);
  }
  // A runner that fails outside its tests still counts as a failure.
  if (status !== 0 && counts[1] === 0) {
    counts[1] = 1;
    failed.push(`  ${name}: outside its tests (exit ${status ?? signal})`, ...outsideTests());
  }
  add(...counts);
}

/** A part that cannot run is a failure; the others go on. */
function couldNotRun({ message }) {
  console.error(message);
  add(0, 1);
  failed.push(`  ${message}`);
}

/** Waits for a part and notes how long it took, by the clock on the wall. */
async function timed(name, work) {
  console.log(`\n— ${name}`);
  const begun = Date.now();
  await work().catch(couldNotRun);
  took.push(`${name} ${Math.round((Date.now() - begun) / 1000)} s`);
}

const vitestCounts = (report) => [
  report.numPassedTests,
  report.numFailedTests,
  report.numPendingTests + report.numTodoTests,
];
const playwrightCounts = ({ stats }) => [stats.expected + stats.flaky, stats.unexpected, stats.skipped];

/** All tests without a browser in one process: a worker that has ended with one kind goes on with the next. */
async function vitest(projects) {
  const env = { SOVET_OUTSIDE_TESTS: outside };
  if (projects.includes('integration')) {
    ensurePoppler();
    env.SOVET_TEST_DATABASE_URL = await databaseFor('integration');
  }
  const report = join(reports, 'vitest.json');
  await runner(
    projects.join(', '),
    env,
    report,
    { counts: vitestCounts, tests: vitestTests },
    'vitest/vitest.mjs',
    'run',
    ...projects.flatMap((project) => ['--project', project]),
    '--reporter=dot',
    '--reporter=json',
    `--reporter=${join(ROOT, 'scripts/lib/outside-tests.mjs')}`,
    `--outputFile.json=${report}`,
  );
}

/** Stories in a browser. They are read, and their applications made ready, as soon as they can be; they begin once nothing holds them. */
async function journeys(held) {
  ensureChromium();
  const report = join(reports, 'journeys.json');
  await runner(
    'journeys',
    {
      SOVET_TEST_DATABASE_URL: await databaseFor('journeys'),
      SOVET_HELD_WHILE_THERE: held,
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
    },
    report,
    { counts: playwrightCounts, tests: playwrightTests },
    '@playwright/test/cli.js',
    'test',
    '--config',
    'tests/journeys/playwright.config.ts',
    ...process.argv.slice(3),
  );
}

const only = process.argv[2];
const wanted = (part) => !only || only === part;
try {
  ensureNpmPackages();
  // The types of pages, which the types of everything else rest on, and the build too.
  if (wanted('checks')) await check('page types', 'astro/astro.js', 'sync');
  const held = join(reports, 'held');
  writeFileSync(held, '');
  const stories = wanted('journeys') ? build().then(() => journeys(held)) : null;
  // Its failure is told where it is awaited.
  stories?.catch(() => null);
  if (wanted('checks')) await timed('checks', checks);
  const projects = ['unit', 'component', 'integration'].filter(wanted);
  if (projects.length > 0) await timed(projects.join(', '), () => vitest(projects));
  rmSync(held);
  if (stories) await timed('journeys', () => stories);
} catch (error) {
  couldNotRun(error);
} finally {
  for (const database of databases) await database.stop();
  rmSync(reports, { recursive: true, force: true });
}
if (tests.length > 0) console.log(`\nThe slowest (${took.join(', ')}):\n${slowestLines(tests).join('\n')}`);
if (failed.length > 0) console.log(`\nFailed:\n${failed.join('\n')}`);
console.log(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(total.failed === 0 ? 0 : 1);
