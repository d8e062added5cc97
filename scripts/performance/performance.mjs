// npm run performance: figures and ratios, not tests. Needs what npm test installs.
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../lib/application.mjs';
import { ensureBuilt, ensureChromium, ensureNpmPackages, ROOT } from '../lib/packages.mjs';
import { dataFolder, freePort, startPostgres } from '../lib/postgres.mjs';
import {
  comparisonInTheBrowser,
  examinationInTheBrowser,
  inBrowser,
  SOFTWARE_GL,
  scriptSizes,
} from './browser.mjs';
import { importOfFiftyThousand, previewUnderLoad, serverSteps } from './server.mjs';

const SECRET = 'a secret that only this script knows, long enough';

ensureNpmPackages();
ensureBuilt();
const { build } = await import('esbuild');
// Bundled, as the browser and the worker get it: what tsx adds to every function would be measured too.
for (const name of ['core', 'reasoning', 'shoes', 'examination', 'wear']) {
  const outfile = join(ROOT, `dist/${name}-performance.mjs`);
  await build({
    entryPoints: [join(ROOT, `scripts/performance/${name}.ts`)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    alias: { '@': join(ROOT, 'src'), '@tests': join(ROOT, 'tests') },
  });
  spawnSync(process.execPath, [outfile], { stdio: 'inherit' });
}

const executablePath = ensureChromium();
const { chromium } = await import('@playwright/test');
const folder = `${dataFolder()}-performance`;
rmSync(folder, { recursive: true, force: true });
const database = await startPostgres(folder, 'sovet_performance');
const logins = prepareDatabase(database.url, SECRET);
const application = await startApplication({ port: await freePort(), secret: SECRET, logins });
const { origin } = application;
try {
  await serverSteps(origin);
  await previewUnderLoad(origin, database.url);
  const measured = (measure, ...more) => inBrowser(chromium, executablePath, measure, origin, ...more);
  await measured(scriptSizes);
  await measured(examinationInTheBrowser, SOFTWARE_GL);
  await measured(comparisonInTheBrowser);
  // Last: it leaves a catalogue that no clinic has.
  await importOfFiftyThousand(origin, application.pid);
} finally {
  await application.stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
