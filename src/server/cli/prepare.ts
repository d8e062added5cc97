/**
 * Prepares a database for the application: migrates, makes the logins, loads the demo clinic where that is wanted and there
 * is none. Prints the two connection addresses, and the code of a first start, as JSON on its last line.
 */
import { resolve } from 'node:path';
import { alone, ensureLogins, loginUrls, migrate } from '../database/migrate';
import { prepareJobs } from '../jobs/prepare-jobs';
import { loadDemo } from './load-demo';
import { freshSetUpCode } from './set-up-code';

const ownerUrl = process.env.SOVET_OWNER_DATABASE_URL;
const secret = process.env.SOVET_SECRET;
if (!ownerUrl || !secret) throw new Error('SOVET_OWNER_DATABASE_URL and SOVET_SECRET must be set.');

const { error, results } = await migrate(ownerUrl, resolve('migrations'));
for (const step of results ?? [])
  if (step.status !== 'Success') console.error(`migration ${step.migrationName}: ${step.status}`);
if (error) throw error;
const urls = loginUrls(ownerUrl, secret);
await ensureLogins(ownerUrl, urls);
await alone(ownerUrl, () => prepareJobs(ownerUrl));
if (process.env.SOVET_DEMO === 'on') await loadDemo(ownerUrl, new Date());
console.log(JSON.stringify({ ...urls, setUpCode: await freshSetUpCode(urls.auth) }));
