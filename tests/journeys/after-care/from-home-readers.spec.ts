import { expect, test } from '@playwright/test';
import { footprint } from '../../../src/simulators/footprint-scanner';
import { film, open, png } from '../examination/devices';
import { newVisit, signIn } from '../keyboard';
import { onDisk } from '../on-disk';
import { noViolations } from '../screens/looking';
import { linkFor, openOn, phone } from './own-page';

test('before a first pair a wet print and a film come from home, and the readers of a visit take them as unverified', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const { patientId, visitId } = await newVisit(page, 'Filmathome');
  const visit = new URL(`/visits/${visitId}`, page.url()).href;
  const url = await linkFor(page, patientId);
  const handset = await phone(browser);
  await openOn(handset, url, ['5', '4', '1961']);
  await handset.getByRole('button', { name: 'Tell the clinic' }).tap();

  await handset.getByText('Send a photograph').tap();
  await handset.getByRole('button', { name: 'a wet footprint' }).tap();
  const print = footprint({ side: 'left', archIndex: 0.24, pixelsPerMm: 3 }).picture;
  await handset.getByLabel('Take or choose a photograph').setInputFiles(onDisk(png('print.png', print)));
  await handset.getByRole('button', { name: 'Send', exact: true }).tap();
  await expect(handset.getByText('The clinic has it.')).toBeVisible();

  await handset.getByText('Send a short film of your walk').tap();
  await expect(handset.getByText('No sound is sent.', { exact: false })).toBeVisible();
  const choose = handset.getByLabel('Film or choose a film');
  await choose.setInputFiles(onDisk({ name: 'no.mp4', buffer: Buffer.from('no film') }));
  await expect(handset.getByText('This film cannot be read. Try another.')).toBeVisible();
  await choose.setInputFiles(onDisk(film()));
  await expect(handset.getByText(/\d+ pictures, ready to send/)).toBeVisible();
  await noViolations(handset, 'own page, a film');
  await handset.getByRole('button', { name: 'Send', exact: true }).tap();
  // The print has one of its own already.
  await expect(handset.getByText('The clinic has it.')).toHaveCount(2);
  await handset.context().close();

  await page.goto(visit);
  await open(page, 'feet', 'Footprint');
  await page.getByRole('button', { name: 'Take a print, left' }).click();
  await page.getByRole('group', { name: 'From home, unverified' }).getByRole('button').click();
  const left = page.getByRole('region', { name: 'Footprint, left' });
  await expect(left.getByText(/arch index/i).first()).toBeVisible();

  await open(page, 'move', 'Gait clip');
  await page.getByRole('button', { name: 'Load a clip' }).click();
  await page
    .getByRole('group', { name: 'From home, unverified' })
    .getByRole('button', { name: /film from behind, \d+ pictures/ })
    .click();
  const frames = page.getByRole('slider', { name: 'Frame', exact: true });
  await expect(frames).toBeVisible();
  expect(Number(await frames.getAttribute('max'))).toBeGreaterThan(10);
  await expect(page.getByLabel('Frames a second')).toHaveValue('25');
});
