import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { writePng } from '../../../src/formats/png';
import { onDisk } from '../on-disk';

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
  ...files: { name: string; buffer: Uint8Array }[]
): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  await page
    .getByRole('dialog', { name: button })
    .getByLabel('From a file')
    .setInputFiles(onDisk(...files));
}

export const png = (name: string, picture: Parameters<typeof writePng>[0]) => ({
  name,
  buffer: writePng(picture),
});

export const figure = async (row: Locator): Promise<number> =>
  Number((await row.getByRole('cell').first().innerText()).match(/[−-]?[\d.]+/)![0].replace('−', '-'));

/**
 * A dark square that crosses a light ground in forty frames at thirty a second: drawn on a canvas and recorded by a browser once, so
 * that what it holds does not depend on what else the machine does.
 */
export const film = (): { name: string; buffer: Buffer } => ({
  name: 'clip.webm',
  buffer: readFileSync(join(import.meta.dirname, '../../fixtures/film.webm')),
});

/** How many colours a canvas shows, whoever draws it; run in the page. */
export function shadesOf(canvas: Element): number {
  if (!(canvas instanceof HTMLCanvasElement)) return 0;
  const copy = new OffscreenCanvas(120, 60);
  const context = copy.getContext('2d');
  if (!context) return 0;
  context.drawImage(canvas, 0, 0, copy.width, copy.height);
  return new Set(new Uint32Array(context.getImageData(0, 0, copy.width, copy.height).data.buffer)).size;
}
