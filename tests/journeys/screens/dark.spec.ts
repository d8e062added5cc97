import { expect, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { noViolations, openDemoVisit } from './looking';

/** Words of drawings that nobody gave a colour: black on what is dark now. */
const uncoloured = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('svg text')].flatMap((text) =>
      getComputedStyle(text).fill === 'rgb(0, 0, 0)' ? [text.textContent] : [],
    ),
  );

test('in the dark only colours differ, and they keep their contrast', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  const clean = (where: string) => noViolations(page, where, { rules: ['color-contrast'] });
  await signIn(page);
  for (const path of ['today', 'shoes/orders', 'shoes/supplier', 'settings']) {
    await page.goto(`${origin()}/${path}`);
    await clean(path);
  }
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await clean('patient');
  expect(await uncoloured(page), 'drawn words of a patient').toEqual([]);
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
  await clean('sheet');
  const visit = await openDemoVisit(page);
  for (const step of ['feet', 'reason', 'candidates', 'try-on', 'warnings']) {
    await page.goto(`${visit}#${step}`);
    await expect(page.locator('#step-name')).toBeVisible();
    await clean(step);
    for (const tab of await page.getByRole('tab').all()) {
      await tab.click();
      await page.waitForLoadState('networkidle');
      await expect(page.locator('[data-opening]')).toHaveCount(0);
      expect(await uncoloured(page), `${step}, ${await tab.innerText()}: drawn words`).toEqual([]);
    }
  }
});
