import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { examined, finger, fromSpecificationToCollected } from './collecting';

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('from specification to collected pair by touch', async ({ page }) => {
    await fromSpecificationToCollected(page, finger, 'Touch');
  });

  test('candidates and try-on stay within the work area', async ({ page }) => {
    await signIn(page);
    const { visitId } = await examined(page, 'Tablet');
    await page.goto(`${origin()}/visits/${visitId}#candidates`);
    await page.getByRole('button', { name: /^Propose these/ }).tap();
    const over = () =>
      page
        .getByRole('region', { name: /, work$/ })
        .evaluate((element) => element.scrollWidth - element.clientWidth);
    expect(await over()).toBeLessThanOrEqual(0);
    for (const tab of ['Side by side', 'Sizes', /^Left out/]) {
      await page.getByRole('tab', { name: tab }).tap();
      expect(await over(), String(tab)).toBeLessThanOrEqual(0);
    }
    await page.getByRole('button', { name: 'Done, on to Try-on' }).tap();
    await page.getByRole('region', { name: /^Pair A/ }).waitFor();
    for (const tab of [/each foot$/, 'Places', 'Real task', 'Comfort']) {
      await page.getByRole('tab', { name: tab }).tap();
      expect(await over(), String(tab)).toBeLessThanOrEqual(0);
    }
  });
});
