import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, expect, type Page, test } from '@playwright/test';
import { totp } from '@tests/fixtures/totp';
import pg from 'pg';
import { prepareDatabase, startApplication } from '../../../scripts/lib/application.mjs';
import { freePort, startPostgres } from '../../../scripts/lib/postgres.mjs';
import { ready } from '../keyboard';

const SECRET = 'a secret of a clinic that begins with nothing, 0123456789';
const OWNER = 'little_owner';
const LEAD_PASSWORD = 'four gulls over the quay';
const COLLEAGUE_PASSWORD = 'rope ladder at ebb tide';

test('from an empty server: set up, a colleague with a second factor, a patient, backup, drop, restore, and on', async ({
  page,
  browser,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-nothing-'));
  const server = await startPostgres(folder, 'sovet_admin');
  const admin = new pg.Client({ connectionString: server.url });
  await admin.connect();
  // Whoever runs the clinic's database may create databases and roles, and is no superuser.
  await admin.query(`create role ${OWNER} login createdb createrole password 'little'`);
  await admin.query(`create database clinic owner ${OWNER}`);
  const url = new URL(server.url);
  url.username = OWNER;
  url.password = 'little';
  url.pathname = '/clinic';
  const owner = url.toString();
  const npm = (what: string, file: string) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/backup.mjs', what, file], {
      encoding: 'utf8',
      env: { ...process.env, DATABASE_URL: owner, SOVET_SECRET: SECRET },
    });
    expect(stderr).toBe('');
    expect(status).toBe(0);
    return stdout;
  };
  const prepare = () => prepareDatabase(owner, SECRET, { SOVET_DEMO: 'off' });
  const port = await freePort();
  const start = (logins: ReturnType<typeof prepare>) =>
    startApplication({ port, secret: SECRET, logins, env: { SOVET_DEMO: 'off' } });
  const at = (path: string) => `http://127.0.0.1:${port}${path}`;
  const contexts: BrowserContext[] = [];
  let application: Awaited<ReturnType<typeof start>> | null = null;
  try {
    const first = prepare();
    expect(first.setUpCode).toMatch(/^[A-Z2-9]{4}(-[A-Z2-9]{4}){2}$/);
    application = await start(first);

    // Set up: a wrong code and a weak password are said at their fields, and what was typed stays.
    await page.goto(at('/'));
    await page.waitForURL(/set-up/);
    await ready(page);
    await page.getByLabel('Code from the console').fill('AAAA-BBBB-CCCC');
    await page.getByLabel('Name of the clinic').fill('Breakwater Clinic');
    await page.getByLabel('Place').fill('Nordsund');
    await page.getByLabel('Dates').selectOption('day-dot');
    await page.getByLabel('Distances').selectOption('mi');
    await page.getByLabel('Your name').fill('Asta Merle');
    await page.getByLabel('Your e-mail').fill('asta@breakwater.example');
    await page.getByLabel('Password').fill('breakwater-2030');
    await page.getByRole('button', { name: 'Set up the clinic' }).click();
    await expect(page.getByText(/little more than a name/)).toBeVisible();
    await page.getByLabel('Password').fill(LEAD_PASSWORD);
    await page.getByRole('button', { name: 'Set up the clinic' }).click();
    await expect(page.getByText(/not the code that the console shows/)).toBeVisible();
    await expect(page.getByLabel('Name of the clinic')).toHaveValue('Breakwater Clinic');
    await page.getByLabel('Code from the console').fill(first.setUpCode!.toLowerCase());
    await page.getByRole('button', { name: 'Set up the clinic' }).click();
    await page.waitForURL(/people/);
    await expect(page.getByText('Breakwater Clinic, Nordsund')).toBeVisible();
    await expect(page.getByText('Demo, invented people')).toHaveCount(0);
    // The code opens nothing twice.
    const again = await page.request.post(at('/api/set-up'), {
      headers: { origin: at('') },
      data: {
        code: first.setUpCode,
        clinic: 'x',
        place: 'x',
        name: 'x',
        email: 'x@y.example',
        password: LEAD_PASSWORD,
      },
    });
    expect(again.status()).toBe(422);

    // Invite: the letter is in the outbox, with its link.
    await page.getByLabel('Name', { exact: true }).fill('Jorun Vale');
    await page.getByLabel('E-mail').fill('jorun@breakwater.example');
    await page.getByRole('button', { name: 'Send the invitation' }).click();
    await expect(page.getByText('Jorun Vale gets a letter')).toBeVisible();
    await expect(page.getByRole('list', { name: 'Colleagues' }).getByText('invited')).toBeVisible();
    await page.goto(at('/outbox'));
    await page.getByText('Asta Merle invites you to Breakwater Clinic').click();
    const link = /http\S+join\?token=\S+/.exec(await page.locator('[data-letter] pre').innerText())![0];

    // The colleague chooses a password and a second factor.
    const other = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    contexts.push(other);
    const theirs = await other.newPage();
    await theirs.goto(link);
    await expect(theirs.getByRole('heading', { name: 'Welcome, Jorun Vale' })).toBeVisible();
    await ready(theirs);
    await theirs.getByLabel('Password').fill(COLLEAGUE_PASSWORD);
    await theirs.getByLabel('The same again').fill(COLLEAGUE_PASSWORD);
    await theirs.getByRole('button', { name: 'Set the password' }).click();
    await theirs.waitForURL(/today/);
    await theirs.goto(link);
    await expect(theirs.getByText('This link no longer works')).toBeVisible();
    const secret = await secondFactor(theirs, at('/settings'));

    // From now on the password alone opens nothing.
    await theirs.getByRole('button', { name: 'Sign out' }).click();
    await theirs.waitForURL(/sign-in/);
    await enter(theirs, 'jorun@breakwater.example', COLLEAGUE_PASSWORD);
    await theirs.getByLabel('Code').fill('000000');
    await theirs.getByRole('button', { name: 'Go on' }).click();
    await expect(theirs.getByText(/This code is wrong/)).toBeVisible();
    expect((await theirs.request.get(at('/api/v1/today'))).status()).toBe(401);
    await theirs.getByLabel('Code').fill(totp(secret));
    await theirs.getByRole('button', { name: 'Go on' }).click();
    await theirs.waitForURL(/today/);

    // The first patient.
    await theirs.goto(at('/patients/new'));
    await ready(theirs);
    await theirs.getByLabel('Given name').fill('Henrike');
    await theirs.getByLabel('Family name').fill('Solberg');
    await theirs.getByLabel('Date of birth').fill('1961-04-05');
    await theirs.getByRole('button', { name: 'Add' }).click();
    await expect(theirs.getByRole('heading', { name: 'Henrike Solberg' })).toBeVisible();
    await expect(theirs.getByText('born 05.04.1961')).toBeVisible();

    // Backed up while it runs; then everything is dropped, and comes back.
    const file = join(folder, 'friday.sovet');
    expect(npm('backup', file)).toMatch(/Backed up and read back/);
    await page.goto(at('/operations'));
    await expect(page.getByText(/Last made .* UTC: \d+ rows in \d+ tables/)).toBeVisible();
    await application.stop();
    await admin.query('drop database clinic with (force)');
    await admin.query(`create database clinic owner ${OWNER}`);
    expect(npm('restore', file)).toMatch(/Restored and checked/);
    const after = prepare();
    expect(after.setUpCode).toBeNull();
    application = await start(after);

    // And on: signed in as before, the patient is there, a visit begins.
    await theirs.goto(at('/patients'));
    await theirs.getByRole('link', { name: /Solberg/ }).click();
    await theirs.getByRole('button', { name: /visit/ }).click();
    await theirs.waitForURL(/visits/);

    // The lead suspends the colleague: out everywhere, at once.
    await page.goto(at('/people'));
    await ready(page);
    const row = page
      .getByRole('list', { name: 'Colleagues' })
      .getByRole('listitem')
      .filter({ hasText: 'Jorun Vale' });
    await expect(row.getByText('with a second factor')).toBeVisible();
    await row.getByText('More').click();
    await row.getByRole('button', { name: /Suspend/ }).click();
    await expect(row.getByText('suspended')).toBeVisible();
    expect((await theirs.request.get(at('/api/v1/today'))).status()).toBe(401);
    // The only lead cannot go.
    await page.getByLabel('Role of Asta Merle').selectOption('assistant');
    await expect(page.getByText('A clinic needs a lead')).toBeVisible();
  } finally {
    for (const context of contexts) await context.close();
    await application?.stop();
    await admin.end();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});

async function enter(page: Page, email: string, password: string): Promise<void> {
  await ready(page);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** Switches a second factor on as a person does, with an authenticator that reads the secret. */
async function secondFactor(page: Page, settings: string): Promise<string> {
  await page.goto(settings);
  await ready(page);
  const section = page.getByRole('region', { name: 'Second factor' });
  await section.getByLabel('Your password').fill('not this one at all');
  await section.getByRole('button', { name: 'Begin' }).click();
  await expect(section.getByText('This is not your password.')).toBeVisible();
  await section.getByLabel('Your password').fill(COLLEAGUE_PASSWORD);
  await section.getByRole('button', { name: 'Begin' }).click();
  const secret = await section.locator('code').innerText();
  await expect(section.getByRole('img', { name: /Square code/ })).toBeVisible();
  await expect(section.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem')).toHaveCount(10);
  await section.getByLabel('Code that it shows now').fill(totp(secret));
  await section.getByRole('button', { name: 'Switch on' }).click();
  await expect(section.getByText('From now on your sign-in asks for a code.')).toBeVisible();
  return secret;
}
