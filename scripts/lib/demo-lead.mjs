// Signs the lead of the demo clinic in, for scripts that work on an installation of their own.
/** The cookie of the demo clinic's lead at an application. */
export async function demoLead(origin) {
  const answer = await fetch(`${origin}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin },
    body: JSON.stringify({ email: 'lead@harbour.example', password: 'low-tide-lantern' }),
  });
  return answer.headers
    .getSetCookie()
    .map((entry) => entry.split(';')[0])
    .join('; ');
}
