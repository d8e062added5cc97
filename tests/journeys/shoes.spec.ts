import { expect, type Page, test } from '@playwright/test';
import { choose, press, signIn, typeInto } from './keyboard';
import { origin } from './server';

const ready = (page: Page) => page.locator('astro-island:not([ssr])').first().waitFor({ state: 'attached' });

/** A patient with history and measured feet, as an earlier colleague left the visit. */
async function examined(page: Page, familyName: string): Promise<{ visitId: string; patientId: string }> {
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
interface Hands {
  press: (page: Page, name: string | RegExp, role?: 'button' | 'link' | 'tab') => Promise<void>;
  type: (page: Page, label: string | RegExp, text: string) => Promise<void>;
  choose: (page: Page, group: string, option: string, digit: number) => Promise<void>;
}
const back = async (page: Page) => {
  await page
    .locator('#step-name, h1')
    .first()
    .evaluate((heading) => {
      heading.setAttribute('tabindex', '-1');
      (heading as HTMLElement).focus();
    });
};
const keyboard: Hands = {
  press: async (page, name, role = 'button') => {
    await back(page);
    await press(page, page.getByRole(role, { name }).first(), role === 'tab' ? 'Space' : 'Enter');
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
const finger: Hands = {
  press: (page, name, role = 'button') => page.getByRole(role, { name }).first().tap(),
  type: async (page, label, text) => {
    const field = page.getByLabel(label, { exact: typeof label === 'string' }).first();
    await field.tap();
    await field.fill(text);
  },
  choose: (page, group, option) =>
    page.getByRole('group', { name: group, exact: true }).first().getByText(option, { exact: true }).tap(),
};

async function fromSpecificationToCollected(page: Page, hands: Hands, familyName: string): Promise<void> {
  await signIn(page);
  const { visitId, patientId } = await examined(page, familyName);
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.locator('[data-visit]').waitFor();

  // Three that teach, drawn with the foot inside.
  await expect(page.getByRole('list', { name: 'Three that teach' }).getByRole('listitem')).toHaveCount(3);
  await hands.press(page, /^Drawn, with all reasons/);
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
  await expect(page.getByText('left: lift inside 5 mm')).toBeVisible();
  await hands.press(page, 'Order instead');
  await expect(page.getByText(/The pair was ordered/)).toBeVisible();

  // From the patient's page: ordered, arrived, checked, collected.
  await page.goto(`${origin()}/patients/${patientId}`);
  await page.locator('astro-island:not([ssr])').nth(1).waitFor({ state: 'attached' });
  const order = page.getByRole('article', { name: /^Order: / });
  await hands.press(page, 'Ordered');
  await hands.press(page, 'Arrived');
  await expect(order.getByRole('button', { name: 'Look at both shoes first' })).toBeDisabled();
  await hands.choose(page, 'Alike, without fault', 'yes', 1);
  await hands.choose(page, 'Changes made', 'yes', 1);
  await hands.press(page, 'Right: put by');
  await hands.type(page, 'Room left, mm', '12');
  await hands.type(page, 'Comfort, 0–100', '84');
  await hands.press(page, 'Collected');
  await expect(order.getByText('Collected and in use.')).toBeVisible();
  await hands.press(page, 'Patient’s sheet', 'link');
  await expect(page.getByRole('article')).toContainText('left: lift inside 5 mm');
  await expect(page.getByRole('article')).toContainText('Heel lock');
}

test('from specification to collected pair by keyboard alone', async ({ page }) => {
  test.setTimeout(150_000);
  await fromSpecificationToCollected(page, keyboard, 'Keys');
});

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('from specification to collected pair by touch', async ({ page }) => {
    test.setTimeout(120_000);
    await fromSpecificationToCollected(page, finger, 'Touch');
  });

  test('candidates and try-on stay within the work area', async ({ page }) => {
    await signIn(page);
    const { visitId } = await examined(page, 'Tablet');
    await page.goto(`${origin()}/visits/${visitId}#candidates`);
    await page.getByRole('button', { name: /^Propose these/ }).tap();
    const over = () =>
      page
        .getByRole('region', { name: /, work$/ })
        .evaluate((element) => element.scrollWidth - element.clientWidth);
    expect(await over()).toBeLessThanOrEqual(0);
    for (const tab of ['Side by side', 'Sizes', /^Left out/]) {
      await page.getByRole('tab', { name: tab }).tap();
      expect(await over(), String(tab)).toBeLessThanOrEqual(0);
    }
    await page.getByRole('button', { name: 'Done, on to Try-on' }).tap();
    await page.getByRole('region', { name: /^Pair A/ }).waitFor();
    for (const tab of [/each foot$/, 'Places', 'Real task', 'Comfort']) {
      await page.getByRole('tab', { name: tab }).tap();
      expect(await over(), String(tab)).toBeLessThanOrEqual(0);
    }
  });
});

test('blind labels hide makers; what was felt says which way to go; nothing fits ends in an order or a referral', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await examined(page, 'Blind');
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.getByRole('button', { name: /^Propose these/ }).click();
  const brought = (await page.getByText(/^To bring: /).innerText()).replace('To bring: ', '').split('; ');
  await page.getByRole('button', { name: 'Done, on to Try-on' }).click();
  await page.getByLabel('hide makers and models').check();
  const work = page.getByRole('region', { name: 'Try-on, work' });
  await expect(work.getByRole('heading', { name: 'Pair A', exact: true })).toBeVisible();
  for (const title of brought) await expect(work).not.toContainText(title);
  for (const [letter, comfort] of [
    ['A', '60'],
    ['B', '80'],
    ['C', '40'],
  ])
    await work
      .getByRole('region', { name: `Pair ${letter}`, exact: true })
      .getByLabel('Comfort, 0–100')
      .fill(comfort!);
  const stands = page.getByRole('region', { name: 'Where the fitting stands' });
  await expect(stands).toContainText('Next best guess: another pair');
  await page.getByLabel('hide makers and models').uncheck();
  await expect(stands).not.toContainText('another pair');
  await page.getByRole('tab', { name: 'Comfort', exact: true }).click();
  await page.getByRole('checkbox', { name: 'too firm' }).check();
  await expect(stands).toContainText('softer');
  await page.getByRole('tab', { name: 'Places' }).click();
  await page.getByRole('checkbox', { name: 'fifth toe, left' }).press('Enter');
  await expect(page.getByRole('list', { name: 'Marked places' })).toContainText('fifth toe: presses');
  for (const letter of ['A', 'B', 'C'])
    await work
      .getByRole('region', { name: new RegExp(`^Pair ${letter}`) })
      .getByText('rejected')
      .click();
  await expect(stands).toContainText('None of these fits');
  await expect(stands).toContainText(/On the shelf, untried|To order|orthopaedic shoemaker/);
});

