import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { fits, openDemoVisit } from './looking';

test('at 200 % zoom every list fits the window, and a visit lies under itself: steps, work, shoe', async ({
  page,
}) => {
  await signIn(page);
  // 1280×800 at 200 %.
  await page.setViewportSize({ width: 640, height: 400 });
  for (const path of ['/today', '/patients', '/shoes', '/shoes/orders', '/knowledge', '/clinic']) {
    await page.goto(origin() + path);
    await fits(page, `${path} at 200 %`);
  }
  await openDemoVisit(page);
  await fits(page, 'a visit at 200 %');
  const box = async (role: 'navigation' | 'region' | 'complementary', name: string | RegExp) =>
    (await page.getByRole(role, { name }).boundingBox())!;
  const steps = await box('navigation', 'Steps of the visit');
  const work = await box('region', /, work$/);
  const shoe = await box('complementary', 'Specification');
  expect(work.width).toBeGreaterThan(600);
  expect(work.y).toBeGreaterThanOrEqual(steps.y + steps.height);
  expect(shoe.y).toBeGreaterThanOrEqual(work.y + work.height);
});
