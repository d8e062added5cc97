import { expect, test } from '@playwright/test';
import { countingHands, secondsOf } from '../hands';
import { signIn } from '../keyboard';
import { patient } from '../reasoning/past-patients';
import { origin } from '../server';

const FOUR_MINUTES = 240;

test('a review by keyboard in under four minutes: worse pain asks for a refit, which is kept with what was changed', async ({
  page,
}) => {
  await signIn(page);
  await patient(page, 'Marne');
  await page.getByRole('link', { name: 'Review it' }).first().click();
  await page.waitForURL(/review$/);
  await expect(page.getByRole('region', { name: 'The first visit' })).toContainText('Ached then');
  const hands = countingHands(page);
  await hands.press(page.getByRole('checkbox', { name: 'another insert, brace or sock' }));
  await hands.press(page.getByRole('button', { name: 'Looked for: none' }));
  await hands.typeInto('Comfort, 0–100', '62');
  for (const [zone, value] of Object.entries({ heel: '70', arch: '65', ball: '40', toes: '70' }))
    await hands.typeInto(zone, value);
  await hands.typeInto('Pain at its site, 0–10', '8');
  await hands.typeInto('Activity 1', 'stairs');
  await hands.typeInto('Activity 1, 0–10', '6');
  await hands.typeInto('Worn, hours a day', '6');
  await hands.typeInto('Worn, days a week', '5');
  await hands.typeInto('Falls and near-falls', '0');
  await hands.press(page.getByRole('button', { name: 'left: ball' }));
  await hands.typeInto('Used since the last entry', '85');
  for (const [sign, digit] of [
    ['fold', 1],
    ['foam', 2],
    ['counter', 1],
    ['tilt', 1],
  ] as const)
    await hands.choose(page.locator(`[data-sign=${sign}] input`), digit);
  const decide = page.getByRole('complementary', { name: 'Decide' });
  await expect(decide.getByRole('img', { name: /^Pain: \d+ then, 8 now, worse/ })).toBeVisible();
  await expect(decide).toContainText('Another insert, brace or sock needs different room');
  await hands.press(decide.getByRole('radio', { name: 'keep the pair' }));
  await page.keyboard.press('ArrowRight');
  await expect(decide.getByRole('radio', { name: 'refit it' })).toBeChecked();
  await hands.press(decide.getByRole('button', { name: 'Keep the review' }));
  await expect(decide).toContainText('Write what was changed on the pair');
  // A reload in the middle loses nothing.
  await page.reload();
  await expect(page.getByLabel('Comfort, 0–100')).toHaveValue('62');
  await hands.typeInto('What was changed on the pair, or is to be', 'felt under the ball, relaced');
  await hands.press(decide.getByRole('button', { name: 'Keep the review' }));
  await page.waitForURL(/pairs\/[0-9a-f-]+$/);
  console.log(`a review: ${secondsOf(hands.count()).toFixed(0)} s`);
  expect(secondsOf(hands.count())).toBeLessThan(FOUR_MINUTES);

  await page.getByRole('tab', { name: 'Reviews' }).click();
  await expect(page.getByRole('tabpanel')).toContainText('refit it; felt under the ball, relaced');
  await page.getByRole('tab', { name: 'Outcomes' }).click();
  await expect(page.getByRole('table')).toContainText('62 heel 70 arch 65 ball 40 toes 70');
  await expect(page.getByRole('table')).toContainText('redness left, ball');
});

test('a warning sign at a review leaves one way: to refer', async ({ page }) => {
  await signIn(page);
  await patient(page, 'Achterberg');
  await page.getByRole('link', { name: 'Review it' }).first().click();
  await page.waitForURL(/review$/);
  await page.getByRole('button', { name: 'One is there …' }).click();
  await page.getByRole('checkbox', { name: /^Open wound/ }).check();
  const decide = page.getByRole('complementary', { name: 'Decide' });
  await expect(decide.getByRole('radio', { name: 'keep the pair' })).toBeDisabled();
  await expect(decide.getByRole('heading', { name: 'Refer first' })).toBeVisible();
  await page.getByLabel('Comfort, 0–100').fill('50');
  await decide.getByRole('radio', { name: 'refer' }).check();
  await decide.getByRole('button', { name: 'Keep the review' }).click();
  await expect(decide).toContainText('Write to whom');
  await decide.getByLabel('To whom, and how soon').fill('wound clinic, today');
  await decide.getByRole('button', { name: 'Keep the review' }).click();
  await page.waitForURL(/pairs\/[0-9a-f-]+$/);
  await page.goto(`${origin()}/today`);
  await expect(page.locator('section', { hasText: 'Stop wearing' })).toContainText('Achterberg');
});
