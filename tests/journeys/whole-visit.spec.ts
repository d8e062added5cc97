import { expect, test } from '@playwright/test';
import { choose, press, ready, saved, tabTo, typeInto } from './keyboard';
import { killServer, origin, startServer } from './server';

test('the whole visit by keyboard alone, then a reload and a killed server, and everything is there', async ({
  page,
}) => {
  const next = async (name: string) => {
    await saved(page);
    await press(page, page.getByRole('button', { name: `Done, on to ${name}` }), 'Enter');
    await expect(page.getByRole('heading', { level: 1, name, exact: true })).toBeFocused();
  };
  const tab = async (name: string) => {
    const open = page.locator('[role=tab][data-state=active]');
    await open.waitFor();
    await tabTo(page, open);
    for (let presses = 0; presses < 9; presses += 1) {
      if (await page.getByRole('tab', { name, selected: true }).isVisible()) return;
      const before = await open.innerText();
      await page.keyboard.press('ArrowRight');
      await expect(open).not.toHaveText(before);
    }
    throw new Error(`No tab ${name}`);
  };

  // Signs in and adds a patient.
  await page.goto(`${origin()}/`);
  await ready(page);
  await typeInto(page, 'E-mail', 'practitioner@harbour.example');
  await typeInto(page, 'Password', 'low-tide-lantern');
  await page.keyboard.press('Enter');
  await page.waitForURL(/today/);
  await press(page, page.getByRole('link', { name: 'New patient' }), 'Enter');
  await page.waitForURL(/patients\/new/);
  await ready(page);
  await typeInto(page, 'Given name', 'Keya');
  await typeInto(page, 'Family name', 'Board');
  await typeInto(page, 'Date of birth', '03041979');
  await tabTo(page, page.getByLabel('Shoe sizing'));
  await page.keyboard.press('w');
  await typeInto(page, /^Height/, '5 ft 7 in');
  await page.keyboard.press('Enter');
  await page.waitForURL(/patients\/[0-9a-f-]{36}/);
  await ready(page);
  await press(page, page.getByRole('button', { name: 'New visit' }), 'Enter');
  await page.waitForURL(/visits\//);
  await page.locator('[data-visit]').waitFor();

  // Ask: what for, where it hurts, health.
  const panel = page.getByRole('complementary', { name: 'Specification' });
  await expect(panel).toContainText('Nothing found so far calls for a particular shoe');
  await press(page, page.getByRole('checkbox', { name: 'road running' }));
  await expect(panel).toContainText('Intended use');
  await typeInto(page, 'Distance a week', '20 mi');
  await typeInto(page, 'Body mass', '11 st 4');
  await tab('Aches');
  await press(page, page.getByRole('checkbox', { name: 'heel cord, mid-portion, left' }));
  await expect(panel.getByRole('button', { name: /Heel-to-toe drop/ })).toContainText('10–14');
  await tab('Health and reach');
  await choose(page, 'Reaches own feet', 1);
  await typeInto(page, 'Falls in 12 months', '0');
  await next('Old pair');

  await tab('In short');
  await typeInto(page, 'Age of the pair', '9');
  await typeInto(page, 'Drop of the old pair', '8');
  await next('Feet');

  // Feet: typed in three different units.
  await typeInto(page, 'Foot length, heel to longest toe, left', '9.6 in');
  await typeInto(page, 'Foot length, heel to longest toe, right', '246');
  await typeInto(page, 'Ball width, left', '9.4 cm');
  await typeInto(page, 'Ball width, right', '95');
  await expect(page.getByText('Fit the right')).toBeVisible();
  await tab('Form');
  await choose(page, 'Arch, standing, left', 3);
  await choose(page, 'Arch, standing, right', 3);
  await tab('Sensation and pulses');
  await choose(page, '10 g monofilament, left', 1);
  await choose(page, '10 g monofilament, right', 1);
  await choose(page, 'Foot pulses, left', 1);
  await choose(page, 'Foot pulses, right', 1);
  await expect(page.getByText('Category 0').first()).toBeVisible();
  await next('Load');

  await choose(page, 'Double knee bend: heel lifts early, left', 2);
  await tab('Mobility');
  await typeInto(page, 'Lunge, toe to wall, left', '8');
  await next('Move');
  await choose(page, 'Strike, left', 1);
  await next('Reason');
  await tabTo(page, page.getByRole('button', { name: /^Heel-to-toe drop: / }).first());
  await expect(page.getByRole('region', { name: 'Reason, work' })).toContainText('unloads the heel cord');
  await tab('Note');
  await typeInto(page, 'Note to this specification', 'starts low');
  await next('Candidates');

  // Candidates and try-on.
  await expect(page.getByText(/models are within the limits/)).toBeVisible();
  await press(page, page.getByRole('button', { name: /^Propose these/ }), 'Enter');
  await expect(page.getByText(/To bring: /)).toBeVisible();
  await next('Try-on');
  const pairA = page.getByRole('region', { name: /^Pair A: / });
  const feet = page.getByRole('region', { name: 'Checks of pair A' });
  await tabTo(page, pairA.getByLabel('Comfort, 0–100'));
  await page.keyboard.type('82');
  await typeInto(page, 'Room in front, left', '6');
  await page.keyboard.press('Tab');
  await expect(pairA).toContainText('too short');
  await expect(feet.getByRole('status', { name: 'Advice on pair A' })).toContainText(/Try \S+ \d/);
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('12');
  await choose(page, 'Width, ball, left', 2);
  await choose(page, 'Heel slip, right', 2);
  await expect(feet).toContainText('Heel lock');
  for (let presses = 0; presses < 60; presses += 1) await page.keyboard.press('Shift+Tab');
  await tabTo(page, pairA.getByRole('group', { name: 'Verdict' }).locator('input').first());
  await page.keyboard.press('1');
  await expect(pairA).toContainText('The most comfortable of those that fit');
  const chosenShoe = (await pairA.getByRole('heading').innerText()).replace(/^A\. /, '');
  await next('Hand-over');

  // Hand-over is blocked until the warning signs are checked.
  await expect(page.getByRole('button', { name: 'Hand over' })).toBeDisabled();
  await page.keyboard.press('Alt+w');
  await press(page, page.getByLabel(/I have checked for all of these/));
  await saved(page);
  await page.keyboard.press('Alt+9');
  await choose(page, 'Ground, mostly', 1);
  await press(page, page.getByRole('button', { name: 'Hand over' }), 'Enter');
  await expect(page.getByRole('link', { name: 'Patient’s sheet' })).toBeVisible();

  // A reload and a killed server: everything is there.
  const address = page.url().split('#')[0]!;
  await page.reload();
  await killServer();
  await startServer();
  await page.goto(`${address}#ask`);
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'road running' })).toBeChecked();
  await expect(page.getByLabel('Distance a week')).toHaveValue('32.19');
  await page.goto(`${address}#feet`);
  await expect(page.getByLabel('Foot length, heel to longest toe, left')).toHaveValue('243.84');
  await page.goto(`${address}#reason`);
  await page.getByRole('tab', { name: 'Note' }).click();
  await expect(page.getByLabel('Note to this specification')).toHaveValue('starts low');

  // The sheet, its PDF, the patient's page and later use.
  await page.goto(`${address}/sheet`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(chosenShoe);
  await expect(page.getByRole('article')).toContainText('It does not tell you what is wrong with your feet');
  const pdf = await page.request.get(`${address}/sheet.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('link', { name: 'Back to the visit' }).click();
  await page.getByRole('link', { name: 'To the patient' }).click();
  await page.waitForURL(/patients\//);
  await ready(page);
  const pair = page.getByRole('article', { name: chosenShoe });
  await expect(pair).toContainText('in its life');
  // What was felt at the fitting stands for the first day: the next one is held against it.
  await pair.getByLabel('Day').fill(new Date(Date.now() + 86_400_000).toISOString().slice(0, 10));
  await pair.getByLabel('Distance').fill('400 mi');
  await pair.getByLabel('Comfort').fill('96');
  await pair.getByRole('button', { name: 'Log' }).click();
  await expect(page.getByRole('article', { name: chosenShoe })).toContainText('96 now: better');
  await expect(page.getByRole('img', { name: /Likely used up between/ })).toBeVisible();
});
