import { expect, type Page, test } from '@playwright/test';
import { ready, signIn, tabTo } from '../keyboard';
import { onDisk } from '../on-disk';
import { origin } from '../server';

/** The page of a patient who is found by name, and of the pair that is in use. */
async function openPair(page: Page, family: string): Promise<string> {
  await page.goto(`${origin()}/patients?q=${family}`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  const patient = page.url();
  await page.getByRole('link', { name: 'Inspect it' }).first().click();
  await page.waitForURL(/pairs\/[0-9a-f]/);
  await expect(page.getByRole('tab', { name: 'Inspect', exact: true })).toBeVisible();
  return patient;
}

test('an inspection moves the window; the pair is retired with a reason, and its model is learned from', async ({
  page,
}) => {
  await signIn(page);
  const patient = await openPair(page, 'Tolliver');
  const pairUrl = page.url();
  const model = await page.getByRole('heading', { level: 1 }).innerText();
  const life = page.getByRole('region', { name: 'How long it lasts' });
  const before = await life.locator('svg').getAttribute('aria-label');

  // By keyboard: folded, no resistance.
  const fold = page.getByRole('group', { name: 'Folded in half' });
  await tabTo(page, fold.locator('input').first());
  await page.keyboard.press('3');
  const answers = page.getByRole('region', { name: 'Both answers' });
  await expect(answers).toContainText('Folded in half spoke most for it');
  await page
    .getByRole('group', { name: 'Foam stays pressed in' })
    .getByRole('radio', { name: 'stays pressed' })
    .check({ force: true });
  await page.getByRole('button', { name: /^left heel, outer:/ }).focus();
  await page.keyboard.press('2');
  // A reload in the middle loses nothing.
  await page.reload();
  await expect(fold.getByRole('radio', { name: 'no resistance' })).toBeChecked();
  await page.getByRole('button', { name: 'Keep the inspection' }).click();
  await expect(page.getByText(/The last inspection moved half of its life from/)).toBeVisible();
  await expect(life.locator('svg')).not.toHaveAttribute('aria-label', before ?? '');
  await page.getByRole('tab', { name: 'Soles over time' }).click();
  await expect(page.getByRole('img', { name: /left: heel, outer much/ }).last()).toBeVisible();
  await page.getByRole('tab', { name: 'Inspections' }).click();
  await expect(page.getByText(/Folded in half: no resistance/)).toBeVisible();

  // Today lists it now.
  await page.goto(`${origin()}/today`);
  await expect(page.getByText('Tolliver').first()).toBeVisible();

  // Retired as worn out: the model's own page tells of it, without anybody asking.
  await page.goto(patient);
  await ready(page);
  await page.getByRole('button', { name: 'Retire the pair' }).click();
  await expect(page.getByText('1 earlier')).toBeVisible();
  await page.getByText('1 earlier').click();
  await expect(page.getByText(/, worn out$/)).toBeVisible();
  const found = await page.request.get(`${origin()}/api/v1/models`);
  const models: { id: string; maker: string; name: string; version: string }[] = await found.json();
  const own = models.find((entry) => `${entry.maker} ${entry.name} ${entry.version}` === model)!;
  await expect(async () => {
    const answer = await page.request.get(`${origin()}/api/v1/models/${own.id}/life`);
    const { learned } = await answer.json();
    expect(learned.wornOut).toBeGreaterThanOrEqual(1);
  }).toPass({ timeout: 60_000 });
  await page.goto(`${origin()}/shoes/${own.id}`);
  await expect(page.getByRole('region', { name: 'How long it lasts' })).toContainText(
    /pairs of this version \([1-9]/,
  );
  await page.goto(pairUrl);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(model);
  await expect(page.getByText(/retired .*: worn out/)).toBeVisible();
});

test('a photograph on a table: lines by keyboard, the tilt of each shoe, kept and compared', async ({
  page,
}) => {
  await signIn(page);
  await openPair(page, 'Marne');
  await page.getByRole('tab', { name: 'Photographs' }).click();
  const input = page.getByLabel('Picture file, or the camera of this device');
  await input.setInputFiles(onDisk({ name: 'broken.jpg', buffer: Buffer.from('no picture') }));
  await expect(page.getByRole('alert')).toContainText('broken');
  await input.setInputFiles(onDisk({ name: 'huge.jpg', buffer: Buffer.alloc(40 * 1024 * 1024) }));
  await expect(page.getByRole('alert')).toContainText('40 MB; up to 25 MB');

  const keep = async (presses: number) => {
    await page.getByRole('button', { name: 'From the simulated camera' }).click();
    const tilt = page.getByRole('status', { name: 'Tilt on the table' });
    await expect(tilt).toContainText('not been placed yet');
    await tabTo(page, page.getByRole('slider', { name: 'left heel, second end' }));
    for (let at = 0; at < presses; at += 1) await page.keyboard.press('Shift+ArrowRight');
    await expect(tilt).toContainText(/left: tilts inward, \d+\.\d° ± \d\.\d°/);
    await page.getByRole('button', { name: 'Keep the photograph' }).click();
    await expect(page.getByRole('button', { name: 'Keep the photograph' })).toBeHidden();
  };
  await keep(4);
  await keep(8);
  const kept = page.getByRole('button', { name: /from behind, on a table/ });
  await expect(kept).toHaveCount(2);
  await kept.first().click();
  await expect(page.getByText(/left tilts inward/).first()).toBeVisible();
  await kept.last().click();
  const slider = page.getByRole('slider', { name: 'How much of the first photograph is shown' });
  await slider.fill('20');
  await expect(page.getByRole('img', { name: /left of the line/ })).toBeVisible();
});

test('the week is planned, moved by keyboard, kept, and each pair has its own use from it', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  const use = page.getByRole('list', { name: 'What each pair is used' });
  await page.getByRole('heading', { name: 'The week, and the year ahead' }).scrollIntoViewIfNeeded();
  await expect(use).toContainText(/a week/);
  await expect(page.getByRole('list', { name: 'What the week still lacks' })).toContainText(
    'One pair takes every run',
  );
  const long = page.getByRole('button', { name: /^Sun: .* long/ });
  // Drawn by the server: it listens to keys once its script has come.
  await page.locator('astro-island:not([ssr])', { has: long }).waitFor();
  await long.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Sat: .* long, settled by hand/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add an outing' }).click();
  await page.getByRole('button', { name: /^Wed: .*8 km easy/ }).click();
  const amount = page.getByLabel('How much');
  await amount.fill('many');
  await expect(page.getByText('A number up to 400.')).toBeVisible();
  await amount.fill('20');
  await page.getByRole('button', { name: 'Keep the week' }).click();
  await expect(page.getByText('Kept; the windows follow it.')).toBeVisible();
  await page.reload();
  await page.getByRole('heading', { name: 'The week, and the year ahead' }).scrollIntoViewIfNeeded();
  await expect(page.getByRole('button', { name: /^Sat: .* long, settled by hand/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Wed: .*20 km easy/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /buy the next by/ })).toBeVisible();
});

test('aches stand on the line of the pairs, with what changed before them and what to ask', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  const reading = page.getByRole('region', { name: /^Before the ache/ }).first();
  await reading.scrollIntoViewIfNeeded();
  await expect(reading).toContainText(/days before/);
  await expect(reading).toContainText('Ask:');
  await expect(page.getByText(/Never a diagnosis/)).toBeVisible();
});
