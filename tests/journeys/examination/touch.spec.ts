import { expect, test } from '@playwright/test';
import { newVisit, ready, saved, signIn } from '../keyboard';
import { origin } from '../server';
import { figure, open, simulate } from './devices';

test.describe('by touch on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('places are tapped, an outline is wiped, an axis is dragged', async ({ page }) => {
    await signIn(page);
    await newVisit(page, 'Touch');
    await open(page, 'ask', 'Aches');
    await page.getByRole('checkbox', { name: 'under the heel, right' }).tap();
    await page.getByRole('group', { name: 'How much, 0–10' }).getByText('4', { exact: true }).tap();
    await expect(page.getByRole('button', { name: 'under the heel, right: 4/10' })).toBeVisible();

    await open(page, 'feet', 'Footprint');
    await simulate(page, 'Take a print, right', { 'arch index': '0.25' });
    const print = page.getByRole('region', { name: 'Footprint, right' });
    const index = print.getByRole('row', { name: /^Arch index/ });
    await expect(index).toBeVisible();
    const before = await figure(index);
    await print.getByText('wipe', { exact: true }).tap();
    const drawing = print.getByRole('application');
    const box = (await drawing.boundingBox())!;
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height * 0.56);
    await expect.poll(() => figure(index)).toBeLessThan(before - 0.004);
    await print.getByText('axis', { exact: true }).tap();
    const toe = print.getByRole('slider', { name: 'Toe end of the axis' });
    const wiped = await figure(index);
    const end = (await toe.boundingBox())!;
    await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2);
    await page.mouse.down();
    await page.mouse.move(end.x + end.width / 2 + 30, end.y + end.height / 2, { steps: 4 });
    await page.mouse.up();
    await expect.poll(() => figure(index)).not.toBe(wiped);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await saved(page);
  });

  test('a trip, a pair from the clinic, its signs and its soles are tapped, and fit the tablet', async ({
    page,
  }) => {
    await signIn(page);
    await page.goto(`${origin()}/patients?q=Brackett`);
    await page.getByRole('link', { name: /Brackett/ }).tap();
    await page.waitForURL(/patients\/[0-9a-f]/);
    await ready(page);
    await page.getByRole('button', { name: 'Go on with the visit' }).tap();
    await page.locator('[data-visit]').waitFor();
    await open(page, 'ask', 'How much, and when');
    await page.getByLabel('Ground of event 1').selectOption('easy');
    await open(page, 'ask', 'Shoes before');
    await page.getByText('come undone', { exact: true }).tap();
    await open(page, 'old-pair', 'Pairs brought');
    const own = page.getByRole('region', { name: 'From this clinic' }).getByRole('button').first();
    await own.tap();
    const answers = page.getByRole('region', { name: 'Both answers' });
    await expect(answers).toContainText('Look next:');
    await page.getByText('no resistance', { exact: true }).tap();
    await expect(answers).toContainText('Folded in half spoke most for it');
    await page.getByRole('tab', { name: 'Soles' }).tap();
    const zone = page.getByRole('button', { name: /^left heel, centre:/ });
    await zone.tap();
    await zone.tap();
    await expect(zone).toHaveAccessibleName('left heel, centre: much');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await saved(page);
  });
});
