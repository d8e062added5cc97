import { expect, test } from '@playwright/test';
import { executablePath, SOFTWARE_3D } from '../browser';
import { newVisit, signIn } from '../keyboard';
import { open, upload } from './devices';

test.use({ launchOptions: { executablePath, args: SOFTWARE_3D } });
test('a video is decoded frame by frame at its own rate', async ({ page }) => {
  test.setTimeout(90_000);
  await signIn(page);
  await newVisit(page, 'Video');
  await open(page, 'move', 'Gait clip');
  // The browser records a clip of a moving bar, as a camera would.
  const clip = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 240;
    canvas.height = 320;
    const context = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm;codecs=vp8' });
    const parts: Blob[] = [];
    recorder.ondataavailable = (event) => parts.push(event.data);
    const done = new Promise((resolve) => {
      recorder.onstop = resolve;
    });
    recorder.start();
    for (let frame = 0; frame < 40; frame += 1) {
      context.fillStyle = '#d0b090';
      context.fillRect(0, 0, 240, 320);
      context.fillStyle = '#222';
      context.fillRect(frame * 5, 100, 12, 12);
      await new Promise((resolve) => setTimeout(resolve, 33));
    }
    recorder.stop();
    await done;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return [...bytes];
  });
  await upload(page, 'Load a clip', { name: 'clip.webm', mimeType: 'video/webm', buffer: Buffer.from(clip) });
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toBeVisible({ timeout: 30_000 });
  const frames = Number(await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('max'));
  expect(frames).toBeGreaterThan(10);
  await page.getByText('running', { exact: true }).click();
  await expect(page.getByText(/frames of a running contact/)).toBeVisible();
});
