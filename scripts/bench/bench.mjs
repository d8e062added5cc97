// npm run bench [suites]: one table of figures, wanted and measured. Needs what npm test installs.
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../lib/application.mjs';
import { ensureBuilt, ensureChromium, ensureNpmPackages, ROOT } from '../lib/packages.mjs';
import { dataFolder, freePort, startPostgres } from '../lib/postgres.mjs';
import {
  comparisonInTheBrowser,
  inBrowser,
  longWorkInTheBrowser,
  memoryInTheBrowser,
  printInTheBrowser,
  SOFTWARE_GL,
  scanInTheBrowser,
} from './browser.mjs';
import { figuresOf, report } from './figures.mjs';
import { importOfFiftyThousand, previewUnderLoad, serverSteps, sheetAsPdf } from './server.mjs';

const SECRET = 'a secret that only this script knows, long enough';
const CORE = ['reasoning', 'shoes', 'examination', 'wear'];
const SUITES = [...CORE, 'server', 'browser'];

const named = process.argv.slice(2);
const unknown = named.filter((suite) => !SUITES.includes(suite));
if (unknown.length > 0) {
  console.error(`There is no suite ${unknown.join(', ')}: ${SUITES.join(', ')}.`);
  process.exit(1);
}
const wanted = (suite) => named.length === 0 || named.includes(suite);

ensureNpmPackages();

/** Bundled, as the browser and the worker get it: what tsx adds to every function would be measured too. */
async function core(suite) {
  const { build } = await import('esbuild');
  const outfile = join(ROOT, `node_modules/.cache/bench/${suite}.mjs`);
  await build({
    entryPoints: [join(ROOT, `scripts/bench/core/${suite}.ts`)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    alias: { '@': join(ROOT, 'src'), '@tests': join(ROOT, 'tests') },
  });
  const { stdout, status } = spawnSync(process.execPath, [outfile], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (status !== 0) throw new Error(`The suite ${suite} ended with ${status}.`);
  const figure = figuresOf(suite);
  for (const line of stdout.trim().split('\n')) figure(JSON.parse(line));
}

async function running() {
  await ensureBuilt();
  const folder = `${dataFolder()}-bench`;
  rmSync(folder, { recursive: true, force: true });
  const database = await startPostgres(folder, 'sovet_bench');
  const logins = prepareDatabase(database.url, SECRET);
  const application = await startApplication({ port: await freePort(), secret: SECRET, logins });
  const { origin } = application;
  try {
    const figure = figuresOf('server');
    if (wanted('server')) {
      await serverSteps(figure, origin);
      await previewUnderLoad(figure, origin, database.url);
      await sheetAsPdf(figure, origin);
    }
    if (wanted('browser')) {
      const executablePath = ensureChromium();
      const { chromium } = await import('@playwright/test');
      const measured = (measure, ...more) =>
        inBrowser(chromium, executablePath, measure, figuresOf('browser'), origin, ...more);
      await measured(printInTheBrowser);
      await measured(scanInTheBrowser, SOFTWARE_GL);
      await measured(comparisonInTheBrowser);
      await measured(longWorkInTheBrowser);
      await measured(memoryInTheBrowser);
    }
    // Last: it leaves a catalogue that no clinic has.
    if (wanted('server')) await importOfFiftyThousand(figure, origin, application.pid);
  } finally {
    await application.stop();
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

for (const suite of CORE.filter(wanted)) {
  console.log(suite);
  await core(suite);
}
if (wanted('server') || wanted('browser')) await running();
report();
