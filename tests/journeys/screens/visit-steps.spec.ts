import { expect, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { drawnInTheDark, holdsUp, inTheDark, openDemoVisit, VISIT_STEPS } from './looking';

/** Steps in which a foot is examined: nothing of them is scrolled to. */
const EXAMINING = ['ask', 'old-pair', 'feet', 'load', 'move'];
const DARK = ['feet', 'reason', 'candidates', 'try-on', 'warnings'];

const work = (page: Page) => page.getByRole('region', { name: /, work$/ });

/** Steps and their parts are fetched when they are opened. */
async function opened(page: Page): Promise<void> {
  await expect(page.locator('[data-opening]')).toHaveCount(0);
  await expect(work(page).getByText('Opening …')).toHaveCount(0);
}

test('every step and part of a visit holds up, by day and in the dark; the window never scrolls, nor does an examination', async ({
  page,
}) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  const within = async (where: string, step: string) => {
    if (!EXAMINING.includes(step)) return;
    const over = await work(page).evaluate((element) => element.scrollHeight - element.clientHeight);
    expect(over, `${where}: the work area scrolls`).toBeLessThanOrEqual(1);
  };
  for (const step of VISIT_STEPS) {
    await page.goto(`${visit}#${step}`);
    await page.locator('#step-name').waitFor();
    // The candidates come from a worker.
    if (step === 'candidates') {
      await page.getByRole('button', { name: /^Propose/ }).click();
      await page
        .getByRole('checkbox', { name: /^Bring / })
        .first()
        .waitFor();
    }
    if (step === 'try-on') await page.getByRole('region', { name: /^Pair A/ }).waitFor();
    await opened(page);
    await holdsUp(page, step);
    await within(step, step);
    if (DARK.includes(step)) await inTheDark(page, step);
    const tabs = await page.getByRole('tab').all();
    for (const tab of tabs.slice(1)) {
      await tab.click();
      await opened(page);
      const where = `${step} ${await tab.innerText()}`;
      await holdsUp(page, where, '[role=tabpanel]');
      await within(where, step);
      if (DARK.includes(step)) await drawnInTheDark(page, where);
    }
    const tall = await page.evaluate(
      () => document.documentElement.scrollHeight - document.documentElement.clientHeight,
    );
    expect(tall, `${step} does not scroll the page`).toBeLessThanOrEqual(0);
  }
});
