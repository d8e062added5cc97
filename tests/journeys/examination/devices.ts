import type { Locator, Page } from '@playwright/test';
import { writePng } from '../../../src/formats/png';

export const open = async (page: Page, step: string, tab: string): Promise<void> => {
  await page.evaluate((hash) => {
    location.hash = hash;
  }, step);
  await page.getByRole('tab', { name: tab, exact: true }).click();
};

/** Opens the dialog of a device and takes from the simulated one. */
export async function simulate(
  page: Page,
  button: string,
  settings: Record<string, string> = {},
): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  const dialog = page.getByRole('dialog', { name: button });
  for (const [label, value] of Object.entries(settings)) {
    const field = dialog.getByLabel(label, { exact: true });
    if ((await field.evaluate((element) => element.tagName)) === 'SELECT') await field.selectOption(value);
    else await field.fill(value);
  }
  await dialog.getByRole('button', { name: 'Take from the simulated device' }).click();
}

export async function upload(
  page: Page,
  button: string,
  ...files: { name: string; mimeType: string; buffer: Buffer }[]
): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  await page.getByRole('dialog', { name: button }).getByLabel('From a file').setInputFiles(files);
}

export const png = (name: string, picture: Parameters<typeof writePng>[0]) => ({
  name,
  mimeType: 'image/png',
  buffer: Buffer.from(writePng(picture)),
});

export const figure = async (row: Locator): Promise<number> =>
  Number((await row.getByRole('cell').first().innerText()).match(/[−-]?[\d.]+/)![0].replace('−', '-'));

/** A film of a moving bar that the browser records, as a camera would. */
export async function filmed(page: Page): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const film = await page.evaluate(async () => {
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
  return { name: 'clip.webm', mimeType: 'video/webm', buffer: Buffer.from(film) };
}
