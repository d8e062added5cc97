import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { ready, signIn } from '../keyboard';
import { noViolations } from '../screens/looking';
import { origin } from '../server';

const DAY_MS = 86_400_000;

/** A run of an hour to the north, so many days ago. */
function gpx(daysAgo: number): string {
  const begin = Date.now() - daysAgo * DAY_MS;
  const points = Array.from(
    { length: 361 },
    (_, at) =>
      `<trkpt lat="${(50 + at * 0.00025).toFixed(6)}" lon="7"><time>${new Date(begin + at * 10_000).toISOString()}</time></trkpt>`,
  );
  return `<gpx version="1.1"><trk><type>running</type><trkseg>${points.join('')}</trkseg></trk></gpx>`;
}

test('tracks of a watch: read, each in its pair, kept once, and the window of the pair moves', async ({
  page,
}) => {
  await signIn(page);
  const found = await (await page.request.get(`${origin()}/api/v1/patients?q=Marne`)).json();
  const patient = await (await page.request.get(`${origin()}/api/v1/patients/${found[0].id}`)).json();
  const worn = patient.pairs.find((pair: { endedOn: string | null }) => pair.endedOn === null);
  const middleOf = async () => {
    const page_ = await (await page.request.get(`${origin()}/api/v1/pairs/${worn.id}`)).json();
    return { middle: page_.pair.window?.middle ?? null, km: page_.pair.forecast.used };
  };
  const before = await middleOf();

  await page.goto(`${origin()}/patients/${patient.id}`);
  await ready(page);
  await page.getByRole('heading', { name: 'Distance from devices' }).click();
  const archive = zipSync(
    Object.fromEntries([
      ...Array.from({ length: 12 }, (_, at) => [`run-${at}.gpx`, strToU8(gpx(at + 2))] as const),
      // A second device at the first run, and a file that is broken.
      ['phone.gpx', strToU8(gpx(2))] as const,
      ['half.gpx', strToU8(gpx(30).slice(0, 500))] as const,
    ]),
  );
  await page.getByLabel('Files').setInputFiles([
    { name: 'watch.zip', mimeType: 'application/zip', buffer: Buffer.from(archive) },
    {
      name: 'other.fit',
      mimeType: 'application/octet-stream',
      buffer: readFileSync('tests/fixtures/tracks/run.fit'),
    },
  ]);
  await expect(page.getByRole('alert')).toContainText('half.gpx, line 1');
  await expect(page.getByText('the same run as another one here')).toHaveCount(1);
  await noViolations(page, 'tracks');
  // What was not said to be a run of a pair is put into one by hand.
  const choose = page.getByLabel(/^Pair of run-/);
  for (let at = 0; at < (await choose.count()); at += 1) await choose.nth(at).selectOption(worn.id);
  await page.getByRole('button', { name: /^Keep \d+ outings/ }).click();
  await expect(page.getByText(/outings are kept/)).toBeVisible();
  const after = await middleOf();
  expect(after.km).toBeGreaterThan(before.km + 90);
  expect(after.middle < before.middle).toBe(true);

  // Read again, nothing is added.
  await page
    .getByLabel('Files')
    .setInputFiles([{ name: 'watch.zip', mimeType: 'application/zip', buffer: Buffer.from(archive) }]);
  for (let at = 0; at < 12; at += 1) await choose.nth(at).selectOption(worn.id);
  await page.getByRole('button', { name: /^Keep \d+ outings/ }).click();
  await expect(page.getByText(/were there already/)).toBeVisible();
  expect((await middleOf()).km).toBe(after.km);

  // Steps become a distance by the stated step.
  await page.getByLabel('Length of a step, m').fill('0,7');
  await page.getByRole('button', { name: /^From the step counter/ }).click();
  await expect(page.getByLabel(/^Keep step-counter/)).toHaveCount(28);
});
