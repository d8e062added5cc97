import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { test } from '@playwright/test';

let folders = 0;

/**
 * Files on the disk, as whoever chooses some has them; gone with the test. What a test hands over itself goes through the browser as
 * text: eleven seconds for forty megabytes.
 */
export function onDisk(...files: { name: string; buffer: Uint8Array }[]): string[] {
  folders += 1;
  const folder = test.info().outputPath(`chosen ${folders}`);
  mkdirSync(folder, { recursive: true });
  return files.map(({ name, buffer }) => {
    const path = join(folder, name);
    writeFileSync(path, buffer);
    return path;
  });
}
