import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { ready, signIn, typeInto } from '../keyboard';
import { patient } from '../reasoning/past-patients';
import { origin } from '../server';

const sheetOf = async (page: Page, name: string) => {
  await patient(page, name);
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
  await page.waitForURL(/\/sheet/);
};

test('a clinic writes a sentence in its own words and adds a language; each problem stands at its sentence', async ({
  page,
}) => {
  await signIn(page, 'lead');
  await page.goto(`${origin()}/settings`);
  await page.getByRole('link', { name: 'words of the sheets' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Words of the sheets' })).toBeVisible();
  await ready(page);
  await typeInto(page, 'Find', 'Come and see us');
  const own = page.getByLabel('Own words for: Come and see us on {{on}}.', { exact: true });
  await own.fill('See you soon.');
  await expect(page.getByText('Keep {{on}} in it.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep 1 sentence' })).toBeDisabled();
  await own.fill(
    'Notwithstanding circumstances, subsequent reexamination necessitates attendance on {{on}}.',
  );
  await expect(page.getByText(/Reads at grade \d+/)).toBeVisible();
  await own.fill('See us on {{on}}, please.');
  await page.getByRole('button', { name: 'Keep 1 sentence' }).click();
  await expect(page.getByRole('button', { name: 'Nothing changed' })).toBeVisible();
  await page.reload();
  // A press before the script has come is lost.
  await ready(page);
  await page.getByRole('checkbox', { name: 'only our own' }).check();
  await expect(own).toHaveValue('See us on {{on}}, please.');

  // Another language goes out as a message file and comes back.
  await page.getByLabel('Another language').fill('nonsense');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('alert')).toContainText('Write a tag such as fr');
  await page.getByLabel('Another language').fill('he');
  await page.getByRole('button', { name: 'Add' }).click();
  await page.waitForURL(/language=he/);
  await expect(page.getByText(/sentences are still to be written/)).toBeVisible();
  await ready(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as message file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('sheet-he.json');
  const standard: Record<string, string> = JSON.parse(readFileSync('src/core/texts/en/sheet.json', 'utf8'));
  const keys = Object.keys(JSON.parse(readFileSync(await download.path(), 'utf8')));
  const written = Object.fromEntries(
    keys.map((key) => {
      const text = standard[key] ?? standard[key.replace(/_(two|many|zero|few)$/, '_other')] ?? '';
      return [key, ['שלום', ...(text.match(/\{\{\w+\}\}/g) ?? [])].join(' ')];
    }),
  );
  await page.getByLabel('Read a message file').setInputFiles({
    name: 'sheet-he.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(written)),
  });
  await expect(page.getByText(/sentences read\. Look at them, then keep them/)).toBeVisible();
  await page.getByRole('button', { name: /^Keep \d+ sentences$/ }).click();
  await expect(page.getByText(/every sentence is there\./)).toBeVisible();

  // Now it can be given to a patient.
  await patient(page, 'Tolliver');
  await page.getByText('Put the record right').click();
  await page.getByLabel('Language of their sheets').selectOption({ label: 'עברית' });
  await Promise.all([
    page.waitForEvent('framenavigated'),
    page.getByRole('button', { name: 'Save', exact: true }).click(),
  ]);
  await ready(page);
  await page.getByText('Put the record right').click();
  await expect(page.getByLabel('Language of their sheets')).toHaveValue('he');
});

test('a sheet in German, its dates for a calendar, and the letters: to the employer without a word of health, to the referrer with consent', async ({
  page,
}) => {
  await signIn(page);
  await sheetOf(page, 'Achterberg');
  const article = page.getByRole('article');
  await expect(article).toHaveAttribute('lang', 'de');
  await expect(article.getByRole('heading', { name: /Nicht mehr tragen/ })).toBeVisible();
  await expect(article).toContainText('Kommen Sie am');
  await expect(article).not.toContainText(/Looking after it|Stop wearing/);
  const [dates] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Dates for a calendar' }).click(),
  ]);
  expect(readFileSync(await dates.path(), 'utf8')).toMatch(/BEGIN:VCALENDAR[\s\S]*wiederkommen/);

  await page.getByRole('link', { name: 'For the employer' }).click();
  await page.waitForURL(/employer/);
  await expect(article).toContainText('An den Betrieb');
  await page.getByRole('link', { name: 'English', exact: true }).click();
  await expect(article).toContainText('To the employer');
  await expect(article).not.toContainText(/diabet|pain|risk|swell|sensation/i);
  await page.getByRole('link', { name: 'Back to the sheet' }).click();

  await page.getByRole('link', { name: 'For the referrer' }).click();
  await page.waitForURL(/letter/);
  await expect(article.getByRole('heading', { name: 'Findings that shaped the prescription' })).toBeVisible();
  await expect(article.getByRole('table')).toContainText('Because');
});
