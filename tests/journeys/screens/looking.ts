import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { origin } from '../server';
import { smallType } from './type-size';

export const VISIT_STEPS = [
  'ask',
  'old-pair',
  'feet',
  'load',
  'move',
  'reason',
  'candidates',
  'try-on',
  'hand-over',
  'warnings',
];

export interface AxeViolation {
  id: string;
  nodes: { target: unknown[] }[];
}

/**
 * Only rules and parts that are named are looked at; all of the page without. There are no frames, so that the page
 * answers by itself; a part of a page that was looked at before asks the axe that is already there.
 */
export async function noViolations(
  page: Page,
  where: string,
  only: { rules?: string[]; part?: string } = {},
): Promise<void> {
  const violations: AxeViolation[] = only.part
    ? await page.evaluate(async (part) => {
        const { axe } = window as unknown as {
          axe: { run: (part: string, options: object) => Promise<{ violations: AxeViolation[] }> };
        };
        return (await axe.run(part, { resultTypes: ['violations'] })).violations;
      }, only.part)
    : await wholePage(page, only.rules);
  const found = violations.map(
    (violation) =>
      `${violation.id}: ${violation.nodes.map((node) => node.target.map(String).join(' ')).join(', ')}`,
  );
  expect(found, where).toEqual([]);
}

export async function wholePage(page: Page, rules: string[] | undefined): Promise<AxeViolation[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  return (await (rules ? axe.withRules(rules) : axe).analyze()).violations;
}

/** Nothing that is read is smaller than the scale of type allows, in words and in drawings. */
export const readable = async (page: Page, where: string, part?: string): Promise<void> =>
  expect(await smallType(page, part), `${where}: type under 12 px`).toEqual([]);

export const fits = (page: Page, where: string): Promise<void> =>
  expect
    .poll(
      () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      { message: `${where} is no wider than the window` },
    )
    .toBeLessThanOrEqual(0);

export async function openDemoVisit(page: Page): Promise<string> {
  // Today lists the first of those in the room: other journeys may have begun many visits.
  const found = await page.request.get(`${origin()}/api/v1/patients?q=Pell`);
  const [{ id }] = await found.json();
  const begun = await page.request.post(`${origin()}/api/v1/patients/${id}/visits`, {
    headers: { origin: origin() },
    data: {},
  });
  await page.goto(`${origin()}/visits/${(await begun.json()).id}`);
  await page.locator('[data-visit]').waitFor();
  return page.url().split('#')[0]!;
}
