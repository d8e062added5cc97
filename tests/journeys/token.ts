import { type Browser, expect } from '@playwright/test';
import type { api } from '@/contract/contract';
import type { AnswerOf, CallInput } from '@/contract/operation';
import { type OperationName, ROUTES } from '@/contract/routes';
import { ready, signIn } from './keyboard';
import { origin } from './server';

/** Makes an access token in the settings, as a person would. */
export async function accessToken(browser: Browser, role: 'lead' | 'practitioner' = 'lead'): Promise<string> {
  const page = await (await browser.newContext()).newPage();
  await signIn(page, role);
  await page.goto(`${origin()}/settings`);
  await ready(page);
  await page.getByLabel('Name').fill('test machine');
  await page.getByLabel('May').selectOption('read and change');
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = await page.locator('code').innerText();
  expect(token).toMatch(/^sovet_/);
  await page.context().close();
  return token;
}

interface Parts {
  params?: Record<string, string>;
  query?: Record<string, string>;
  body?: unknown;
}

/** Calls an operation of the contract with a token: the status and the answer as it came. */
export async function callWith<K extends OperationName>(
  token: string,
  name: K,
  input: CallInput<(typeof api)[K]>,
): Promise<{ status: number; answer: AnswerOf<(typeof api)[K]> }> {
  const { method, path } = ROUTES[name];
  const { params = {}, query = {}, body } = input as Parts;
  const filled = path.replace(/\{(\w+)\}/g, (_, part: string) => params[part] ?? '');
  const response = await fetch(`${origin()}/api/v1${filled}?${new URLSearchParams(query)}`, {
    method,
    headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: response.status, answer: response.status === 204 ? null : await response.json() };
}
