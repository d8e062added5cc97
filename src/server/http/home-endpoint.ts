import type { APIRoute, AstroCookies } from 'astro';
import type { z } from 'zod';
import { type HomeCaller, homeCaller } from '../auth/home-link';
import { forgetRecallOf } from '../services/recall/remembered';
import { readJson } from './body';
import { expectedOrigin, failed } from './endpoint';
import { fieldErrors, isId, problemResponse, Refusal } from './problem';
import { siteOrigin } from './site-origin';
import { unkeepableText } from './text';

const PATH = '/api/home';
const cookieOf = (link: string): string => `home-${link}`;

/** Where a phone’s secret is: sent to the calls of the patient’s page alone, and read by no script. */
const cookieOptions = () =>
  ({ path: PATH, httpOnly: true, sameSite: 'strict', secure: siteOrigin().startsWith('https:') }) as const;

export const keepPhone = (cookies: AstroCookies, link: string, secret: string, until: Date): void =>
  cookies.set(cookieOf(link), secret, { ...cookieOptions(), expires: until });

export const forgetPhone = (cookies: AstroCookies, link: string): void =>
  cookies.delete(cookieOf(link), cookieOptions());

/** A call of the patient’s own page: a phone that opened the link in the path, and its own origin where something is said. */
export function homeEndpoint<Body = undefined>(
  { body: schema, bodyLimit }: { body?: z.ZodType<Body>; bodyLimit?: number },
  work: (
    caller: HomeCaller,
    body: Body | undefined,
    cookies: AstroCookies,
    secret: string,
    query: URLSearchParams,
  ) => Promise<object>,
): APIRoute {
  return async ({ request, url, params, cookies }) => {
    try {
      if (request.method !== 'GET' && request.headers.get('origin') !== expectedOrigin(url))
        return problemResponse(403, 'This request came from another site.');
      const { link = '' } = params;
      const secret = cookies.get(cookieOf(link))?.value;
      const caller = isId(link) && secret ? await homeCaller(link, secret) : null;
      if (!caller || !secret) throw new Refusal(404, 'This link no longer works.');
      const body = schema ? await checked(schema, request, bodyLimit) : undefined;
      const answer = await work(caller, body, cookies, secret, url.searchParams);
      if (request.method !== 'GET') forgetRecallOf(caller.actor.clinicId);
      return Response.json(answer, {
        headers: { 'cache-control': 'no-store' },
      });
    } catch (error) {
      return failed(error);
    }
  };
}

async function checked<Body>(schema: z.ZodType<Body>, request: Request, limit?: number): Promise<Body> {
  const body = (await readJson(request, limit)) ?? {};
  const bad = unkeepableText(body);
  const read = schema.safeParse(body);
  if (bad.length > 0 || !read.success)
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: [...bad, ...(read.success ? [] : fieldErrors(read.error))],
    });
  return read.data;
}