test('the catalogue: filtered in any unit, laid side by side, more like this but softer', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  const status = page.getByRole('status').first();
  const count = async () => Number((await status.innerText()).match(/^\d+/)![0]);
  const all = await count();
  await page.getByRole('combobox', { name: 'Feature' }).selectOption({ label: 'Heel-to-toe drop' });
  await page.getByLabel('is', { exact: true }).fill('1/8 in to 1/4 in');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Filters' })).toContainText(
    'Heel-to-toe drop 3.2 mm to 6.4 mm'.replace(/ mm/g, '\u2009mm'),
  );
  expect(await count()).toBeLessThan(all);
  await page.getByRole('combobox', { name: 'Feature' }).selectOption({ label: 'Bend point' });
  await page.getByLabel('is', { exact: true }).fill('eighty');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(page.getByText('“eighty” is not a number.')).toBeVisible();
  await page.getByLabel('is', { exact: true }).fill('70-76');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(status).toContainText('more may: a value that was asked for is not known');
  for (const at of [0, 1, 2])
    await page
      .getByRole('checkbox', { name: /^Compare / })
      .nth(at)
      .check();
  await page.getByRole('link', { name: 'Compare 3' }).click();
  await expect(page.getByRole('img', { name: /^Side profiles over each other/ })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Models side by side' })).toBeVisible();

  const { visitId } = await examined(page, 'Softer');
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.locator('select.more-like').first().selectOption({ label: 'softer' });
  await expect(page.getByRole('region', { name: 'More like this' })).toContainText('but softer');
});

