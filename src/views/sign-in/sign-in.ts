/** Signs in with a session cookie. Returns null when it worked, else one sentence. */
export async function signIn(email: string, password: string): Promise<string | null> {
  const response = await fetch('/api/auth/sign-in/email', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  }).catch(() => null);
  if (response === null) return 'The server cannot be reached. Try again in a moment.';
  if (response.ok) return null;
  if (response.status === 429) return 'Too many tries. Wait a minute, then try again.';
  return 'E-mail and password do not belong together.';
}
