import { expect, type Page, test } from '@playwright/test';
import { choose, newVisit, press, saved, signIn, tabTo, typeInto } from '../keyboard';
import { open } from './devices';

/** The page’s own clock stands from now on, so that a slow machine times nothing. */
const clockStands = async (page: Page): Promise<void> =>
  page.clock.pauseAt((await page.evaluate(() => Date.now())) + 1000);

test('an examination by keyboard alone: marked, scored, timed, tapped, girthed', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Keyboard');
  const panel = page.getByRole('complementary', { name: 'Specification' });

  await open(page, 'ask', 'Aches');
  await press(page, page.getByRole('checkbox', { name: 'heel cord, mid-portion, left' }));
  await expect(panel.getByRole('button', { name: /Heel-to-toe drop/ })).toBeVisible();
  await choose(page, 'How much, 0–10', 7);
  await press(page, page.getByRole('checkbox', { name: 'at start-up' }));
  await expect(page.getByRole('button', { name: 'heel cord, mid-portion, left: 6/10' })).toBeVisible();

  await open(page, 'ask', 'Injuries');
  await press(page, page.getByRole('checkbox', { name: 'ankle, outer side, right, injuries' }));
  await tabTo(page, page.getByLabel('What the injury was'));
  await page.keyboard.type('ankle s');
  await typeInto(page, 'When, year or month and year', '2028-13');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Write 2024, or Mar 2024.')).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.type('11/2028');
  const line = page.getByRole('region', { name: 'Injuries in time' });
  await expect(line).toContainText('Nov 2028 ankle sprain');
  // Years stand at whole years.
  for (const year of await line.locator('svg text').allTextContents()) expect(year).toMatch(/^20\d\d$/);

  await open(page, 'load', 'Posture');
  const items = await page.getByRole('group', { name: /, left$/ }).all();
  expect(items).toHaveLength(6);
  for (const [at, digit] of [4, 4, 4, 3, 4, 5].entries())
    await choose(page, (await items[at]!.locator('legend').innerText()).trim(), digit);
  await expect(page.getByText('pronated', { exact: true })).toBeVisible();

  await open(page, 'load', 'Strength and balance');
  await clockStands(page);
  await press(page, page.getByRole('button', { name: 'Start the stopwatch: Timed up and go' }));
  await page.clock.runFor(3300);
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Timed up and go', { exact: true })).toHaveValue('3.3');
  await page.clock.resume();

  await open(page, 'move', 'Cadence');
  await tabTo(page, page.getByRole('button', { name: 'Tap', exact: true }));
  await clockStands(page);
  for (let tap = 0; tap < 6; tap += 1) {
    await page.keyboard.press('Space');
    await page.clock.runFor(500);
  }
  await page.clock.resume();
  await press(page, page.getByRole('button', { name: 'Keep this cadence' }), 'Enter');
  await expect(page.getByLabel('Running cadence, one foot')).toHaveValue('120');

  await open(page, 'feet', 'Swelling');
  for (const [at, time, girth] of [
    [1, '8:30', '50.2 cm'],
    [2, '1730', '518'],
  ] as const) {
    await press(page, page.getByRole('button', { name: 'Add a reading' }), 'Enter');
    await typeInto(page, `Reading ${at}: day`, '5 Jan 2026');
    await typeInto(page, `Reading ${at}: time`, time);
    await typeInto(page, `Figure-of-eight girth, left, reading ${at}`, girth);
  }
  await expect(page.getByText(/The left foot gains 16 mm of figure-of-eight girth in a day/)).toBeVisible();

  await press(
    page,
    page.getByRole('button', { name: 'Note it as swelling that comes and goes, left' }),
    'Enter',
  );
  await expect(panel.getByRole('button', { name: /Closure/ })).toContainText('hook-and-loop');

  await page.keyboard.press('Alt+w');
  await page.getByText('Ankle-injury rules, step by step').click();
  await choose(page, 'Pain about a malleolus, right', 2);
  await choose(page, 'Could take four steps, then and now, right', 1);
  await expect(page.getByText('X-ray by the rule')).toBeVisible();
  await expect(page.getByText('Mark it, then refer or exclude it.', { exact: true })).toBeVisible();
  await saved(page);

  // Everything is there after a reload, with who took it and how.
  await page.reload();
  await open(page, 'ask', 'Aches');
  await expect(page.getByRole('button', { name: 'heel cord, mid-portion, left: 6/10' })).toBeVisible();
  await page.getByRole('link', { name: 'Record' }).click();
  const record = page.getByRole('table');
  await expect(record.getByRole('row', { name: /Timed up and go/ }).first()).toContainText('stopwatch');
  await expect(record.getByRole('row', { name: /Running cadence/ })).toContainText('tapped steps');
  await expect(record.getByRole('row', { name: /Posture, six items left/ })).toContainText('6 pronated');
  await expect(page.getByRole('main')).toContainText('No forecast of injury'.toLowerCase());
});
