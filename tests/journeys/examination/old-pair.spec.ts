import { expect, test } from '@playwright/test';
import { newVisit, press, saved, signIn, tabTo } from '../keyboard';
import { enter, panel } from '../reasoning/past-patients';
import { open } from './devices';

const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

test('a pair that was brought: verdict, what moved it, and what it does to the specification', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Wornout');
  await enter(page, visitId, 'ask', { body: { activities: ['road-running'] }, left: { pain: ['shin'] } });
  await enter(page, visitId, 'move', { left: { roll: 'in' }, right: { roll: 'in' } });
  await page.reload();
  await open(page, 'old-pair', 'Pairs brought');
  await page.getByRole('button', { name: 'Name a pair …' }).click();
  await page.getByLabel('A pair that was brought').fill('Longshore');
  await page
    .getByRole('option', { name: /Longshore \d/ })
    .first()
    .click();
  await page.getByLabel('First worn').fill(ago(40));
  await page.getByLabel(/^How much .* was used$/).fill('60');
  const answers = page.getByRole('region', { name: 'Both answers' });
  await expect(answers).toContainText(/Has life left \(9\d %\)/);
  await expect(answers).toContainText('Look next:');

  // By keyboard: creases within weeks. It was wrong, not old, and the next pair has more hold.
  const creases = page.getByRole('group', { name: 'Midsole creased or buckled' });
  await tabTo(page, creases.locator('input').first());
  await page.keyboard.press('2');
  await expect(answers).toContainText(/It was too soft, or held too little \(\d\d %\)/);
  await expect(answers).toContainText('Midsole creased or buckled spoke most for it');
  await expect(answers).toContainText(/Has life left/);
  await expect(panel(page)).toContainText('Midsole hardness');
  await saved(page);

  // A second pair did most of the miles: old, spent, and said so before any reasoning where something aches.
  await page.getByLabel('A pair that was brought').fill('Old harbour trainer');
  await page.getByRole('option', { name: /as written/ }).click();
  await page.getByLabel(/^How much .* was used$/).fill('1100');
  await page.getByRole('checkbox', { name: 'was worn most' }).check();
  await page
    .getByRole('group', { name: 'Aches with this pair' })
    .getByRole('radio', { name: /lately/ })
    .check({ force: true });
  await expect(answers).toContainText(/Spent \(9\d %\)/);
  await saved(page);
  await page.evaluate(() => {
    location.hash = 'reason';
  });
  await expect(page.getByText(/replace the pair first, and see what is left of it/)).toBeVisible();
});

test('soles are graded by touch and by digit, and read three ways', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Soles');
  await open(page, 'old-pair', 'Pairs brought');
  await page.getByRole('button', { name: 'Name a pair …' }).click();
  await page.getByLabel('A pair that was brought').fill('Market boot');
  await page.getByRole('option', { name: /as written/ }).click();
  await page.getByRole('tab', { name: 'Soles' }).click();
  const zone = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}:`) });
  await zone('left heel, outer').focus();
  await page.keyboard.press('3');
  await expect(zone('left heel, outer')).toHaveAccessibleName('left heel, outer: through');
  await press(page, zone('right heel, outer'), 'Enter');
  await expect(zone('right heel, outer')).toHaveAccessibleName('right heel, outer: a little');
  const readings = page.getByRole('region', { name: 'Readings of the soles' });
  await expect(readings).toContainText('Left and right differ at the heel, outer');
  await expect(readings).toContainText('Needs the strike, under Move');
  await saved(page);
  await page.reload();
  await open(page, 'old-pair', 'Soles');
  await expect(zone('left heel, outer')).toHaveAccessibleName('left heel, outer: through');
});

test('a pair that was only brought is photographed, and a length on it measured in millimetres', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Brought');
  await open(page, 'old-pair', 'Pairs brought');
  await page.getByRole('button', { name: 'Name a pair …' }).click();
  await page.getByLabel('A pair that was brought').fill('Market boot');
  await page.getByRole('option', { name: /as written/ }).click();
  await page.getByRole('tab', { name: 'Photographs' }).click();
  await page.getByRole('button', { name: 'From the simulated camera' }).click();
  await page.getByRole('button', { name: 'Measure a length …' }).click();
  const length = page.getByRole('status', { name: 'Measured length' });
  await expect(length).toHaveText('The lines have not been placed yet.');
  await tabTo(page, page.getByRole('slider', { name: 'known length, second end' }));
  await page.keyboard.press('Shift+ArrowRight');
  await expect(length).toHaveText(/^Measured: \d+ ± \d+ mm$/);
  const first = await length.innerText();
  // A shorter known length makes everything shorter.
  await page.getByRole('textbox', { name: 'Known length' }).fill('210');
  await expect(length).not.toHaveText(first);
  const measured = (await length.innerText()).replace('Measured: ', '');
  await page.getByRole('button', { name: 'Keep the photograph' }).click();
  await page.getByRole('button', { name: /from behind, on a table/ }).click();
  await expect(page.getByText(`measured ${measured}`)).toBeVisible();
  await saved(page);
  await page.reload();
  await open(page, 'old-pair', 'Photographs');
  await expect(page.getByRole('button', { name: /from behind, on a table/ })).toHaveCount(1);
});