test('a bench test in ten steps fills what was not known and shows where the maker disagrees', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await page.getByRole('link', { name: 'Bench test' }).click();
  await ready(page);
  await page.getByLabel('Sole, heel to tip').fill('300');
  await page.getByLabel('Heel to the fold').fill('165');
  await expect(page.getByRole('complementary', { name: 'What the tests say' })).toContainText('too far back');
  for (let step = 1; step < 10; step += 1) await page.getByRole('button', { name: 'Next test' }).click();
  await page.getByLabel('Heel stack').fill('52');
  await page.getByLabel('Forefoot stack').fill('30');
  const changes = page.getByRole('region', { name: 'What this changes' });
  await expect(changes).toContainText('maker says');
  await page.getByRole('button', { name: /^Keep \d+ values/ }).click();
  await page.waitForURL(/shoes\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('row', { name: /^Heel stack/ })).toContainText('bench test');
  await expect(page.getByRole('row', { name: /^Heel stack/ })).toContainText('maker');
  await expect(page.getByText(/^\d{4}-\d\d-\d\d Bench test:/)).toBeVisible();
});

test('a file is read before it is sent: errors by row and column, then all at once, then out again', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes/files`);
  await ready(page);
  const head = 'maker;name;version;group;system;allowance_mm;sizes;widths;ball_width_mm;drop_mm;mass_g';
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const choose = page.getByLabel('Choose a file');
  await choose.setInputFiles(
    file(
      'bad.csv',
      `${head}\nTestwork;One;1;men;eu;15;39-46;D;95;80;0,3\nTestwork;One;1;men;eu;15;39-46;D;95;8;300\n`,
    ),
  );
  const errors = page.getByRole('region', { name: 'Errors of the file' });
  await expect(errors.getByRole('row', { name: /^2 drop_mm/ })).toContainText('outside');
  await expect(errors.getByRole('row', { name: /^2 mass_g/ })).toContainText('300');
  await expect(page.getByRole('button', { name: /^Import/ })).toHaveCount(0);
  await choose.setInputFiles(
    file(
      'good.csv',
      `${head}\nTestwork;=One;1;men;eu;15;39-46;D;95;8,5;300\nTestwork;Two;1;men;eu;15;39-46;D;95;8;0,3 kg\n`,
    ),
  );
  await page.getByRole('button', { name: 'Import 2 models' }).click();
  await expect(page.getByText('2 added, 0 changed.')).toBeVisible();
  const out = await page.request.get(`${origin()}/api/v1/catalogue?format=csv`);
  expect(await out.text()).toContain("'=One");
});

test('a new version from the supplier is flagged on who wears its forerunner', async ({ page }) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes/supplier`);
  await ready(page);
  const worn = page
    .getByRole('row')
    .filter({ hasText: 'New version' })
    .filter({ has: page.locator('td.figure:not(:empty)') });
  const any = page.getByRole('row').filter({ hasText: 'New version' });
  const row = (await worn.count()) > 0 ? worn.first() : any.first();
  const title = await row.getByRole('rowheader').innerText();
  const wearers = await row.locator('td.figure').innerText();
  await row.getByRole('button', { name: /^Take over/ }).click();
  await expect(page.getByRole('rowheader', { name: title, exact: true })).toHaveCount(0);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  await page.getByLabel('Maker, name, version').fill(title.replace(/ \d+$/, ''));
  const next = title.replace(/\d+$/, (version) => String(Number(version) + 1));
  await page.getByRole('button', { name: next, exact: true }).click();
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: next })).toBeVisible();
  const people = page.getByRole('region', { name: 'Worn by' });
  if (wearers.trim() !== '') {
    await expect(people).toContainText('a later version has taken its place');
    await people.getByRole('link').first().click();
    await expect(page.getByText('has taken its place: another shoe.').first()).toBeVisible();
  } else await expect(page.getByRole('region', { name: 'Versions' })).toContainText('no longer made');
});
