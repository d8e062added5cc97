import { expect, type Page, test } from '@playwright/test';
import { totp } from '@tests/fixtures/totp';
import { ready } from '../keyboard';
import { ownApplication } from '../own-server';
import { secondClinic } from '../second-clinic';

const DEMO_PASSWORD = 'low-tide-lantern';

async function enter(page: Page, origin: string, email: string, password = DEMO_PASSWORD): Promise<void> {
  await page.goto(`${origin}/sign-in`);
  await ready(page);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'));
}
const settled = async (page: Page, address: string) => {
  await page.goto(address);
  await ready(page);
};

test('one person works in two clinics, at one site of the first, with the second factor that the other asks for', async ({
  page,
}) => {
  const { origin, databaseUrl, end } = await ownApplication();
  try {
    const far = await secondClinic(databaseUrl, origin);
    const post = (path: string, data: object) => far.api.post(`/api/v1${path}`, { data });
    const email = 'practitioner@harbour.example';
    expect((await post('/people', { name: 'Tomas Brekkan', email, role: 'practitioner' })).status()).toBe(
      201,
    );
    const letters = await (await far.api.get('/api/v1/outbox')).json();
    const link = /http\S+join\?token=\S+/.exec(letters[0].body)![0];

    // The link knows that this address signs in already, and asks for that password.
    await settled(page, link);
    await expect(page.getByText('You already sign in with practitioner@harbour.example')).toBeVisible();
    await page.getByLabel('Password').fill('some other password');
    await page.getByRole('button', { name: 'Join this clinic' }).click();
    await expect(page.getByText('This is not the password that you sign in with.')).toBeVisible();
    await page.getByLabel('Password').fill(DEMO_PASSWORD);
    await page.getByRole('button', { name: 'Join this clinic' }).click();
    await page.waitForURL(/settings/);

    // At home: a site, and Today follows.
    await page.getByLabel('You work at').selectOption({ index: 2 });
    await expect(page.getByText('Visits you begin from now on belong to this site.')).toBeVisible();
    await page.goto(`${origin}/today`);
    await expect(page.getByRole('link', { name: 'Upper village' })).toHaveAttribute('aria-current', 'true');
    await page.getByRole('link', { name: 'All sites' }).click();
    await expect(page.getByRole('link', { name: 'All sites' })).toHaveAttribute('aria-current', 'true');

    // Over to the other clinic, which shows nobody of the first.
    await settled(page, `${origin}/settings`);
    await page.getByRole('button', { name: 'Go to Far Shore, Elsewhere' }).click();
    await page.waitForURL(/today/);
    await expect(page.getByText('Far Shore, Elsewhere')).toBeVisible();
    await expect(page.getByText('Nothing is due today')).toBeVisible();

    // That clinic asks for a second factor: everything else waits until it is there.
    const change = await far.api.patch('/api/v1/clinic', { data: { secondFactorRequired: true } });
    // Its lead has none either, and is held to the same from the next request.
    expect(change.status()).toBe(200);
    expect((await far.api.get('/api/v1/today')).status()).toBe(403);
    await settled(page, `${origin}/patients`);
    await expect(page.getByRole('heading', { name: 'Far Shore asks for a second factor' })).toBeVisible();
    expect((await page.request.get(`${origin}/api/v1/patients`)).status()).toBe(403);
    await page.getByLabel('Your password').fill(DEMO_PASSWORD);
    await page.getByRole('button', { name: 'Begin' }).click();
    const secret = await page.locator('code').innerText();
    await page.getByLabel('Code that it shows now').fill(totp(secret));
    await page.getByRole('button', { name: 'Switch on' }).click();
    await page.waitForURL(/today/);
    await expect(page.getByText('Far Shore, Elsewhere')).toBeVisible();

    // A password of one's own making; the other browsers are out, this one goes on.
    await settled(page, `${origin}/settings`);
    await page.getByLabel('Current password').fill(DEMO_PASSWORD);
    await page.getByLabel(/^New password, at least/).fill('ferry bell in the fog');
    await page.getByLabel('New password again').fill('ferry bell in the fog');
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByText('Every other browser of yours is signed out.')).toBeVisible();
    await page.goto(`${origin}/today`);
    await expect(page.getByText('Far Shore, Elsewhere')).toBeVisible();
    await far.api.dispose();
  } finally {
    await end();
  }
});

test('a record that was begun twice is folded into one and taken apart; who asks to be erased too early is closed from view', async ({
  page,
}) => {
  const { origin, end } = await ownApplication();
  try {
    await enter(page, origin, 'lead@harbour.example');
    // Formats of the clinic reach every page.
    await settled(page, `${origin}/clinic`);
    await page.getByLabel('Dates').selectOption('day-dot');
    await expect(page.getByText('Pages show it the next time')).toBeVisible();

    await settled(page, `${origin}/patients`);
    await page.getByRole('link', { name: 'Two records, one person?' }).click();
    await page.waitForURL(/duplicates/);
    await ready(page);
    const keep = page.getByRole('button', {
      name: /^Keep this record: Alder Brightwell, born \d\d\.\d\d\.\d{4}$/,
    });
    await keep.click();
    await page.getByRole('button', { name: 'Fold them' }).click();
    await expect(page.getByText('No two records look like the same person.')).toBeVisible();
    await page.goto(`${origin}/patients?q=Brightwelll`);
    await expect(page.getByText('Nobody is found by “Brightwelll”')).toBeVisible();
    await settled(page, `${origin}/patients/duplicates`);
    await page.getByRole('button', { name: 'Take apart: Alder Brightwelll' }).click();
    await expect(page.getByText('Two records again')).toBeVisible();

    // What was agreed to, on the patient's page.
    await page.goto(`${origin}/patients?q=Ashgrove`);
    await page.getByRole('link', { name: /Ashgrove/ }).click();
    await page.waitForURL(/patients\/[0-9a-f]/);
    await ready(page);
    const agreed = page.getByRole('region', { name: 'Consents' });
    await agreed.scrollIntoViewIfNeeded();
    await agreed.getByRole('button', { name: /^Note: Being examined/ }).click();
    await agreed.getByLabel('How', { exact: true }).selectOption('signed');
    await agreed.getByRole('button', { name: 'Agreed' }).click();
    await expect(agreed.getByText(/signed, noted by Maren Odell/)).toBeVisible();
    const patient = page.url();

    // A rule, and somebody who asks to be erased before its time.
    await settled(page, `${origin}/records`);
    await page.getByLabel('Years after the last visit').fill('8');
    await page.getByRole('button', { name: 'Preview' }).click();
    await expect(page.getByText(/Of 61 records 61 are kept; none is past their time/)).toBeVisible();
    await page.getByRole('button', { name: 'Save the rules' }).click();
    await expect(page.getByText('Saved. Nothing was erased.')).toBeVisible();
    await settled(page, patient);
    await page.getByRole('button', { name: 'Erase …' }).click();
    await page.getByLabel('Family name, to be sure').fill('Ashgrove');
    await page.getByLabel('Why').fill('asked for it');
    await page.getByRole('button', { name: 'Erase for good' }).click();
    await expect(
      page.getByText(/closed from view\. Kept until .*8 years after the last visit/),
    ).toBeVisible();
    expect((await page.goto(patient))?.status()).toBe(404);
    await settled(page, `${origin}/records`);
    await page.getByRole('button', { name: 'Back into view: Corentin Ashgrove' }).click();
    await expect(page.getByText('None. A record is closed')).toBeVisible();
    expect((await page.goto(patient))?.status()).toBe(200);
  } finally {
    await end();
  }
});
