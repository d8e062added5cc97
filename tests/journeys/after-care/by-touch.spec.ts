import { expect, test } from '@playwright/test';
import { open } from '../examination/devices';
import { newVisit, saved, signIn } from '../keyboard';
import { patient } from '../reasoning/past-patients';

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a hot spot is pressed on the drawing and answered by touch; the finger hits the place it meant', async ({
    page,
  }) => {
    await signIn(page);
    await newVisit(page, 'Fingertip');
    await open(page, 'feet', 'Hot spots');
    for (const place of ['left: ankle bones', 'right: between the toes']) {
      const spot = page.getByRole('button', { name: place });
      // Both circles of a place together are what a finger meets.
      const box = (await spot.boundingBox())!;
      await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
      await expect(spot).toHaveAttribute('aria-pressed', 'true');
      await expect(page.getByRole('heading', { name: place })).toBeVisible();
    }
    await page.getByRole('region', { name: 'Ask next' }).getByRole('radio').first().tap({ force: true });
    await saved(page);
    await expect(
      page.getByRole('list', { name: 'Likeliest causes' }).getByRole('listitem').first(),
    ).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  });

  test('the sheet of a foot at risk and its card read without moving sideways', async ({ page }) => {
    await signIn(page);
    await patient(page, 'Achterberg');
    await page.getByRole('link', { name: 'Patient’s sheet' }).first().tap();
    await page.waitForURL(/\/sheet/);
    await page.getByRole('link', { name: 'Labels and card' }).tap();
    await page.waitForURL(/label/);
    await expect(page.getByText(/^Zuerst getragen \d/).first()).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  });
});
