import { z } from 'zod';

/** Who signed in, or one sentence that says why not. */
export type SignedIn = { ok: true; person: string } | { ok: false; message: string };

const answerSchema = z.object({ user: z.object({ id: z.string() }) });

/** `a moment`, `40 seconds`, `5 minutes`: how long one is asked to wait. */
function waitInWords(header: string | null): string {
  const seconds = Number(header);
  if (!(seconds > 1)) return 'a moment';
  return seconds < 90 ? `${Math.ceil(seconds)} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}

/** Signs in with a session cookie. */
export async function signIn(email: string, password: string): Promise<SignedIn> {
  const refused = (message: string): SignedIn => ({ ok: false, message });
  const response = await fetch('/api/auth/sign-in/email', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  }).catch(() => null);
  if (response === null || response.status >= 500)
    return refused('The server cannot be reached. Try again in a moment.');
  if (response.status === 429)
    return refused(
      `Too many tries. Wait ${waitInWords(response.headers.get('retry-after'))}, then try again.`,
    );
  const answer = answerSchema.safeParse(await response.json().catch(() => null));
  return response.ok && answer.success
    ? { ok: true, person: answer.data.user.id }
    : refused('E-mail and password do not belong together.');
}
