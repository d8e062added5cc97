import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';
import { open } from './devices';

test('cramp at night leads to the lunge; a squat that is better on a heel reads ankle once the lunge is small', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Squatting');
  await open(page, 'ask', 'What for');
  await page.getByRole('checkbox', { name: 'gym, intervals' }).check({ force: true });
  await page.getByRole('group', { name: 'Experience in this sport' }).getByText('new to it').click();

  await open(page, 'load', 'Watch');
  const next = page.getByRole('region', { name: 'Worth finding out next' });
  await page.getByRole('group', { name: 'Cramps at night, arch or calf, left' }).getByText('yes').click();
  await expect(next).toContainText('cramps at night: is the calf tight?');
  await expect(next.getByRole('listitem').first()).toContainText(/Double knee bend|Lunge/);

  await page.getByRole('tab', { name: 'Squat' }).click();
  await page.getByRole('group', { name: 'Squat: better on a heel' }).getByText('on 10 mm').click();
  await saved(page);
  const asked = async () => {
    const visit = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
    return visit.steps.find(({ step }: { step: string }) => step === 'load').content.findings.body
      .squatBetterWith;
  };
  expect(await asked()).toBe('ten');
  await page.getByRole('tab', { name: 'Mobility' }).click();
  for (const side of ['left', 'right'])
    await page.getByLabel(`Lunge, toe to wall, ${side}`, { exact: true }).fill('6');
  await saved(page);
  await open(page, 'reason', 'Board');
  await expect(page.getByText(/squats better on a heel/i).first()).toBeVisible();
});
