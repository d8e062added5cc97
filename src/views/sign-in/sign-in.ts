/** Who signed in, or one sentence that says why not; `second`: the password was right and a second factor is asked for. */
export type SignedIn = { ok: true; person: string } | { ok: false; second: boolean; message: string };

/** What sign-in answers, read by hand: the first page carries no library for it. */
interface Said {
  person: string | null;
  asksForSecond: boolean;
}

async function read(response: Response): Promise<Said> {
  const said: unknown = await response.json().catch(() => null);
  if (!response.ok || typeof said !== 'object' || said === null)
    return { person: null, asksForSecond: false };
  const user = 'user' in said && typeof said.user === 'object' ? said.user : null;
  return {
    person: user && 'id' in user && typeof user.id === 'string' ? user.id : null,
    asksForSecond: 'twoFactorRedirect' in said && said.twoFactorRedirect === true,
  };
}

const refused = (message: string, second = false): SignedIn => ({ ok: false, second, message });

/** `a moment`, `40 seconds`, `5 minutes`: how long one is asked to wait. */
function waitInWords(header: string | null): string {
  const seconds = Number(header);
  if (!(seconds > 1)) return 'a moment';
  return seconds < 90 ? `${Math.ceil(seconds)} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}

async function post(path: string, body: object): Promise<Response | SignedIn> {
  const response = await fetch(`/api/auth${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response === null || response.status >= 500)
    return refused('The server cannot be reached. Try again in a moment.');
  if (response.status === 429)
    return refused(
      `Too many tries. Wait ${waitInWords(response.headers.get('retry-after'))}, then try again.`,
    );
  return response;
}

/** Signs in with a session cookie. */
export async function signIn(email: string, password: string): Promise<SignedIn> {
  const response = await post('/sign-in/email', { email, password });
  if (!(response instanceof Response)) return response;
  const { person, asksForSecond } = await read(response);
  if (asksForSecond) return refused('Type the code of your second factor.', true);
  return person === null ? refused('E-mail or password is not right.') : { ok: true, person };
}

/** The second step: six digits of the moment, or one of the codes for a lost device. */
export async function signInSecond(code: string): Promise<SignedIn> {
  const typed = code.replace(/\s/g, '');
  const isOfTheMoment = /^\d{6}$/.test(typed);
  const response = await post(isOfTheMoment ? '/two-factor/verify-totp' : '/two-factor/verify-backup-code', {
    code: typed,
  });
  if (!(response instanceof Response)) return response.ok ? response : { ...response, second: true };
  const { person } = await read(response);
  return person === null ? refused('This code is wrong or has expired.', true) : { ok: true, person };
}
