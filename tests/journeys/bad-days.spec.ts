import { expect, test } from '@playwright/test';
import { newVisit, PASSWORD, saved, signIn } from './keyboard';
import { killServer, origin, startServer } from './server';

test('a unit slip is refused at its field, with what was probably meant', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Slip');
  await page.goto(`${page.url()}#feet`);
  const length = page.getByLabel('Foot length, heel to longest toe, left');
  await length.fill('26.5');
  await length.blur();
  await expect(page.getByText(/26\.5.mm cannot be right/)).toBeVisible();
  await expect(length).toHaveAttribute('aria-invalid', 'true');
  await expect(length).toHaveValue('26.5');
  await page.getByRole('button', { name: /Take 265/ }).click();
  await expect(length).toHaveValue('265');
  await saved(page);
});

test('what is typed and cannot be a value yet survives a reload', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Halfway');
  await page.goto(`${page.url()}#feet`);
  await page.getByLabel('Ball width, right').fill('ten and a bit');
  await page.getByLabel('Ball width, left').fill('98');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Ball width, right')).toHaveValue('ten and a bit');
  await expect(page.getByLabel('Ball width, left')).toHaveValue('98');
  await expect(page.getByText(/“ten and a bit” is not a number/)).toBeVisible();
});

test('a killed server and a reload in between lose nothing that was typed', async ({ page }) => {
  test.setTimeout(120_000);
  await signIn(page);
  const { visitId } = await newVisit(page, 'Outage');
  await page.getByLabel('Body mass').fill('77');
  await saved(page);
  await killServer();
  await page.getByLabel('Body mass').fill('78');
  await page.getByRole('checkbox', { name: 'trail', exact: true }).check({ force: true });
  await expect(page.getByText('No connection. Kept in this browser')).toBeVisible();
  await startServer();
  await page.goto(`${origin()}/visits/${visitId}`);
  await page.locator('[data-visit]').waitFor();
  await expect(page.getByText('Restored from this browser: Ask')).toBeVisible();
  await expect(page.getByLabel('Body mass')).toHaveValue('78');
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body).toMatchObject({ bodyMass: 78, activities: ['trail'] });
});

test('an expired sign-in asks again on the spot and saves what waited', async ({ page, context }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Expired');
  await context.clearCookies();
  await page.getByLabel('Body mass').fill('81');
  await expect(page.getByText('Your sign-in has expired')).toBeVisible();
  await page.getByLabel('E-mail').fill('practitioner@harbour.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body.bodyMass).toBe(81);
});

test('two people on one visit: the second is told, shown the difference, and decides', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Both');
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'assistant');
  await other.goto(`${origin()}/visits/${visitId}`);
  await other.locator('[data-visit]').waitFor();
  await expect(other.getByText('Tomas Brekkan is also on this visit')).toBeVisible();
  await page.getByLabel('Body mass').fill('70');
  await saved(page);
  await other.getByLabel('Body mass').fill('72');
  await other.getByLabel('Standing a day').fill('5');
  const panel = other.getByRole('alert', { name: 'Two versions' });
  await expect(panel).toContainText('Tomas Brekkan saved Ask while you worked on it');
  const mass = panel.getByRole('row', { name: /Body mass/ });
  await expect(mass).toContainText('72');
  await expect(mass).toContainText('70');
  await mass.getByRole('radio').nth(1).check();
  await panel.getByRole('button', { name: 'Save these values' }).click();
  await expect(other.getByLabel('Body mass')).toHaveValue('70');
  await saved(other);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body).toMatchObject({ bodyMass: 70, hoursStanding: 5 });
});

test('an open warning sign blocks the hand-over until it is answered with a note', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Warned');
  await page.goto(`${page.url()}#warnings`);
  await page.getByLabel(/I have checked for all of these/).check();
  await page.getByRole('checkbox', { name: /Open wound/ }).check();
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'In the way' })).toContainText(
    'record what was done, with a note',
  );
  await page.goto(`${page.url().split('#')[0]}#warnings`);
  await page.getByText('Referred', { exact: true }).click();
  await page.getByLabel('Note (needed)').fill('wound clinic this afternoon');
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'In the way' })).not.toContainText('Open wound');
  await expect(page.getByRole('region', { name: 'In the way' })).toContainText('No tried pair');
});

test('prosthesis: the shank leans and the socks add up', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Shank');
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByText('left', { exact: true }).click();
  await page.getByLabel('Foot set for heel rise').fill('9.5');
  await page.getByLabel('Prosthetic heel–ball length').fill('180');
  await page.getByLabel('Shoe’s heel rise').fill('20');
  await expect(page.getByText(/leans forward 3\.3°.*Do not walk on it/)).toBeVisible();
  await page.getByLabel('Shoe’s heel rise').fill('0');
  await expect(page.getByText(/a wedge of 9\.5 mm/)).toBeVisible();
  await page.getByLabel('3-ply socks closed').fill('3');
  await page.getByLabel('Wanted ply').fill('9');
  await expect(page.getByText('3-ply + 3-ply + 3-ply makes 9 ply.')).toBeVisible();
  await saved(page);
});

test('a limit set aside needs a reason, stays in sight, and moves the shoe', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Aside');
  await page.getByRole('checkbox', { name: 'court, outdoors' }).check({ force: true });
  await page.goto(`${page.url()}#reason`);
  await page
    .getByRole('button', { name: /^Outsole hardness: / })
    .first()
    .focus();
  await page.getByRole('button', { name: 'Set aside with a reason' }).click();
  await page.getByLabel(/Reason \(kept/).fill('plays on carpet');
  await page.getByRole('button', { name: 'Set aside', exact: true }).click();
  await expect(page.getByText('Set aside: plays on carpet')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('complementary', { name: 'Specification' })).not.toContainText(
    'Outsole hardness',
  );
});

test('leaving the page in the middle of a save is no second version', async ({ page }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Hasty');
  for (const mass of ['61', '62', '63']) {
    await page.getByLabel('Body mass').fill(mass);
    await page.reload();
    await page.locator('[data-visit]').waitFor();
    await expect(page.getByLabel('Body mass')).toHaveValue(mass);
    await expect(page.getByRole('alert', { name: 'Two versions' })).toHaveCount(0);
  }
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body.bodyMass).toBe(63);
});
