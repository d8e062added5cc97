import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { EVERYONE, ROUTES } from '@/contract/routes';
import { signIn } from './keyboard';
import { origin } from './server';

for (const role of EVERYONE)
  test(`a ${role} may call what the table says, and nothing else`, async ({ page }) => {
    await signIn(page, role);
    for (const [name, { method, path, roles }] of Object.entries(ROUTES)) {
      // Nobody's record and no body: who may call gets an answer about that, who may not is told so before anything is read.
      const address = `${origin()}/api/v1${path.replace('{step}', 'ask').replace(/\{\w+\}/g, randomUUID())}`;
      const answer = await page.request.fetch(address, {
        method,
        headers: { origin: origin() },
        ...(method === 'GET' ? {} : { data: {} }),
      });
      const allowed = (roles as readonly string[]).includes(role);
      expect(answer.status() === 403, `${name} as ${role}: ${answer.status()}`).toBe(!allowed);
      expect(answer.status(), `${name} as ${role}`).toBeLessThan(500);
    }
  });
