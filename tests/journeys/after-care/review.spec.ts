import { expect, type Locator, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { patient } from '../reasoning/past-patients';
import { origin } from '../server';

/**
 * Seconds of a key and of a decision, by which a review is counted: the keystroke-level model (Card, Moran and Newell, Commun ACM
 * 1980;23:396–410, from memory): 0.28 s a key for an average typist, 1.35 s to think before each field.
 */
const SECONDS = { key: 0.28, thought: 1.35 };
const FOUR_MINUTES = 240;

/** Hands on a keyboard that count what they do. */
function countingHands(page: Page) {
  let keys = 0;
  let thoughts = 0;
  const key = async (name: string) => {
    keys += 1;
    await page.keyboard.press(name);
  };
  const reach = async (target: Locator) => {
    thoughts += 1;
    await target.waitFor({ state: 'attached' });
    for (let tabs = 0; tabs < 140; tabs += 1) {
      if (await target.evaluate((element) => element === document.activeElement)) return;
      await key('Tab');
    }
    throw new Error(`Tab never reached ${target}`);
  };
  return {
    press: async (target: Locator) => {
      await reach(target);
      await key('Space');
    },
    choose: async (options: Locator, digit: number) => {
      await reach(options.first());
      await key(String(digit));
    },
    type: async (label: string, text: string) => {
      await reach(page.getByLabel(label, { exact: true }).first());
      keys += text.length;
      await page.keyboard.type(text);
    },
    seconds: () => keys * SECONDS.key + thoughts * SECONDS.thought,
  };
}

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
  await hands.type('Comfort, 0–100', '62');
  for (const [zone, value] of Object.entries({ heel: '70', arch: '65', ball: '40', toes: '70' }))
    await hands.type(zone, value);
  await hands.type('Pain at its site, 0–10', '8');
  await hands.type('Activity 1', 'stairs');
  await hands.type('Activity 1, 0–10', '6');
  await hands.type('Worn, hours a day', '6');
  await hands.type('Worn, days a week', '5');
  await hands.type('Falls and near-falls', '0');
  await hands.press(page.getByRole('button', { name: 'left: ball' }));
  await hands.type('Used since the last entry', '85');
  for (const [sign, digit] of [
    ['fold', 1],
    ['foam', 2],
    ['counter', 1],
    ['tilt', 1],
  ] as const)
    await hands.choose(page.locator(`[data-sign=${sign}] input`), digit);
  const decide = page.getByRole('complementary', { name: 'Decide' });
  await expect(decide.getByRole('img', { name: /^Pain: \d+ then, 8 now, worse/ })).toBeVisible();
  await expect(decide).toContainText('Another insert, brace or sock takes other room');
  await hands.press(decide.getByRole('radio', { name: 'keep the pair' }));
  await page.keyboard.press('ArrowRight');
  await expect(decide.getByRole('radio', { name: 'refit it' })).toBeChecked();
  await hands.press(decide.getByRole('button', { name: 'Keep the review' }));
  await expect(decide).toContainText('Write what was changed on the pair');
  // A reload in the middle loses nothing.
  await page.reload();
  await expect(page.getByLabel('Comfort, 0–100')).toHaveValue('62');
  await hands.type('What was changed on the pair, or is to be', 'felt under the ball, relaced');
  await hands.press(decide.getByRole('button', { name: 'Keep the review' }));
  await page.waitForURL(/pairs\/[0-9a-f-]+$/);
  console.log(`a review: ${hands.seconds().toFixed(0)} s`);
  expect(hands.seconds()).toBeLessThan(FOUR_MINUTES);

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
