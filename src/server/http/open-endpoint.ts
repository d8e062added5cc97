import type { APIRoute, AstroCookies } from 'astro';
import type { z } from 'zod';
import { readJson } from './body';
import { expectedOrigin, failed } from './endpoint';
import { fieldErrors, problemResponse, Refusal } from './problem';
import { unkeepableText } from './text';
import { tooManyFrom } from './tries';

const LIMIT = 8 * 1024;

/** An endpoint for who has no account yet, or is about to prove it: small bodies, own origin, few tries from one address. */
export function openEndpoint<Body, Answer>(
  schema: z.ZodType<Body>,
  work: (body: Body, headers: Headers, cookies: AstroCookies) => Promise<Answer>,
): APIRoute {
  return async ({ request, url, clientAddress, cookies }) => {
    try {
      if (request.headers.get('origin') !== expectedOrigin(url))
        return problemResponse(403, 'This request came from another site.');
      if (await tooManyFrom(clientAddress))
        return problemResponse(429, 'Too many tries. Wait a minute, then try again.');
      const body = (await readJson(request, LIMIT)) ?? {};
      const bad = unkeepableText(body);
      const checked = schema.safeParse(body);
      if (bad.length > 0 || !checked.success)
        throw new Refusal(422, 'Some values cannot be accepted.', {
          errors: [...bad, ...(checked.success ? [] : fieldErrors(checked.error))],
        });
      return Response.json(await work(checked.data, request.headers, cookies), {
        headers: { 'cache-control': 'no-store' },
      });
    } catch (error) {
      return failed(error);
    }
  };
}
