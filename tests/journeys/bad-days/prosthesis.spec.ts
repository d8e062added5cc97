import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';

test('prosthesis: a dress shoe is refused with its degrees, a flat one wedged, a boot only with a zip', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Shank');
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByText('left', { exact: true }).click();
  await expect(page.getByText(/measure first/i).first()).toBeVisible();
  await page.getByLabel('Foot set for heel rise').fill('9.5');
  await page.getByLabel('Prosthetic heel–ball length').fill('180');
  await page.getByLabel('Shoe’s heel rise').fill('20');
  const other = page.getByRole('region', { name: 'Another shoe' });
  await expect(other.getByText(/leans forward 3\.3°.*Not on this shoe: do not walk on it/)).toBeVisible();
  await page.getByLabel('Shoe’s heel rise').fill('0');
  await expect(other.getByText(/a wedge of 9\.5 mm/)).toBeVisible();
  // Every candidate stands on this foot; those that cannot are named, each with why.
  const onFoot = page.getByRole('region', { name: 'Candidates on this foot' });
  await expect(onFoot.getByRole('row')).toHaveCount(7);
  await onFoot.getByText(/cannot stand on this foot/).click();
  await expect(onFoot.getByText(/without a side zip/).first()).toBeVisible();
  await expect(onFoot.getByText(/A boot with a heel of \d+ mm: only with a low one/).first()).toBeVisible();
  await expect(onFoot.getByText(/A slip-on does not hold/).first()).toBeVisible();
  // A low boot with a side zip stands, and says where its mass hangs.
  await expect(onFoot.getByText(/Landing Stage/)).toHaveCount(0);
  const answer = await page.request.post(`${origin()}/api/v1/calculations/candidates`, {
    headers: { origin: origin() },
    data: {
      findings: {
        body: {
          activities: ['everyday'],
          sizingGroup: 'men',
          prosthesisSide: 'left',
          prosthesisSetRise: 9.5,
          prosthesisLever: 180,
        },
      },
      limit: 100,
    },
  });
  const { candidates } = await answer.json();
  const boot = candidates.find(({ title }: { title: string }) => title.includes('Landing Stage'));
  expect(boot.onFoot.verdict).toBe('fine');
  expect(boot.onFoot.says.join(' ')).toContain('far from the knee');
  // An ankle that follows takes what a shoe cannot.
  await page.getByText('adjustable', { exact: true }).click();
  await page.getByLabel('Ankle can be set up to').fill('25');
  await page.getByLabel('Shoe’s heel rise').fill('20');
  await expect(other.getByText(/until the ankle is set to 20 mm: that costs energy return/)).toBeVisible();
  await saved(page);
});

test('new to walking, or the day before therapy: a new pair is held back, and says so at the visit', async ({
  page,
}) => {
  await signIn(page);
  const { patientId } = await newVisit(page, 'Learning');
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByText('right', { exact: true }).click();
  await page.getByLabel('Months of walking on it').fill('2');
  await expect(page.getByText(/The first 12 weeks on a prosthesis keep one shoe/)).toBeVisible();
  await saved(page);
  await page.goto(`${origin()}/patients/${patientId}/limb`);
  await expect(page.getByText(/The first 12 weeks on a prosthesis keep one shoe/)).toBeVisible();
});
