import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { fits, openDemoVisit } from './looking';

test('a tablet of 1024×768 shows spine, work and specification', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await signIn(page);
  await openDemoVisit(page);
  await expect(page.getByRole('complementary', { name: 'Specification' })).toBeInViewport();
  await fits(page, 'visit on a tablet');
  await page.goto(`${page.url().split('#')[0]}#reason`);
  await expect(page.getByRole('table', { name: 'Findings against features' })).toBeVisible();
  // The board may scroll in itself; what stands around it keeps inside the work area.
  const over = await page
    .getByRole('region', { name: /, work$/ })
    .evaluate((element) => element.scrollWidth - element.clientWidth);
  expect(over).toBeLessThanOrEqual(0);
});
