// One command: lint, types, arrows, unit, component, integration and browser tests; ends with one line that totals all runners.
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensureNpmPackages, ensurePoppler, isRoot, ROOT } from './lib/packages.mjs';
import { dataFolder, startPostgres } from './lib/postgres.mjs';
import { failedLines, playwrightTests, slowestLines, vitestTests } from './lib/run-report.mjs';

const total = { passed: 0, failed: 0, skipped: 0 };
const tests = [];
const failed = [];
const took = [];
const add = (passed, failed, skipped = 0) => {
  total.passed += passed;
  total.failed += failed;
  total.skipped += skipped;
};

/** Builds while checks run that touch nothing of it: each keeps one core busy. Answers whether it was built, once that is asked. */
function buildBeside() {
  const child = spawn(
    process.execPath,
    ['--input-type=module', '--eval', "(await import('./scripts/lib/packages.mjs')).ensureBuilt()"],
    { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'] },
  );
  const ended = once(child, 'exit');
  return async () => (await ended)[0] === 0;
}

/** A check that passes or fails as a whole. */
function check(name, ...command) {
  console.log(`\n— ${name}`);
  const { status } = spawnSync(
    process.execPath,
    [join(ROOT, 'node_modules', command[0]), ...command.slice(1)],
    {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
    },
  );
  add(status === 0 ? 1 : 0, status === 0 ? 0 : 1);
  if (status !== 0) failed.push(`  ${name}`);
}

/** A runner that writes its counts as JSON. */
function suite(name, env, report, { counts: read, tests: testsOf }, ...command) {
  console.log(`\n— ${name}`);
  const begun = Date.now();
  const { status } = spawnSync(
    process.execPath,
    [join(ROOT, 'node_modules', command[0]), ...command.slice(1)],
    {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
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
    failed.push(`  ${name}: the runner itself`);
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
const reports = mkdtempSync(join(tmpdir(), 'sovet-reports-'));
let database;
try {
  ensureNpmPackages();
  if (wanted('checks')) check('types', 'astro/astro.js', 'check', '--minimumFailingSeverity', 'error');
  const isBuilt = wanted('journeys') ? buildBeside() : undefined;
  if (wanted('checks')) {
    check('lint', '@biomejs/biome/bin/biome', 'check', '--error-on-warnings', '.');
    check(
      'import arrows',
      'dependency-cruiser/bin/dependency-cruise.mjs',
      'src',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
    );
    check('licences', '../scripts/licences.mjs');
    check(
      'folders without circles',
      'dependency-cruiser/bin/dependency-cruise.mjs',
      'src/core',
      '--config',
      '.dependency-cruiser.folders.cjs',
      '--output-type',
      'err',
    );
  }
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
      `--outputFile.json=${report}`,
    );
  };
  if (wanted('unit')) vitest('unit');
  if (wanted('component')) vitest('component');
  if (wanted('integration') || wanted('journeys')) {
    const folder = process.env.SOVET_DATA || isRoot() ? `${dataFolder()}-test` : join(ROOT, '.data-test');
    rmSync(folder, { recursive: true, force: true });
    database = await startPostgres(folder, 'sovet_test');
    const env = { SOVET_TEST_DATABASE_URL: database.url };
    if (wanted('integration')) {
      ensurePoppler();
      vitest('integration', env);
    }
    if (wanted('journeys')) {
      ensureChromium();
      if (!(await isBuilt?.())) throw new Error('The build failed.');
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
