import { expect, type Page, test } from '@playwright/test';
import { addDays } from '@/core/calendar/days';
import { simulatedLimb } from '@/simulators/limb';
import { newVisit, saved, signIn } from '../keyboard';
import { onDisk } from '../on-disk';
import { noViolations } from '../screens/looking';
import { origin } from '../server';
import { linkFor, openOn, phone } from './own-page';

const today = (): string => new Date().toISOString().slice(0, 10);

/** Somebody with a prosthesis whose foot is measured, with ten days of socks. */
async function wearer(page: Page, familyName: string): Promise<string> {
  const { patientId } = await newVisit(page, familyName);
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByText('left', { exact: true }).click();
  await page.getByLabel('Foot set for heel rise').fill('9.5');
  await page.getByLabel('Prosthetic heel–ball length').fill('180');
  await saved(page);
  const limb = simulatedLimb({
    seed: 3,
    from: addDays(today(), -10),
    days: 10,
    base: 4,
    swing: 2,
    betweenDays: 0.3,
    tagged: 0,
  });
  for (const entry of limb.entries)
    await page.request.post(`${origin()}/api/v1/patients/${patientId}/socks`, {
      headers: { origin: origin() },
      data: entry,
    });
  return patientId;
}

test('a drawer by its maker’s colours, a day on a phone from morning to night, what to add and what to carry', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const patientId = await wearer(page, 'Socks');
  await page.goto(`${origin()}/patients/${patientId}/limb`);
  await page.getByRole('tab', { name: 'Drawer' }).click();
  await expect(page.getByText('The drawer is empty', { exact: false })).toBeVisible();
  await page.getByLabel('Maker', { exact: true }).fill('Testhose');
  await page.getByLabel('Colours with their ply').fill('red 1, white three');
  await page.getByRole('button', { name: 'Keep these colours' }).click();
  await expect(page.getByRole('alert')).toContainText('Write each colour with its ply');
  await page.getByLabel('Colours with their ply').fill('red 1, white 3');
  await page.getByRole('button', { name: 'Keep these colours' }).click();
  await expect(page.getByRole('button', { name: 'Testhose' })).toBeVisible();
  for (const [at, colour, many] of [
    [1, 'red', '3'],
    [2, 'white', '2'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a kind of sock' }).click();
    await page.getByLabel(`Maker of kind ${at}`).fill('Testhose');
    await page.getByLabel(`Colour of kind ${at}`).fill(colour);
    await page.getByLabel(`How many of kind ${at}`).fill(many);
  }
  await expect(page.getByLabel('Ply of kind 2')).toHaveValue('3');
  await page.getByRole('button', { name: 'Keep the drawer' }).click();
  await expect(page.getByRole('button', { name: 'Keep the drawer' })).toHaveCount(0);
  await page.getByLabel('Wanted ply').fill('5');
  await expect(page.getByText('3-ply + 1-ply + 1-ply makes 5 ply.')).toBeVisible();
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByLabel('Held by').selectOption('pin');
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await page.getByRole('tab', { name: 'Drawer' }).click();
  await page.getByLabel('Wanted ply').fill('3');
  await expect(page.getByText(/No sock in the drawer has a hole/)).toBeVisible();
  await noViolations(page, 'prosthetic side');
  await page.getByLabel('Kind 1 has a hole').check();
  await page.getByLabel('Kind 2 has a hole').check();
  await page.getByRole('button', { name: 'Keep the drawer' }).click();
  await expect(page.getByRole('button', { name: 'Keep the drawer' })).toHaveCount(0);

  const url = await linkFor(page, patientId);
  const handset = await phone(browser);
  // The phone’s own clock: a morning, whatever the hour of the test.
  await handset.clock.setFixedTime(new Date(`${today()}T00:40:00`));
  await openOn(handset, url, ['5', '4', '1961']);
  await handset.getByRole('button', { name: 'Tell the clinic' }).tap();
  await expect(handset.getByText('Tell us what is on now.', { exact: false })).toBeVisible();
  await handset.getByRole('button', { name: 'Loose', exact: true }).tap();
  await handset.getByRole('button', { name: 'Send', exact: true }).first().tap();
  await expect(handset.getByText(/^Add \d ply now\. Wear /)).toBeVisible();
  await expect(handset.getByText(/^Later today you may need/)).toBeVisible();
  await expect(handset.getByText(/^Take along: .*1-ply/)).toBeVisible();
  await noViolations(handset, 'own page, socks');
  expect(await handset.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(
    0,
  );
  // Pain: at once and without waiting for an answer, no advice on ply but to stop.
  await handset.clock.setFixedTime(new Date(`${today()}T00:55:00`));
  await handset.getByRole('button', { name: 'It hurts' }).tap();
  await expect(handset.getByRole('alert')).toContainText('Do not change the socks');
  const told = handset.waitForResponse((answer) => answer.request().method() === 'POST' && answer.ok());
  await handset.getByRole('button', { name: 'Send', exact: true }).first().tap();
  await told;
  await expect(handset.getByText(/ply now/)).toHaveCount(0);
  await page.goto(`${origin()}/patients/${patientId}/limb`);
  await expect(page.getByText(/no advice on ply/)).toBeVisible();
  await handset.context().close();
});

test('a photograph on the table contradicts the stated set rise and changes nothing; a covered pylon says so', async ({
  page,
}) => {
  await signIn(page);
  const patientId = await wearer(page, 'Table');
  const picture = async (query: string) =>
    (await page.request.get(`${origin()}/api/v1/devices/table-camera?${query}`)).body();
  await page.goto(`${origin()}/patients/${patientId}/limb`);
  await page.getByRole('tab', { name: /Shoes on the table/ }).click();
  await page.getByRole('button', { name: 'Check a shoe on the table' }).click();
  await page.getByRole('button', { name: 'Keep the check' }).click();
  await expect(page.getByRole('alert')).toContainText('Choose the model');
  await page.getByLabel('Which shoe').fill('Sexton');
  await page.getByRole('listbox').getByRole('option').first().click();
  await page.getByLabel('Heel rise, mm').fill('9.5');
  const file = page.locator('input[type=file]');
  await file.setInputFiles(onDisk({ name: 'covered.png', buffer: await picture('leanDeg=2&trousers=yes') }));
  await expect(page.getByRole('alert')).toContainText('No pylon is seen');
  // It stands 3° back where the numbers say upright: the foot is set for more, or its alignment is off.
  await file.setInputFiles(onDisk({ name: 'side.png', buffer: await picture('leanDeg=-3&rollDeg=2') }));
  await expect(page.getByText(/The shank stands/)).toContainText(
    /3\.\d° ± \d\.\d° back|2\.9° ± \d\.\d° back/,
  );
  await expect(
    page.getByText(/Stated are 9\.5 mm: measure the foot, or its alignment is the cause/),
  ).toBeVisible();
  await expect(page.getByRole('slider', { name: 'pylon, first end' })).toBeVisible();
  await noViolations(page, 'a shoe on the table');
  await page.getByRole('button', { name: 'This was before the wedge' }).click();
  await page.getByLabel('Wedge in it, mm').fill('6');
  await file.setInputFiles(onDisk({ name: 'after.png', buffer: await picture('leanDeg=0') }));
  await expect(page.getByText(/The shank stands upright/)).toBeVisible();
  await page.getByLabel('Decision').selectOption('prosthetist');
  await page.getByLabel('Note').fill('set rise to be measured');
  await page.getByRole('button', { name: 'Keep the check' }).click();
  const row = page.getByRole('row').filter({ hasText: 'set rise to be measured' });
  await expect(row).toContainText('6 mm');
  await expect(row).toContainText('to the prosthetist');
  const { foot } = await (
    await page.request.get(`${origin()}/api/v1/patients/${patientId}/limb?now=${today()}T12:00`)
  ).json();
  expect(foot.setRiseMm).toBe(9.5);
});
