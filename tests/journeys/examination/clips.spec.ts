import { expect, test } from '@playwright/test';
import { gaitFrame } from '../../../src/simulators/gait-camera';
import { newVisit, saved, signIn } from '../keyboard';
import { open, png, upload } from './devices';

test('clips carry pair, speed and minutes: each is held against the others, with its error', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Tired');
  await open(page, 'move', 'Gait clip');
  const film = async (peakDeg: number) => {
    const frames = { side: 'left', activity: 'run', frames: 12, peakDeg, framesPerSecond: 120 } as const;
    await upload(
      page,
      'Load a clip',
      ...Array.from({ length: 12 }, (_, at) => png(`f ${at}.png`, gaitFrame(frames, at).picture)),
    );
    // The new clip begins at its first frame.
    const frame = page.getByRole('slider', { name: 'Frame', exact: true });
    await expect(frame).toHaveValue('0');
    await page.getByRole('button', { name: 'Snap to the dots' }).click();
    await page.getByRole('button', { name: 'Follow to the end' }).click();
    await frame.fill('5');
  };
  const keepPeak = () => page.getByRole('button', { name: 'peak', exact: true }).click();
  await page.getByText('running', { exact: true }).click();
  await film(6);
  await page.getByLabel('On the feet').fill('Pair A');
  await page.getByLabel('Speed, km/h').fill('10');
  await keepPeak();
  // Tired, and turned further out by six degrees.
  await film(12);
  await page.getByLabel('After, min').fill('25');
  await keepPeak();
  const held = page.getByRole('table', { name: 'Clips compared' });
  await expect(held.getByRole('row', { name: /tired against fresh/ })).toContainText(
    /turns [567](\.5)?° further out \(± 5°\)/,
  );
  // Faster and fresh: within the error nothing is seen.
  await film(7);
  await page.getByLabel('After, min').fill('');
  await page.getByLabel('Speed, km/h').fill('14');
  await keepPeak();
  await expect(held.getByRole('row', { name: /fast against slow/ })).toContainText(
    /no difference seen \(.*± 5°\)/,
  );
  // Another shoe at the same speed; one that differs in two things is not compared.
  await page.getByLabel('On the feet').fill('Pair B');
  await keepPeak();
  await expect(held.getByRole('row', { name: /shoe against shoe/ })).toHaveCount(1);
  await saved(page);
  await page.reload();
  await open(page, 'move', 'Gait clip');
  await expect(held.getByRole('row', { name: /Pair A, running 10 km\/h, after 25 min/ })).toBeVisible();
});
