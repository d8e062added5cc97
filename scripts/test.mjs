// One command: lint, types, arrows, unit, component, integration and browser tests; ends with one line that totals all runners.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  ensureBuilt,
  ensureChromium,
  ensureNpmPackages,
  ensurePoppler,
  isRoot,
  ROOT,
} from './lib/packages.mjs';
import { dataFolder, startPostgres } from './lib/postgres.mjs';

const total = { passed: 0, failed: 0, skipped: 0 };
const add = (passed, failed, skipped = 0) => {
  total.passed += passed;
  total.failed += failed;
  total.skipped += skipped;
};

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
}

/** A runner that writes its counts as JSON. */
function suite(name, env, report, read, ...command) {
  console.log(`\n— ${name}`);
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
    counts = read(JSON.parse(readFileSync(report, 'utf8')));
  } catch {
    counts = [0, 1, 0];
  }
  // A runner that fails outside its tests still counts as a failure.
  if (status !== 0 && counts[1] === 0) counts[1] = 1;
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
  if (wanted('checks')) {
    check('lint', '@biomejs/biome/bin/biome', 'check', '--error-on-warnings', '.');
    check('types', 'astro/astro.js', 'check', '--minimumFailingSeverity', 'error');
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
      vitestCounts,
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
      ensureBuilt();
      const report = join(reports, 'journeys.json');
      suite(
        'journeys',
        { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
        report,
        playwrightCounts,
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
} finally {
  await database?.stop();
  rmSync(reports, { recursive: true, force: true });
}
console.log(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(total.failed === 0 ? 0 : 1);
