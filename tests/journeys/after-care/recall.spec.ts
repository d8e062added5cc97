import { expect, test } from '@playwright/test';
import { appointmentsIn } from '../../fixtures/calendar';
import { ready, signIn } from '../keyboard';
import { noViolations } from '../screens/looking';
import { origin } from '../server';
import { handedToday, phone } from './own-page';

test('recall: tried, put off with a reason, written to once; the note stands in the outbox, its link stops them; a calendar subscribes', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const { patientId } = await handedToday(page, 'Rowanbank');
  const email = 'rowanbank@home.example';
  const headers = { origin: origin() };
  await page.request.patch(`${origin()}/api/v1/patients/${patientId}`, {
    headers,
    data: { contactBy: 'email', email },
  });
  // Handed over today with a return until next week: nothing is due yet. A sore answer three times asks for a refit.
  const pairs = await (await page.request.get(`${origin()}/api/v1/patients/${patientId}`)).json();
  const pairId = pairs.pairs[0].id;
  const answered = await page.request.post(`${origin()}/api/v1/pairs/${pairId}/outings`, {
    headers,
    data: { on: new Date().toISOString().slice(0, 10), felt: 'severe' },
  });
  expect(answered.ok()).toBe(true);

  await page.goto(`${origin()}/today`);
  await ready(page);
  const mine = page.getByRole('listitem').filter({ hasText: 'Journey Rowanbank' });
  await expect(mine).toContainText('Write to rowanbank@home.example');
  // A warning is noted, and not put off.
  await mine.getByRole('button', { name: /^Note what was tried/ }).click();
  await expect(mine.getByRole('button', { name: 'put off' })).toHaveCount(0);
  await mine.getByRole('button', { name: 'no answer' }).click();
  await expect(mine).toContainText('no answer');

  // Somebody of the demo whose pair has had its time.
  const overdue = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: /^In the replacement window/ }) });
  const first = overdue.getByRole('listitem').first();
  await first.getByRole('button', { name: /^Note what was tried/ }).click();
  await expect(first.getByRole('button', { name: 'put off' })).toBeDisabled();
  await first.getByLabel('Note', { exact: true }).fill('comes after the holidays');
  const name = (await first.getByRole('link').first().textContent()) ?? '';
  await first.getByRole('button', { name: 'put off' }).click();
  await expect(overdue.getByRole('link', { name })).toHaveCount(0);
  await page.reload();
  await ready(page);
  await expect(overdue.getByRole('link', { name })).toHaveCount(0);

  const box = overdue.getByRole('checkbox').first();
  const who = /^Write to (.*):/.exec((await box.getAttribute('aria-label')) ?? '')?.[1] ?? '';
  const row = overdue.getByRole('listitem').filter({ hasText: who });
  const href = await row.getByRole('link').first().getAttribute('href');
  await page.request.patch(`${origin()}/api/v1${href}`, { headers, data: { contactBy: 'email', email } });
  await box.check();
  await page.getByRole('button', { name: 'Write to them' }).click();
  await expect(page.getByRole('region', { name: 'Letters' })).toContainText('1 by mail');
  await expect(row).toContainText('written to');
  await box.check();
  await page.getByRole('button', { name: 'Write to them' }).click();
  await expect(page.getByRole('region', { name: 'Letters' })).toContainText(
    'Was written to before about this.',
  );
  await noViolations(page, 'today with letters');

  await page.context().clearCookies();
  await signIn(page, 'lead');
  await page.goto(`${origin()}/outbox`);
  const letter = page.locator('[data-letter]').filter({ hasText: email });
  await expect(letter).toHaveCount(1);
  await expect(letter).toContainText('A note from');
  await letter.locator('summary').click();
  const link = /https?:\S+no-more#\S+/.exec((await letter.textContent()) ?? '')?.[0] ?? '';
  const handset = await phone(browser);
  await handset.goto(link);
  await handset.getByRole('button', { name: 'No more notes, please' }).tap();
  await expect(handset.getByText(/^Done/)).toBeVisible();
  await handset.context().close();
  const after = await (await page.request.get(`${origin()}/api/v1${href}`)).json();
  expect(after.contactBy).toBe('none');

  const made = await page.request.post(`${origin()}/api/v1/tokens`, {
    headers,
    data: { name: 'Calendar', days: 30, access: 'read', areas: ['calendar'] },
  });
  const { token } = await made.json();
  const feed = await page.request.get(`${origin()}/calendar/${token}.ics`);
  expect(appointmentsIn(await feed.text()).length).toBeGreaterThan(0);
  expect(await feed.text()).not.toContain('Rowanbank');
  // It opens the calendar and nothing else, and no wider token stands in an address.
  const beyond = await page.request.get(`${origin()}/api/v1/patients`, {
    headers: { authorization: `Bearer ${token}` },
  });
  expect(beyond.status()).toBe(403);
  const wide = await page.request.post(`${origin()}/api/v1/tokens`, {
    headers,
    data: { name: 'Wide', days: 30, access: 'read' },
  });
  const { token: wideToken } = await wide.json();
  expect((await page.request.get(`${origin()}/calendar/${wideToken}.ics`)).status()).toBe(404);
});
