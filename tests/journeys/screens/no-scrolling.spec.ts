import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openDemoVisit } from './looking';

test('examining steps fit the work area without scrolling', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  for (const step of ['ask', 'old-pair', 'feet', 'load', 'move']) {
    await page.goto(`${visit}#${step}`);
    await page.locator('#step-name').waitFor();
    const tabs = await page.getByRole('tab').all();
    for (const tab of tabs.length > 0 ? tabs : [null]) {
      await tab?.click();
      const over = await page
        .getByRole('region', { name: /, work$/ })
        .evaluate((element) => element.scrollHeight - element.clientHeight);
      expect(over, `${step} ${(await tab?.innerText()) ?? ''}`).toBeLessThanOrEqual(1);
    }
  }
});
