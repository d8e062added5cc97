import type { APIRoute } from 'astro';
import { auth } from '@/server/auth/auth';
import { expectedOrigin } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';

/** Ends the session and shows the sign-in page. */
export const POST: APIRoute = async ({ request, url }) => {
  if (request.headers.get('origin') !== expectedOrigin(url))
    return problemResponse(403, 'This request came from another site.');
  const { headers } = await auth().api.signOut({ headers: request.headers, returnHeaders: true });
  headers.set('location', '/sign-in');
  return new Response(null, { status: 303, headers });
};
