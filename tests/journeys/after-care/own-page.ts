import { type Browser, expect, type Page } from '@playwright/test';
import { ready } from '../keyboard';
import { origin } from '../server';
import { examined } from '../shoes/collecting';

/** Somebody who was handed a pair today, through the API. */
export async function handedToday(
  page: Page,
  familyName: string,
): Promise<{ patientId: string; visitId: string }> {
  const { visitId, patientId } = await examined(page, familyName);
  const headers = { origin: origin() };
  const models = await (await page.request.get(`${origin()}/api/v1/models`)).json();
  const model = models.find(
    (one: { features: { use?: string; closure?: string } }) =>
      one.features.use === 'walking' || one.features.use === 'road-running',
  );
  const tried = await page.request.put(`${origin()}/api/v1/visits/${visitId}/steps/try-on`, {
    headers,
    data: {
      revision: 0,
      state: 'done',
      content: {
        tryOns: [{ model: model.id, sizeLeft: 42, sizeRight: 42, comfort: 70, verdict: 'chosen' }],
      },
    },
  });
  expect(tried.ok(), await tried.text()).toBe(true);
  const handed = await page.request.post(`${origin()}/api/v1/visits/${visitId}/hand-over`, {
    headers,
    data: { weeklyKm: 20 },
  });
  expect(handed.ok(), await handed.text()).toBe(true);
  return { patientId, visitId };
}

/** A phone in somebody's hand. */
export async function phone(browser: Browser, locale = 'en-GB'): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    locale,
    reducedMotion: 'reduce',
  });
  return context.newPage();
}

/** Makes a link on the patient's page, and reads where its code leads. */
export async function linkFor(page: Page, patientId: string): Promise<string> {
  await page.goto(`${origin()}/patients/${patientId}`);
  await ready(page);
  await page.getByRole('button', { name: 'Make a link' }).click();
  await page.getByRole('img', { name: /Code that leads to/ }).waitFor();
  const { links } = await (await page.request.get(`${origin()}/api/v1/patients/${patientId}/home`)).json();
  return links[0].url;
}

/** Opens a link on a phone with a date of birth. */
export async function openOn(
  handset: Page,
  url: string,
  [day, month, year]: [string, string, string],
): Promise<void> {
  await handset.goto(url);
  await handset.getByLabel('Day').fill(day);
  await handset.getByLabel('Month').fill(month);
  await handset.getByLabel('Year').fill(year);
  await handset.getByRole('checkbox').check();
  await handset.getByRole('button', { name: 'Open', exact: true }).tap();
}
