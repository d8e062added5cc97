import { auth } from '@/server/auth/auth';
import type { Refusal } from '@/server/http/problem';
import { PASSWORD } from './database';

/** The cookie of somebody who has signed in, as a browser sends it. */
export async function cookieOf(email: string, password = PASSWORD): Promise<Headers> {
  const { headers } = await auth().api.signInEmail({
    body: { email, password },
    headers: new Headers({ origin: 'http://clinic.test' }),
    returnHeaders: true,
  });
  return new Headers({
    cookie: headers
      .getSetCookie()
      .map((entry) => entry.split(';')[0])
      .join('; '),
  });
}

/** How some work was refused; it is a failure if it was not. */
export const refusal = (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error('was not refused');
    },
    (error) => error,
  );
