// One command: types, lint, arrows, unit, component, integration and browser tests; ends with one line that totals all runners.
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
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

/** Two at a time, a core for each: the build is as long as all the others. */
async function checks() {
  // The types of pages, which the types of everything else rest on.
  await check('page types', 'astro/astro.js', 'sync');
  const built = wanted('journeys') ? build() : null;
  // Its failure is told where it is awaited.
  built?.catch(() => null);
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
  await built;
}

let building;
/** Builds once; a failure is told to everybody who waits for it. */
async function build() {
  building ??= beside('build', [
    '--eval',
    "import('./scripts/lib/packages.mjs').then(({ ensureBuilt }) => ensureBuilt())",
  ]);
  if (!(await building)) throw new Error('The build failed.');
}

/** How the tests' database runs; a story of a power cut starts one of its own, as it is shipped. */
const FOR_TESTS = {
  // What the planner knows of a table does not change while tests run: each statement is explained there.
  autovacuum: 'off',
  // Nobody keeps its records: no test waits for the disk.
  fsync: 'off',
  full_page_writes: 'off',
  synchronous_commit: 'off',
};

/** What a runner of vitest told of failures outside its tests; a runner of another kind tells nothing. */
const outsideTests = () => (existsSync(outside) ? [readFileSync(outside, 'utf8')] : []);

/** A runner that writes its counts as JSON. */
function suite(name, env, report, { counts: read, tests: testsOf }, ...command) {
  console.log(`\n— ${name}`);
  const begun = Date.now();
  rmSync(outside, { force: true });
  const { status, signal } = spawnSync(
    process.execPath,
    [join(ROOT, 'node_modules', command[0]), ...command.slice(1)],
    {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, SOVET_OUTSIDE_TESTS: outside, ...env },
    },
  );
  let counts;
  try {
    const whole = JSON.parse(readFileSync(report, 'utf8'));
    counts = read(whole);
    const ran = testsOf(name, whole);
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
  took.push(`${name} ${Math.round((Date.now() - begun) / 1000)} s`);
  add(...counts);
}

const vitestCounts = (report) => [
  report.numPassedTests,
  report.numFailedTests,
  report.numPendingTests + report.numTodoTests,
];
const playwrightCounts = ({ stats }) => [stats.expected + stats.flaky, stats.unexpected, stats.skipped];

const only = process.argv[2];
const wanted = (part) => !only || only === part;
let database;
try {
  ensureNpmPackages();
  if (wanted('checks')) await checks();
  const vitest = (project, env = {}) => {
    const report = join(reports, `${project}.json`);
    suite(
      project,
      env,
      report,
      { counts: vitestCounts, tests: vitestTests },
      'vitest/vitest.mjs',
      'run',
      '--project',
      project,
      '--reporter=dot',
      '--reporter=json',
      `--reporter=${join(ROOT, 'scripts/lib/outside-tests.mjs')}`,
      `--outputFile.json=${report}`,
    );
  };
  if (wanted('unit')) vitest('unit');
  if (wanted('component')) vitest('component');
  if (wanted('integration') || wanted('journeys')) {
    const folder = process.env.SOVET_DATA || isRoot() ? `${dataFolder()}-test` : join(ROOT, '.data-test');
    rmSync(folder, { recursive: true, force: true });
    database = await startPostgres(folder, 'sovet_test', 0, FOR_TESTS);
    const env = { SOVET_TEST_DATABASE_URL: database.url };
    if (wanted('integration')) {
      ensurePoppler();
      vitest('integration', env);
    }
    if (wanted('journeys')) {
      ensureChromium();
      await build();
      const report = join(reports, 'journeys.json');
      suite(
        'journeys',
        { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
        report,
        { counts: playwrightCounts, tests: playwrightTests },
        '@playwright/test/cli.js',
        'test',
        '--config',
        'tests/journeys/playwright.config.ts',
        ...process.argv.slice(3),
      );
    }
  }
} catch (error) {
  console.error(error.message);
  add(0, 1);
  failed.push(`  ${error.message}`);
} finally {
  await database?.stop();
  rmSync(reports, { recursive: true, force: true });
}
if (tests.length > 0) console.log(`\nThe slowest (${took.join(', ')}):\n${slowestLines(tests).join('\n')}`);
if (failed.length > 0) console.log(`\nFailed:\n${failed.join('\n')}`);
console.log(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(total.failed === 0 ? 0 : 1);
