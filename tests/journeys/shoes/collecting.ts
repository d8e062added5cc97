import { expect, type Page } from '@playwright/test';
import { choose, press, ready, signIn, typeInto } from '../keyboard';
import { origin } from '../server';

/** A patient with history and measured feet, as an earlier colleague left the visit. */
export async function examined(
  page: Page,
  familyName: string,
): Promise<{ visitId: string; patientId: string }> {
  const ask = async (method: 'post' | 'put', path: string, data: object) =>
    (await page.request[method](`${origin()}/api/v1${path}`, { headers: { origin: origin() }, data })).json();
  const { id: patientId } = await ask('post', '/patients', {
    givenName: 'Journey',
    familyName,
    bornOn: '1972-03-04',
    sizingGroup: 'men',
  });
  const { id: visitId } = await ask('post', `/patients/${patientId}/visits`, {});
  const save = (step: string, content: object) =>
    ask('put', `/visits/${visitId}/steps/${step}`, { revision: 0, state: 'done', content });
  await save('ask', { findings: { body: { activities: ['walking'], bodyMass: 82 } } });
  await save('feet', {
    findings: {
      left: { footLength: 268, ballWidth: 102, heelBallLength: 196 },
      right: { footLength: 266, ballWidth: 101, heelBallLength: 195 },
    },
  });
  await save('warnings', { checked: true });
  return { visitId, patientId };
}

/** What a pair of hands does: by keyboard alone, or by finger alone. */
export interface Hands {
  press: (page: Page, name: string | RegExp, role?: 'button' | 'link' | 'tab' | 'checkbox') => Promise<void>;
  type: (page: Page, label: string | RegExp, text: string) => Promise<void>;
  choose: (page: Page, group: string, option: string, digit: number) => Promise<void>;
}

export const back = async (page: Page) => {
  await page
    .locator('#step-name, h1')
    .first()
    .evaluate((heading) => {
      heading.setAttribute('tabindex', '-1');
      (heading as HTMLElement).focus();
    });
};

export const keyboard: Hands = {
  press: async (page, name, role = 'button') => {
    await back(page);
    await press(
      page,
      page.getByRole(role, { name }).first(),
      role === 'tab' || role === 'checkbox' ? 'Space' : 'Enter',
    );
  },
  type: async (page, label, text) => {
    await back(page);
    await typeInto(page, label, text);
  },
  choose: async (page, group, _, digit) => {
    await back(page);
    await choose(page, group, digit);
  },
};

export const finger: Hands = {
  press: (page, name, role = 'button') => page.getByRole(role, { name }).first().tap(),
  type: async (page, label, text) => {
    const field = page.getByLabel(label, { exact: typeof label === 'string' }).first();
    await field.tap();
    await field.fill(text);
  },
  choose: (page, group, option) =>
    page.getByRole('group', { name: group, exact: true }).first().getByText(option, { exact: true }).tap(),
};

export async function fromSpecificationToCollected(
  page: Page,
  hands: Hands,
  familyName: string,
): Promise<void> {
  await signIn(page);
  const { visitId, patientId } = await examined(page, familyName);
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.locator('[data-visit]').waitFor();

  // Three to learn from, drawn with the foot inside.
  await expect(page.getByRole('list', { name: 'Three to learn from' }).getByRole('listitem')).toHaveCount(3);
  await hands.press(page, /^All reasons/);
  await expect(page.getByText(/lies inside|reaches \d+ mm beyond/).first()).toBeVisible();
  await hands.press(page, /^Propose these/);
  await expect(page.getByText(/^To bring: .+; .+; .+/)).toBeVisible();
  await hands.press(page, 'Done, on to Try-on');

  // The first is too short: this size, taken with one press; then it fits, and is chosen.
  const pairA = page.getByRole('region', { name: /^Pair A: / });
  await hands.type(page, 'Room in front, left', '4');
  await expect(pairA).toContainText('too short');
  await hands.press(page, /^Take (EU|UK)/);
  await expect(page.getByLabel('Room in front, left')).toHaveValue('');
  await hands.type(page, 'Room in front, left', '12');
  await hands.type(page, 'Room in front, right', '14');
  await hands.choose(page, 'Heel slip, left', 'slight', 2);
  await expect(page.getByRole('status', { name: 'Advice on pair A' })).toContainText('Heel lock');
  await hands.type(page, 'Comfort, 0–100', '78');
  await hands.choose(page, 'Verdict', 'chosen', 1);
  await hands.press(page, 'Done, on to Hand-over');

  // Ordered with a lift.
  await hands.type(page, 'Amount, mm', '5');
  await hands.press(page, 'Add');
  await expect(page.getByText('left: lift inside 5 mm', { exact: true })).toBeVisible();
  // The break-in is seen before anything is handed over, and the technician gets a drawing.
  await page.locator('summary', { hasText: 'How it will be broken in' }).press('Enter');
  await expect(page.getByText(/; done on/)).toBeVisible();
  const job = await page.getByRole('link', { name: 'Order for the technician' }).getAttribute('href');
  const sheet = await page.context().newPage();
  await sheet.goto(`${origin()}${job}`);
  await expect(sheet.getByRole('region', { name: 'Left shoe' })).toContainText('lift inside 5 mm');
  await expect(sheet.getByRole('region', { name: 'Right shoe' })).toHaveCount(0);
  await expect(sheet.getByRole('region', { name: 'Check at collection' })).toContainText('5 mm ± 1 mm');
  await sheet.close();
  await hands.press(page, 'Order instead');
  await expect(page.getByText(/The pair was ordered/)).toBeVisible();

  // From the patient's page: ordered, arrived, checked, collected.
  await page.goto(`${origin()}/patients/${patientId}`);
  await ready(page);
  const order = page.getByRole('article', { name: /^Order: / });
  await hands.press(page, 'Mark as ordered');
  await hands.press(page, 'Mark as arrived');
  await expect(order.getByRole('button', { name: 'Look at both shoes first' })).toBeDisabled();
  await hands.choose(page, 'A matched pair, no faults', 'yes', 1);
  await hands.press(page, 'Right: put by');
  await hands.press(page, 'Made: left: lift inside 5 mm', 'checkbox');
  await hands.type(page, 'Measured: left: lift inside 5 mm', '5');
  await hands.type(page, 'Room left, mm', '12');
  await hands.type(page, 'Comfort, 0–100', '84');
  await hands.press(page, 'Collected');
  await expect(order.getByText('Collected and in use.')).toBeVisible();
  await hands.press(page, 'Patient’s sheet', 'link');
  await expect(page.getByRole('article')).toContainText('Left shoe: a lift inside, under the heel, 5 mm.');
  await expect(page.getByRole('article')).toContainText('The heel slips');
}
