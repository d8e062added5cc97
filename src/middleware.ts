import { defineMiddleware } from 'astro:middleware';
import { signedIn } from '@/server/auth/actor';
import { failed } from '@/server/http/endpoint';

/** Pages anyone may see; the API answers for itself. */
const OPEN = ['/sign-in', '/healthz', '/api/'];

const SECURITY_HEADERS: Record<string, string> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
};

export const onRequest = defineMiddleware(async (context, next) => {
  const { pathname } = context.url;
  let response: Response;
  try {
    if (!OPEN.some((path) => pathname === path || (path.endsWith('/') && pathname.startsWith(path)))) {
      const who = await signedIn(context.request.headers);
      if (!who) return context.redirect(`/sign-in?to=${encodeURIComponent(pathname + context.url.search)}`);
      context.locals.actor = who.actor;
    }
    response = await next();
  } catch (error) {
    response = failed(error);
  }
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
  const type = response.headers.get('content-type') ?? '';
  if (type.startsWith('text/html')) response.headers.set('cache-control', 'no-store');
  return response;
});
