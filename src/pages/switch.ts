import type { APIRoute } from 'astro';
import { signedIn } from '@/server/auth/actor';
import { changeSeat } from '@/server/auth/seats';
import { expectedOrigin } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';

/** Goes to another of one's own clinics, in this browser. */
export const POST: APIRoute = async ({ request, url, redirect }) => {
  if (request.headers.get('origin') !== expectedOrigin(url))
    return problemResponse(403, 'This request came from another site.');
  const who = await signedIn(request.headers);
  if (who?.by !== 'cookie') return redirect('/sign-in', 303);
  const form = await request.formData().catch(() => null);
  const seat = form?.get('seat');
  const changed =
    typeof seat === 'string' && seat.length <= 64 && (await changeSeat(who.sessionId, who.accountId, seat));
  return changed ? redirect('/today', 303) : problemResponse(404, 'You have no seat there.');
};
