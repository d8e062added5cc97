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

interface AxeViolation {
  id: string;
  nodes: { html: string }[];
}

/** Where a fault lies is told by its markup: a selector for each of a thousand sound elements would be a third of the work. */
const OPTIONS = { resultTypes: ['violations' as const], selectors: false, preload: false };

/** What axe looks at: only rules and parts that are named; all of the page without. */
interface Only {
  rules?: string[];
  part?: string;
}

export async function noViolations(page: Page, where: string, only: Only = {}): Promise<void> {
  const violations =
    (await page.evaluate(askAxe, { ...only, options: OPTIONS })) ?? (await bringAxe(page, only));
  const found = violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(', ')}`);
  expect(found, where).toEqual([]);
}

/** Runs in the page: asks the axe that an earlier look left there; null where it is not there. */
async function askAxe({ rules, part, options }: Only & { options: object }): Promise<AxeViolation[] | null> {
  const { axe } = window as unknown as {
    axe?: { run: (part: unknown, options: object) => Promise<{ violations: AxeViolation[] }> };
  };
  if (!axe) return null;
  const runOnly = rules ? { runOnly: { type: 'rule', values: rules } } : {};
  return (await axe.run(part ?? document, { ...options, ...runOnly })).violations;
}

/** There are no frames, so that the page answers by itself. */
async function bringAxe(page: Page, { rules, part }: Only): Promise<AxeViolation[]> {
  let axe = new AxeBuilder({ page }).setLegacyMode(true).options(OPTIONS);
  if (rules) axe = axe.withRules(rules);
  if (part) axe = axe.include(part);
  return (await axe.analyze()).violations;
}

/** Nothing that is read is smaller than the scale of type allows, in words and in drawings. */
const readable = async (page: Page, where: string, part?: string): Promise<void> =>
  expect(await smallType(page, part), `${where}: type under 12 px`).toEqual([]);

export const fits = (page: Page, where: string): Promise<void> =>
  expect
    .poll(
      () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      { message: `${where} is no wider than the window` },
    )
    .toBeLessThanOrEqual(0);

/** Whoever asked for less motion gets none, as every browser of these journeys does: nothing moves, nor would on a change. */
const still = async (page: Page, where: string): Promise<void> =>
  expect(await page.evaluate(whatMoves), `${where}: moves`).toEqual([]);

/** Runs in the page: what runs now, and what would take its time over a change. */
function whatMoves(): string[] {
  const running = document
    .getAnimations()
    .filter(({ playState, effect }) => playState === 'running' && Number(effect?.getTiming().duration) > 1)
    .map(({ effect }) => `runs: ${(effect as KeyframeEffect).target?.className}`);
  const slow = [...document.querySelectorAll('*')].filter((element) => {
    const { transitionDuration, animationDuration, scrollBehavior } = getComputedStyle(element);
    const seconds = `${transitionDuration}, ${animationDuration}`.split(', ').map(Number.parseFloat);
    return Math.max(...seconds) > 0.01 || scrollBehavior === 'smooth';
  });
  return [...running, ...slow.map(({ tagName, className }) => `${tagName} ${className}`)];
}

/** What holds on every screen, each looked at once for all of it. */
export async function holdsUp(page: Page, where: string, part?: string): Promise<void> {
  await noViolations(page, where, part ? { part } : {});
  await readable(page, where, part);
  await fits(page, where);
  await still(page, where);
}

/** In the dark only colours differ: what is written keeps its contrast, and no word of a drawing is black on what is dark now. */
export async function inTheDark(page: Page, where: string): Promise<void> {
  await page.emulateMedia({ colorScheme: 'dark' });
  await noViolations(page, `${where} in the dark`, { rules: ['color-contrast'] });
  await noBlackWords(page, where);
  await page.emulateMedia({ colorScheme: 'light' });
}

/** Of a part whose words stand on the same ground as others that were looked at: its drawings alone. */
export async function drawnInTheDark(page: Page, where: string): Promise<void> {
  await page.emulateMedia({ colorScheme: 'dark' });
  await noBlackWords(page, where);
  await page.emulateMedia({ colorScheme: 'light' });
}

/** Words of drawings that nobody gave a colour are black. */
async function noBlackWords(page: Page, where: string): Promise<void> {
  const black = await page.evaluate(() =>
    [...document.querySelectorAll('svg text')].flatMap((text) =>
      getComputedStyle(text).fill === 'rgb(0, 0, 0)' ? [text.textContent] : [],
    ),
  );
  expect(black, `${where}: drawn words in the dark`).toEqual([]);
}

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
