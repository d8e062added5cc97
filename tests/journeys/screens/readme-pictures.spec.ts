import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

test('the pictures of the README are there', async () => {
  const readme = readFileSync(new URL('../../../README.md', import.meta.url), 'utf8');
  const pictures = [...readme.matchAll(/docs\/screenshots\/([\w-]+\.png)/g)].map((match) => match[1]!);
  expect(pictures.length).toBeGreaterThan(10);
  for (const picture of pictures)
    readFileSync(new URL(`../../../docs/screenshots/${picture}`, import.meta.url));
});
