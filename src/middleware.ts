import { defineMiddleware } from 'astro:middleware';
import { AsyncLocalStorage } from 'node:async_hooks';
import type { APIContext } from 'astro';
import type { Formats } from '@/core/formats/formats';
import { isWithin, signedIn } from '@/server/auth/actor';
import { forgetEverybody } from '@/server/auth/remembered';
import { isOutage } from '@/server/database/outage';
import { failed } from '@/server/http/endpoint';
import { problemResponse, RETRY_SECONDS } from '@/server/http/problem';
import { noteDuration } from '@/server/http/slow-requests';
import { readFormatsFrom } from '@/ui/formats';

const AWAY_PAGE = '/503';

/** Pages anyone may see; the API answers for itself. The patient’s own page is an empty one until a phone has opened a link. */
const OPEN = [
  '/sign-in',
  '/set-up',
  '/join',
  '/home',
  '/no-more',
  '/calendar/',
  '/healthz',
  '/readyz',
  AWAY_PAGE,
  '/api/',
];

/** Where somebody is led who lacks the second factor that their clinic asks for, and what they may reach from there. */
const SECOND_FACTOR_PAGE = '/second-factor';
const WITHOUT_SECOND_FACTOR = [SECOND_FACTOR_PAGE, '/sign-out', '/switch'];

/** What is sent there changes nobody’s sign-in, or says so itself. */
const KEEPS_RECORDS = ['/api/v1/', '/api/home/'];

const formatsOfRequest = new AsyncLocalStorage<Formats>();
readFormatsFrom(() => formatsOfRequest.getStore());

const SECURITY_HEADERS: Record<string, string> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
};

const isPage = ({ request, url: { pathname } }: APIContext): boolean =>
  request.method === 'GET' &&
  pathname !== AWAY_PAGE &&
  !pathname.startsWith('/api/') &&
  !pathname.includes('.');

/** A page that says so in words and shows the way back. */
async function awayPage(context: APIContext): Promise<Response> {
  const { body, headers } = await context.rewrite(AWAY_PAGE);
  const answer = new Response(body, { status: 503, headers });
  answer.headers.set('retry-after', String(RETRY_SECONDS));
  return answer;
}

export const onRequest = defineMiddleware(async (context, next) => {
  const { pathname } = context.url;
  const begun = performance.now();
  let response: Response;
  try {
    if (!OPEN.some((path) => pathname === path || (path.endsWith('/') && pathname.startsWith(path)))) {
      const who = await signedIn(context.request.headers);
      if (!who) return context.redirect(`/sign-in?to=${encodeURIComponent(pathname + context.url.search)}`);
      // A page shows of every area.
      if (who.by === 'token' && !isWithin(who.scope, context.request.method !== 'GET', null))
        return problemResponse(403, 'This token does not cover this.');
      context.locals.actor = who.actor;
      context.locals.formats = who.formats;
      context.locals.seats = who.seats;
      context.locals.secondFactor = who.secondFactor;
      context.locals.lacksSecondFactor = who.lacksSecondFactor;
      context.locals.session = who.by === 'cookie' ? { id: who.sessionId, accountId: who.accountId } : null;
      if (who.by === 'cookie' && who.lacksSecondFactor && !WITHOUT_SECOND_FACTOR.includes(pathname))
        return context.redirect(SECOND_FACTOR_PAGE);
      response = await formatsOfRequest.run(who.formats, next);
    } else response = await next();
  } catch (error) {
    response = isOutage(error) && isPage(context) ? await awayPage(context) : failed(error);
  }
  // Signing in and out, another seat, a second factor: what is so from now on is so for the very next request.
  if (context.request.method !== 'GET' && !KEEPS_RECORDS.some((path) => pathname.startsWith(path)))
    forgetEverybody();
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
  noteDuration(context.request.method, pathname, performance.now() - begun);
  const type = response.headers.get('content-type') ?? '';
  if (type.startsWith('text/html')) response.headers.set('cache-control', 'no-store');
  return response;
});
