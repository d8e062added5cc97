import { expect, type Page, test } from '@playwright/test';
import { definitionOf, type FindingId, isFindingId } from '@/core/findings/findings';
import { type Count, countingHands, secondsOf } from '../hands';
import { newVisit, saved, signIn } from '../keyboard';

const SIX_MINUTES = 360;
/** Parts that are entered by hand, in the order of work; a device enters its own. */
const PARTS = {
  Feet: ['Measure', 'Form', 'Sensation and pulses'],
  Load: ['Watch', 'Posture', 'Arch under load', 'Mobility', 'Strength and balance'],
  Move: ['Watch'],
} as const;

/** Something that a clinician could well have found: the middle of what is plausible. */
function usual(id: FindingId): string {
  const definition = definitionOf(id);
  if (definition.kind !== 'number' || definition.steps) return '2';
  const [low, high] = definition.plausible;
  return String(Math.round((low + high) / 2));
}

/** The finding whose field has the focus, such as `left.lungeDistance`. */
const findingHere = (page: Page): Promise<string | null> =>
  page.evaluate(
    () => document.activeElement?.closest('[data-finding]')?.getAttribute('data-finding') ?? null,
  );

/** Turns part after part until the one that is wanted is open. */
async function turnTo(page: Page, part: string, turn: () => Promise<void>): Promise<void> {
  const tabs = page.locator('[data-work] [role=tab]');
  await tabs.first().waitFor();
  const names = await tabs.allInnerTexts();
  const open = await tabs.evaluateAll((all) => all.findIndex((tab) => tab.ariaSelected === 'true'));
  for (let at = open + 1; at <= names.indexOf(part); at += 1) {
    await turn();
    await expect(tabs.nth(at)).toHaveAttribute('aria-selected', 'true');
  }
  await expect(page.getByRole('tab', { name: part, exact: true, selected: true })).toBeVisible();
}

test('a full examination by keyboard takes six minutes of entering at most; what was entered last can be taken back', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Sixminutes');
  const hands = countingHands(page);
  const spent = new Map<string, Count>();
  let entered = 0;
  await hands.key('Alt+3');
  for (const [step, parts] of Object.entries(PARTS)) {
    await expect(page.locator('#step-name')).toHaveText(step);
    for (const part of parts) {
      await turnTo(page, part, () => hands.key('Alt+.'));
      const fields = page.locator('[data-work] [data-finding]');
      await fields.first().waitFor();
      const wanted = new Set(
        await fields.evaluateAll((all) => all.map((field) => field.getAttribute('data-finding'))),
      );
      for (let presses = 0; wanted.size > 0 && presses < 200; presses += 1) {
        const here = await findingHere(page);
        if (here !== null && wanted.delete(here)) {
          const id = here.split('.')[1]!;
          if (!isFindingId(id)) throw new Error(`There is no finding ${id}`);
          const before = hands.count();
          hands.think();
          const isText = await page.evaluate(() =>
            document.activeElement?.matches('input:not([type=radio], [type=checkbox])'),
          );
          if (definitionOf(id).kind === 'set') await hands.key('Space');
          else await hands.type(usual(id));
          if (isText) await hands.key('Enter');
          else await hands.key('Tab');
          entered += 1;
          const after = hands.count();
          const sum = spent.get(id) ?? { keys: 0, thoughts: 0 };
          spent.set(id, {
            keys: sum.keys + after.keys - before.keys,
            thoughts: sum.thoughts + after.thoughts - before.thoughts,
          });
        } else await hands.key('Tab');
      }
      expect([...wanted], `${step}, ${part}`).toEqual([]);
    }
    await hands.key('Alt+n');
  }
  await saved(page);
  const seconds = secondsOf(hands.count());
  const dearest = [...spent]
    .toSorted(([, a], [, b]) => secondsOf(b) - secondsOf(a))
    .slice(0, 10)
    .map(([id, count]) => `${secondsOf(count).toFixed(1)} s ${id} (${count.keys} keys)`);
  console.log(
    `an examination: ${entered} entries, ${hands.count().keys} keys, ${seconds.toFixed(0)} s; dearest: ${dearest.join(', ')}`,
  );
  expect(entered).toBeGreaterThan(70);
  expect(seconds).toBeLessThan(SIX_MINUTES);

  // The latest entry is taken back where it was made, and a finding is reached by its name.
  await page.keyboard.press('Alt+z');
  await expect(page.locator('#step-name')).toHaveText('Move');
  await page.locator('#step-name').focus();
  await page.keyboard.press('/');
  await page.getByLabel('Go to a finding').getByRole('combobox').fill('heel rises');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(() => findingHere(page)).toBe('left.heelRises');
  await expect(page.locator('#step-name')).toHaveText('Load');
});
