import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';
import { enter, panel } from './past-patients';

test('overruling a target keeps what the rules said; a limit cannot be passed; the rules come back', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Overruled');
  await enter(page, visitId, 'ask', { left: { pain: ['achilles-mid'] }, right: { pain: [] } });
  await enter(page, visitId, 'feet', { left: { sensation: 'lost' }, right: { sensation: 'felt' } });
  await page.goto(`${origin()}/visits/${visitId}#reason`);
  await page.reload();
  const drop = page.getByRole('button', { name: /^Heel-to-toe drop: / }).first();
  await drop.focus();
  const target = page.getByRole('region', { name: 'Target' });
  await target.getByRole('button', { name: 'Overrule …' }).click();
  const form = page.getByRole('form', { name: /Overrule/ });
  await form.getByLabel('From, mm').fill('4');
  await form.getByLabel('To, mm').fill('6');
  await form.getByRole('button', { name: 'Overrule' }).click();
  await expect(form).toContainText('Write the reason');
  await expect(form.getByLabel('From, mm')).toHaveValue('4');
  await form.getByLabel('Reason (kept with the specification)').fill('trained to it over years');
  await form.getByRole('button', { name: 'Overrule' }).click();
  await expect(target).toContainText('overruled: trained to it over years');
  await expect(target).toContainText(/The rules say \d/);
  await expect(panel(page).getByRole('button', { name: /Heel-to-toe drop/ })).toContainText('4–6');
  await saved(page);
  // A limit stands above a clinician's wish until it is set aside itself.
  await page
    .getByRole('button', { name: /^Closure: / })
    .first()
    .focus();
  await target.getByRole('button', { name: 'Pin …' }).click();
  const pin = page.getByRole('form', { name: /Pin closure/ });
  await pin.getByLabel('slip-on').check();
  await pin.getByLabel('Reason (kept with the specification)').fill('asks for it');
  await pin.getByRole('button', { name: 'Pin', exact: true }).click();
  await expect(target).toContainText('A limit excludes slip-on');
  await target.getByRole('button', { name: 'Back to the rules' }).click();
  await page.reload();
  await expect(panel(page).getByRole('button', { name: /Heel-to-toe drop/ })).toContainText('4–6');
});
