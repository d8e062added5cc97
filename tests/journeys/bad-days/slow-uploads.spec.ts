import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';

/** An upload may take three minutes; somebody who waited for one would see it. */
const AT_ONCE_MS = 5000;

test('a dozen uploads that trickle in keep nobody waiting', async ({ page }) => {
  await signIn(page);
  const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
  const begun: Promise<unknown>[] = [];
  const uploads = Array.from({ length: 12 }, () => {
    const upload = httpRequest(`${origin()}/api/v1/catalogue`, {
      method: 'POST',
      headers: { cookie, origin: origin(), 'content-type': 'text/csv', 'transfer-encoding': 'chunked' },
    });
    upload.on('error', () => null);
    begun.push(new Promise((sent) => upload.write('maker,model,version\n', sent)));
    return upload;
  });
  try {
    await Promise.all(begun);
    const timed = async (work: () => Promise<{ ok: () => boolean }>) => {
      const before = Date.now();
      expect((await work()).ok()).toBe(true);
      return Date.now() - before;
    };
    expect(await timed(() => page.request.get(`${origin()}/api/v1/today`))).toBeLessThan(AT_ONCE_MS);
    expect(
      await timed(() =>
        page.request.post(`${origin()}/api/v1/catalogue?dry=yes`, {
          headers: { origin: origin(), 'content-type': 'text/csv' },
          data: 'maker,model,version\nTestmaker,Slow,1\n',
        }),
      ),
    ).toBeLessThan(AT_ONCE_MS);
  } finally {
    for (const upload of uploads) upload.destroy();
  }
});
