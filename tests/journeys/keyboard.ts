import { expect, type Locator, type Page } from '@playwright/test';
import { origin } from './server';

export const PASSWORD = 'low-tide-lantern';

/** Tabs forward until the element has the focus, as a person without a mouse does. */
export async function tabTo(page: Page, target: Locator, most = 140): Promise<void> {
  await target.waitFor({ state: 'attached' });
  for (let presses = 0; presses < most; presses += 1) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${target}`);
}

/** Reaches a field by Tab and types. */
export async function typeInto(page: Page, label: string | RegExp, text: string): Promise<void> {
  await tabTo(page, page.getByLabel(label, { exact: typeof label === 'string' }).first());
  await page.keyboard.type(text);
}

/** Reaches a group of options by Tab and chooses by digit. */
export async function choose(page: Page, group: string, digit: number): Promise<void> {
  const options = page.getByRole('group', { name: group, exact: true }).locator('input');
  for (let presses = 0; presses < 140; presses += 1) {
    if (await options.evaluateAll((inputs) => inputs.includes(document.activeElement as HTMLInputElement)))
      break;
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press(String(digit));
  await expect(options.nth(digit - 1)).toBeChecked();
}

/** Reaches a checkbox, button or link by Tab and presses it. */
export async function press(page: Page, target: Locator, key: 'Space' | 'Enter' = 'Space'): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press(key);
}

export async function signIn(
  page: Page,
  who: 'lead' | 'practitioner' | 'assistant' = 'practitioner',
): Promise<void> {
  await page.goto(`${origin()}/sign-in`);
  await page.locator('astro-island:not([ssr])').first().waitFor({ state: 'attached' });
  await page.getByLabel('E-mail').fill(`${who}@harbour.example`);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/today/);
}

/** Adds a patient through the API and opens a visit; returns where it is. */
export async function newVisit(
  page: Page,
  familyName: string,
): Promise<{ visitId: string; patientId: string }> {
  const headers = { origin: origin() };
  const added = await page.request.post(`${origin()}/api/v1/patients`, {
    headers,
    data: { givenName: 'Test', familyName, bornOn: '1961-04-05', sizingGroup: 'men' },
  });
  const { id: patientId } = await added.json();
  const started = await page.request.post(`${origin()}/api/v1/patients/${patientId}/visits`, {
    headers,
    data: {},
  });
  const { id: visitId } = await started.json();
  await page.goto(`${origin()}/visits/${visitId}`);
  await page.locator('[data-visit]').waitFor();
  return { visitId, patientId };
}

export const saved = (page: Page): Promise<void> =>
  expect(page.locator('[data-saving="saved"]')).toBeVisible();
