import { expect, type Page } from '@playwright/test';
import { ready } from '../keyboard';
import { origin } from '../server';

/** Opens the demo patient's page. */
export async function patient(page: Page, name: string): Promise<void> {
  await page.goto(`${origin()}/patients?q=${name}`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  await ready(page);
}

/** The latest visit of a demo patient that was handed over, at Reason. */
export async function handedOver(page: Page, name: string): Promise<string> {
  await patient(page, name);
  const sheet = await page.getByRole('link', { name: 'Patient’s sheet' }).first().getAttribute('href');
  const visit = `${origin()}${sheet!.replace(/\/sheet(\?.*)?$/, '')}`;
  await page.goto(`${visit}#reason`);
  await page.locator('[data-visit]').waitFor();
  return visit;
}

/** The open visit of a demo patient, at Reason. */
export async function openVisit(page: Page, name: string): Promise<void> {
  await patient(page, name);
  await page.getByRole('button', { name: /visit/i }).first().click();
  await page.waitForURL(/visits\//);
  await page.locator('[data-visit]').waitFor();
  await page.goto(`${page.url().split('#')[0]}#reason`);
  await expect(page.getByRole('heading', { level: 1, name: 'Reason' })).toBeVisible();
}

/** Presses a tab until the page answers: a press before its script has come is lost. */
export async function openTab(page: Page, name: string | RegExp): Promise<void> {
  await expect(async () => {
    await page.getByRole('tab', { name }).click();
    await expect(page.getByRole('tab', { name, selected: true })).toBeVisible({ timeout: 500 });
  }).toPass();
}

export const panel = (page: Page) => page.getByRole('complementary', { name: 'Specification' });

export const enter = async (page: Page, visitId: string, step: string, findings: unknown, revision = 0) => {
  const answer = await page.request.put(`${origin()}/api/v1/visits/${visitId}/steps/${step}`, {
    headers: { origin: origin() },
    data: { revision, state: 'in-progress', content: { findings } },
  });
  expect(answer.status()).toBe(200);
};
