import { type Cookie, expect, type Locator, type Page } from '@playwright/test';
import { origin } from './server';

export const PASSWORD = 'low-tide-lantern';

/** Tabs that are pressed before anybody looks where they led. */
const STRIDE = 10;

/**
 * Tabs forward until one of the elements has the focus, as a person without a mouse does. Each key goes from stop to stop; those that
 * were pressed ahead go no further than the one that is looked for.
 */
export async function tabTo(page: Page, target: Locator, most = 140): Promise<void> {
  await target.first().waitFor({ state: 'attached' });
  for (let presses = 0; presses < most; presses += STRIDE) {
    if (await target.evaluateAll(isReached)) return;
    await Promise.all(Array.from({ length: STRIDE }, () => page.keyboard.press('Tab')));
  }
  if (!(await target.evaluateAll(isReached))) throw new Error(`Tab never reached ${target}`);
}

/** Runs in the page: whether one of these has the focus; until then a Tab that finds it there stays. */
function isReached(elements: Element[]): boolean {
  const held = globalThis as { heldAt?: Element[]; isHolding?: boolean };
  if (!held.isHolding) {
    held.isHolding = true;
    addEventListener(
      'keydown',
      (event) => {
        if (event.key !== 'Tab' || !held.heldAt?.some((element) => element === document.activeElement))
          return;
        event.preventDefault();
        event.stopImmediatePropagation();
      },
      { capture: true },
    );
  }
  const reached = elements.some((element) => element === document.activeElement);
  held.heldAt = reached ? [] : elements;
  return reached;
}

/** Reaches a field by Tab and types. */
export async function typeInto(page: Page, label: string | RegExp, text: string): Promise<void> {
  await tabTo(page, page.getByLabel(label, { exact: typeof label === 'string' }).first());
  await page.keyboard.type(text);
}

/** Reaches a group of options by Tab and chooses by digit. */
export async function choose(page: Page, group: string, digit: number): Promise<void> {
  const options = page.getByRole('group', { name: group, exact: true }).locator('input');
  await tabTo(page, options);
  await page.keyboard.press(String(digit));
  await expect(options.nth(digit - 1)).toBeChecked();
}

/** Reaches a checkbox, button or link by Tab and presses it. */
export async function press(page: Page, target: Locator, key: 'Space' | 'Enter' = 'Space'): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press(key);
}

/** Every part of the page that is in sight, or that did not wait to be, answers: a press before its script has come is lost. */
export async function ready(page: Page): Promise<void> {
  await page.waitForLoadState();
  await expect
    .poll(
      () =>
        page
          .locator('astro-island[ssr]')
          .evaluateAll(isAwaited)
          // A page that is being left does not answer.
          .catch(() => null),
      { intervals: [20, 50, 100] },
    )
    .toBe(0);
}

/** Runs in the page: how many of its parts have not come and are not waiting to be scrolled to. */
const isAwaited = (islands: Element[]): number =>
  islands.filter((island) => {
    if (island.getAttribute('client') !== 'visible') return true;
    const { top, bottom, height } = (island.firstElementChild ?? island).getBoundingClientRect();
    return height > 0 && bottom > 0 && top < innerHeight;
  }).length;

type Role = 'lead' | 'practitioner' | 'assistant';
/** What a browser keeps of each role's session, once it has signed in. */
const sessions = new Map<Role, Cookie[]>();

/** Signed in, wherever the page is: by the page the first time and after the session has ended, else with the session there is. */
export async function signIn(page: Page, who: Role = 'practitioner'): Promise<void> {
  const known = sessions.get(who);
  if (known) {
    await page.context().addCookies(known);
    if ((await page.request.get(`${origin()}/api/v1/sites`)).ok()) return;
  }
  await page.goto(`${origin()}/sign-in`);
  await ready(page);
  await page.getByLabel('E-mail').fill(`${who}@harbour.example`);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/today/);
  sessions.set(who, await page.context().cookies());
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
