import type { APIRoute } from 'astro';
import { z } from 'zod';
import { auth, CLIENT_ADDRESS_HEADER } from '@/server/auth/auth';
import { admitSignIn, forgetTries, noteInTrail, noteSignIn } from '@/server/auth/sign-in-guard';
import { readJson } from '@/server/http/body';
import { expectedOrigin, failed } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';

/** A sign-in form is small. */
const SIGN_IN_LIMIT = 8 * 1024;

/** What of the sign-in library answers here. A name, an address or a role is never changed through it. */
const ANSWERED: ReadonlySet<string> = new Set([
  '/sign-in/email',
  '/sign-out',
  '/get-session',
  '/two-factor/enable',
  '/two-factor/disable',
  '/two-factor/verify-totp',
  '/two-factor/verify-backup-code',
]);
/** After one of these the sign-in that a password began is complete. */
const SECOND_STEP: ReadonlySet<string> = new Set([
  '/two-factor/verify-totp',
  '/two-factor/verify-backup-code',
]);

const signInSchema = z.object({ email: z.string().max(254), password: z.string().max(256) });

const signedInSchema = z.object({ user: z.object({ email: z.string() }) });

/** Hands sign-in to better-auth, after limiting the body, checking the origin and saying where the request came from. */
export const ALL: APIRoute = async ({ request, url, clientAddress }) => {
  try {
    const path = url.pathname.replace(/^\/api\/auth/, '');
    if (!ANSWERED.has(path)) return problemResponse(404, 'There is nothing at this address.');
    if (request.method !== 'GET' && request.headers.get('origin') !== expectedOrigin(url))
      return problemResponse(403, 'This request came from another site.');
    const headers = new Headers(request.headers);
    // Our own server has put the address there that the connection came from.
    headers.set(CLIENT_ADDRESS_HEADER, clientAddress);
    headers.delete('content-length');
    const body = request.method === 'GET' ? undefined : ((await readJson(request, SIGN_IN_LIMIT)) ?? {});
    const handle = () =>
      auth().handler(
        new Request(new URL(url.pathname + url.search, expectedOrigin(url)), {
          method: request.method,
          headers,
          body: body === undefined ? undefined : JSON.stringify(body),
        }),
      );
    const secure = expectedOrigin(url).startsWith('https:');
    /** With the cookie by which this browser is known from now on. */
    const known = async (answer: Response, email: string) => {
      const response = new Response(answer.body, answer);
      response.headers.append('set-cookie', await noteSignIn(request.headers, email, secure));
      await noteInTrail(email, 'sign-in', 'signed in');
      return response;
    };
    if (SECOND_STEP.has(path)) {
      const answer = await handle();
      const who = signedInSchema.safeParse(
        await answer
          .clone()
          .json()
          .catch(() => null),
      );
      return answer.ok && who.success ? await known(answer, who.data.user.email) : answer;
    }
    if (path !== '/sign-in/email') return await handle();
    const typed = signInSchema.safeParse(body);
    if (!typed.success) return problemResponse(422, 'Type an e-mail address and a password.');
    const { email } = typed.data;
    const admission = await admitSignIn(request.headers, email);
    if (!admission.admitted) {
      const response = problemResponse(429, 'Too many tries at this account. Wait, then try again.');
      response.headers.set('retry-after', String(admission.waitSeconds));
      return response;
    }
    const answer = await handle();
    if (!answer.ok) {
      await noteInTrail(email, 'refused', 'sign-in: wrong password');
      return answer;
    }
    await forgetTries(admission.key);
    // Where a second factor is asked for, the browser is known only after that.
    const who = signedInSchema.safeParse(
      await answer
        .clone()
        .json()
        .catch(() => null),
    );
    return who.success ? await known(answer, email) : answer;
  } catch (error) {
    return failed(error);
  }
};
