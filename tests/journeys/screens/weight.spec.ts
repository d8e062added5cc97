import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { expect, type Page, test } from '@playwright/test';
import { init, parse } from 'es-module-lexer';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';
import budgets from './budgets.json' with { type: 'json' };
import { openDemoVisit } from './looking';

const BUILT = '/_astro/';
const builtFiles = readdirSync(join(import.meta.dirname, '../../../dist/client', BUILT));

/** Islands that wait until somebody looks at them or nothing else is to do. */
const WAITING = /<astro-island [^>]*client="(?:visible|idle)"[^>]*>/g;

/** Scripts that a page names itself, and the islands that it starts. */
const namedIn = (html: string): string[] =>
  [
    ...html
      .replaceAll(WAITING, '')
      .matchAll(/(?:component-url|renderer-url|src|href)="(\/_astro\/[^"]+\.js)"/g),
  ].map(([, url]) => url!);

/** Everything that some scripts import before they run, themselves included. */
async function withImports(page: Page, urls: readonly string[]): Promise<Map<string, number>> {
  await init;
  const sizes = new Map<string, number>();
  const visit = async (url: string): Promise<void> => {
    if (sizes.has(url)) return;
    sizes.set(url, 0);
    const code = await (await page.request.get(`${origin()}${url}`)).text();
    sizes.set(url, gzipSync(code).length);
    const [imports] = parse(code);
    for (const one of imports)
      if (one.type === 'static') await visit(new URL(one.specifier, `${origin()}${url}`).pathname);
  };
  for (const url of urls) await visit(url);
  return sizes;
}

test('each page needs no more script for its first screen than its budget says, in no more files', async ({
  page,
}) => {
  const over: string[] = [];
  const measured: string[] = [];
  const measure = async (path: string, address: string) => {
    const { kB, files, ...more } = budgets.pages[path as keyof typeof budgets.pages];
    const opensWith: string[] = 'opensWith' in more ? more.opensWith : [];
    const html = await (await page.request.get(`${origin()}${address}`)).text();
    const parts = opensWith.map((part) =>
      builtFiles.find((file) => file.startsWith(`${part}.`) && file.endsWith('.js')),
    );
    expect(parts, `${path}: a part of this name is built`).not.toContain(undefined);
    const sizes = await withImports(page, [...namedIn(html), ...parts.map((file) => `${BUILT}${file}`)]);
    const sum = [...sizes.values()].reduce((all, size) => all + size, 0) / 1000;
    measured.push(`${path} ${sum.toFixed(1)} of ${kB} kB in ${sizes.size} of ${files} files`);
    if (sum > kB || sum === 0) over.push(`${path}: ${sum.toFixed(1)} kB, allowed ${kB}`);
    if (sizes.size > files) over.push(`${path}: ${sizes.size} files, allowed ${files}`);
  };
  await measure('/sign-in', '/sign-in');
  await measure('/home', '/home');
  await signIn(page);
  for (const path of ['/today', '/patients', '/shoes']) await measure(path, path);
  const [{ id }] = await (await page.request.get(`${origin()}/api/v1/patients?q=Pell`)).json();
  await measure('/patients/{id}', `/patients/${id}`);
  await openDemoVisit(page);
  await measure('/visits/{id}', new URL(page.url()).pathname);
  console.log(measured.join('; '));
  expect(over).toEqual([]);
  expect(measured).toHaveLength(Object.keys(budgets.pages).length);
});

test('answers go out compressed; a page that repeats its address beside somebody’s data does not', async ({
  page,
}) => {
  await signIn(page);
  const encoding = async (path: string, accept = 'br, gzip') => {
    const answer = await page.request.get(`${origin()}${path}`, { headers: { 'accept-encoding': accept } });
    expect(answer.status(), path).toBe(200);
    return answer.headers()['content-encoding'];
  };
  expect(await encoding('/today')).toBe('br');
  expect(await encoding('/today', 'gzip')).toBe('gzip');
  expect(await encoding('/api/v1/models')).toBe('br');
  expect(await encoding('/shoes?sort=name')).toBe('br');
  expect(await encoding('/patients?q=Ma')).toBeUndefined();
  expect(await encoding('/healthz')).toBeUndefined();
  expect(await encoding('/today', 'identity')).toBeUndefined();
});

test('files go out compressed, are kept for good where their name says what is in them, and nothing beside them does', async ({
  page,
}) => {
  const heads = new Map<string, Record<string, string>>();
  page.on('response', (response) => {
    const { pathname } = new URL(response.url());
    if (/\.(js|css)$/.test(pathname)) heads.set(pathname, response.headers());
  });
  await page.goto(`${origin()}/sign-in`);
  await ready(page);
  expect(heads.size).toBeGreaterThan(3);
  for (const [path, head] of heads) {
    expect(head['cache-control'], path).toContain(path.startsWith('/_astro/') ? 'immutable' : 'no-cache');
    expect(head['x-content-type-options'], path).toBe('nosniff');
    if (Number(head['content-length']) > 1000) expect(head['content-encoding'], path).toMatch(/^(br|gzip)$/);
  }
  const [script] = [...heads.keys()].filter((path) => path.endsWith('.js'));
  const plain = await page.request.get(`${origin()}${script}`, {
    headers: { 'accept-encoding': 'identity' },
  });
  expect(plain.headers()['content-encoding']).toBeUndefined();
  const outside = await page.request.get(`${origin()}/..%2f..%2fpackage.json`, { maxRedirects: 0 });
  expect(outside.status()).not.toBe(200);
});
