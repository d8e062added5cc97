import type { APIRoute } from 'astro';
import { auth, CLIENT_ADDRESS_HEADER } from '@/server/auth/auth';
import { readJson } from '@/server/http/body';
import { expectedOrigin, failed } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';

/** A sign-in form is small. */
const SIGN_IN_LIMIT = 8 * 1024;

/** Hands sign-in to better-auth, after limiting the body, checking the origin and saying where the request came from. */
export const ALL: APIRoute = async ({ request, url, clientAddress }) => {
  try {
    if (request.method !== 'GET' && request.headers.get('origin') !== expectedOrigin(url))
      return problemResponse(403, 'This request came from another site.');
    const headers = new Headers(request.headers);
    const behindProxy =
      process.env.SOVET_TRUST_PROXY === '1'
        ? request.headers.get('x-forwarded-for')?.split(',')[0]
        : undefined;
    headers.set(CLIENT_ADDRESS_HEADER, behindProxy?.trim() ?? clientAddress);
    headers.delete('content-length');
    const body =
      request.method === 'GET' ? undefined : JSON.stringify((await readJson(request, SIGN_IN_LIMIT)) ?? {});
    return await auth().handler(
      new Request(new URL(url.pathname + url.search, expectedOrigin(url)), {
        method: request.method,
        headers,
        body,
      }),
    );
  } catch (error) {
    return failed(error);
  }
};
