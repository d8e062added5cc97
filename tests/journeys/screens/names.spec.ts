import { expect, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';

const LONG = 'Nordenskjöldstrandskogsberg'.repeat(4);
const NAMES = {
  'as long as they may be': [LONG, LONG],
  'in a script from right to left': ['سلمى', 'الهاشمي'],
  'with letters of other Latin alphabets': ['Łucja', 'Wąsińska-Żółć'],
} as const;

/** Someone new with a visit, and nothing else that is known of them. */
async function newcomer(page: Page, [givenName, familyName]: readonly [string, string]) {
  const post = async (path: string, data: object) =>
    (await page.request.post(`${origin()}/api/v1${path}`, { headers: { origin: origin() }, data })).json();
  const patient = await post('/patients', {
    givenName,
    familyName,
    bornOn: '1968-03-09',
    sizingGroup: 'women',
  });
  return { patient: patient.id, visit: (await post(`/patients/${patient.id}/visits`, {})).id };
}

test('names of any length and script stay whole, in their place and in order, on every screen that shows them', async ({
  page,
}) => {
  await signIn(page);
  for (const [what, name] of Object.entries(NAMES)) {
    const { patient, visit } = await newcomer(page, name);
    for (const path of [
      `/patients?q=${encodeURIComponent(name[1].slice(0, 12))}`,
      `/patients/${patient}`,
      `/patients/${patient}/limb`,
      `/visits/${visit}`,
      `/visits/${visit}/examination`,
      `/visits/${visit}/rationale`,
    ]) {
      await page.goto(origin() + path);
      const shown = page.locator('bdi').filter({ hasText: name[1] }).filter({ visible: true }).first();
      await expect(shown, `${what}: ${path}`).toBeVisible();
      const { over, cut } = await shown.evaluate((element) => ({
        over: document.documentElement.scrollWidth - document.documentElement.clientWidth,
        cut: element.getBoundingClientRect().right - document.documentElement.clientWidth,
      }));
      expect(over, `${what}: ${path} is wider than the window`).toBeLessThanOrEqual(0);
      expect(cut, `${what}: ${path} cuts the name`).toBeLessThanOrEqual(0);
      // What is not known leaves no gap between its commas.
      expect(await page.locator('main').innerText()).not.toMatch(/, ,|, \.|; ;/);
    }
  }
});
