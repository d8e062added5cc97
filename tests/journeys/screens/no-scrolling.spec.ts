import { expect, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openDemoVisit, VISIT_STEPS } from './looking';

/** Share of a step’s work area that something is written or drawn on, by a grid of points 10 px apart. */
const drawnShare = (page: Page): Promise<number> =>
  page.getByRole('region', { name: /, work$/ }).evaluate((area) => {
    const { left, top, width, height } = area.getBoundingClientRect();
    const isDrawn = (element: Element | null): boolean =>
      element !== null &&
      area.contains(element) &&
      (element instanceof SVGElement ||
        element.matches('input, select, textarea, button, label, img, canvas, progress') ||
        [...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim()));
    let points = 0;
    let drawn = 0;
    for (let x = left + 5; x < left + width; x += 10)
      for (let y = top + 5; y < top + height; y += 10) {
        points += 1;
        if (isDrawn(document.elementFromPoint(x, y))) drawn += 1;
      }
    return drawn / points;
  });

/** Steps and their parts are fetched when they are opened. */
const opened = (page: Page): Promise<void> =>
  expect(page.getByRole('region', { name: /, work$/ }).getByText('Opening …')).toHaveCount(0);

test('examining steps fit the work area without scrolling', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  const shares: string[] = [];
  for (const step of ['ask', 'old-pair', 'feet', 'load', 'move']) {
    await page.goto(`${visit}#${step}`);
    await page.locator('#step-name').waitFor();
    await opened(page);
    const tabs = await page.getByRole('tab').all();
    for (const tab of tabs.length > 0 ? tabs : [null]) {
      await tab?.click();
      await opened(page);
      const over = await page
        .getByRole('region', { name: /, work$/ })
        .evaluate((element) => element.scrollHeight - element.clientHeight);
      const name = `${step} ${(await tab?.innerText()) ?? ''}`;
      expect(over, name).toBeLessThanOrEqual(1);
      shares.push(`${name} ${Math.round(100 * (await drawnShare(page)))} %`);
    }
  }
  console.log(`of the work area drawn on: ${shares.join(', ')}`);
});

test('at no step does the window itself scroll: only the work area does', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  for (const step of VISIT_STEPS) {
    await page.goto(`${visit}#${step}`);
    await page.locator('#step-name').waitFor();
    await opened(page);
    // The candidates come from a worker.
    if (step === 'candidates')
      await page
        .getByRole('checkbox', { name: /^Bring / })
        .first()
        .waitFor();
    const over = await page.evaluate(
      () => document.documentElement.scrollHeight - document.documentElement.clientHeight,
    );
    expect(over, step).toBeLessThanOrEqual(0);
  }
});
