import { defineMiddleware } from 'astro:middleware';
import type { APIContext } from 'astro';
import { signedIn } from '@/server/auth/actor';
import { isOutage } from '@/server/database/outage';
import { failed } from '@/server/http/endpoint';
import { RETRY_SECONDS } from '@/server/http/problem';
import { noteDuration } from '@/server/http/slow-requests';

const AWAY_PAGE = '/503';

/** Pages anyone may see; the API answers for itself. */
const OPEN = ['/sign-in', '/set-up', '/join', '/healthz', '/readyz', AWAY_PAGE, '/api/'];

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
      context.locals.actor = who.actor;
    }
    response = await next();
  } catch (error) {
    response = isOutage(error) && isPage(context) ? await awayPage(context) : failed(error);
  }
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
  noteDuration(context.request.method, pathname, performance.now() - begun);
  const type = response.headers.get('content-type') ?? '';
  if (type.startsWith('text/html')) response.headers.set('cache-control', 'no-store');
  return response;
});
