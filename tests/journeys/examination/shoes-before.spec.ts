import { expect, type Page, test } from '@playwright/test';
import { newVisit, press, ready, saved, signIn, typeInto } from '../keyboard';
import { origin } from '../server';
import { open } from './devices';

/** Names a model in a box by its words, by keyboard alone. */
async function name(page: Page, label: string, words: string): Promise<string> {
  await typeInto(page, label, words);
  // The catalogue has come: what was typed stands last then.
  const option = page.getByRole('option').filter({ hasNotText: 'as written' }).first();
  await expect(option).toBeVisible();
  const title = (await option.innerText()).replace(/ no longer made$/, '').trim();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  return title;
}

test('a pair that served and one that failed pull what is proposed; the wanted shoe hears why not', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Oldshoes');
  await open(page, 'ask', 'What for');
  await page.getByRole('checkbox', { name: 'road running' }).check({ force: true });
  await open(page, 'feet', 'Measure');
  for (const side of ['left', 'right']) {
    await page.getByLabel(`Foot length, heel to longest toe, ${side}`, { exact: true }).fill('268');
    await page.getByLabel(`Ball width, ${side}`, { exact: true }).fill('102');
  }
  await open(page, 'candidates', 'Ranked');
  const ranked = page.getByRole('list', { name: 'Ranked candidates' }).getByRole('listitem');
  const third = (await ranked.nth(2).locator('strong').first().innerText()).trim();

  // The model that stood third served for years: it comes to the front, and says so.
  await open(page, 'ask', 'Shoes before');
  expect(await name(page, 'A pair that served, or did not', third)).toBe(third);
  const row = page.getByRole('group', { name: third });
  await typeInto(page, `Months worn, ${third}`, '40');
  await press(page, row.getByRole('checkbox', { name: 'comfortable', exact: true }));
  // One that the catalogue does not know stays in words.
  await page.getByLabel('A pair that served, or did not').fill('Harbour market clog');
  await page.getByRole('option', { name: /as written/ }).click();
  await expect(page.getByText('not in the catalogue: words only')).toBeVisible();
  const wanted = await name(page, 'The shoe that the patient would like', 'Anvil');
  await saved(page);

  await open(page, 'candidates', 'Ranked');
  await expect(ranked.first()).toContainText(/which served for 3 years|This model served for 3 years/);
  const wish = page.getByRole('region', { name: 'Wanted by the patient' });
  await expect(wish).toContainText(
    `Would like ${wanted}: not for these feet. Intended use lifting: ruled out (for road running)`,
  );

  // It failed instead: it falls behind, and says so.
  await open(page, 'ask', 'Shoes before');
  await row.getByRole('radio', { name: 'did not' }).check({ force: true });
  await row.getByRole('checkbox', { name: 'too soft' }).check({ force: true });
  await saved(page);
  await open(page, 'candidates', 'Ranked');
  await expect(ranked.first()).not.toContainText('served for');
  await page.reload();
  await open(page, 'ask', 'Shoes before');
  await expect(row.getByRole('radio', { name: 'did not' })).toBeChecked();
  await expect(page.getByRole('group', { name: 'Harbour market clog' })).toBeVisible();
});

test('for a trip on foot the pair that is worn in stands beside the new ones', async ({ page }) => {
  await signIn(page);
  await page.goto(`${origin()}/patients?q=Brackett`);
  await page.getByRole('link', { name: /Brackett/ }).click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  await ready(page);
  await page.getByRole('button', { name: 'Go on with the visit' }).click();
  await page.locator('[data-visit]').waitFor();
  await open(page, 'ask', 'How much, and when');
  await expect(page.getByLabel('Event 1', { exact: true })).toHaveValue('Ridge walk');
  await expect(page.getByLabel('Load on event 1')).toHaveValue('9');
  await open(page, 'candidates', 'Ranked');
  const own = page.getByRole('region', { name: 'Own pairs for the trip' });
  await expect(own).toContainText(/Ridge walk, in \d+ days/);
  await expect(own).toContainText('Worn in, and as good a choice as a new pair.');
});

test('the sport is asked of who plays one, and a shoe of a neighbour sport says how far off it is', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Racket');
  await open(page, 'ask', 'What for');
  const sport = page.getByRole('group', { name: 'Sport', exact: true });
  await page.getByRole('checkbox', { name: 'walking' }).check({ force: true });
  await expect(sport).toBeHidden();
  await page.getByRole('checkbox', { name: 'walking' }).uncheck({ force: true });
  await page.getByRole('checkbox', { name: 'court, outdoors' }).check({ force: true });
  await sport.getByRole('checkbox', { name: 'tennis' }).check({ force: true });
  await expect(sport.getByRole('checkbox', { name: 'badminton' })).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'clay court' }).check({ force: true });
  await saved(page);
  await open(page, 'candidates', 'Ranked');
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(page.getByText('Made for padel, not tennis: it expects less toe drag.').first()).toBeVisible();
});
