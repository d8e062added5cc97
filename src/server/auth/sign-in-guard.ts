import { createHash, randomBytes } from 'node:crypto';
import { authDatabase } from '../database/connection';

/** Tries at one account that nothing slows down; each further one doubles the wait. */
const FREE_TRIES = 5;
const LONGEST_WAIT_SECONDS = 900;
/** After so long without a try an account begins anew. */
const FORGOTTEN_AFTER_SECONDS = 900;
/** Tries from a browser that somebody has signed in from before: a stolen one must not guess for ever either. */
const DEVICE_TRIES = 10;

const DEVICE_COOKIE = 'sovet.device';
const DEVICE_DAYS = 180;

const digest = (text: string): string => createHash('sha256').update(text).digest('hex');

/** The account as it is counted: a digest, so that no address stands in the table, whether anybody has it or not. */
const accountKey = (email: string): string => digest(`account ${email.trim().toLowerCase()}`);

function deviceIn(headers: Headers): string | null {
  const value = new RegExp(`(?:^|;\\s*)${DEVICE_COOKIE.replace('.', '\\.')}=([\\w-]{20,80})`).exec(
    headers.get('cookie') ?? '',
  )?.[1];
  return value ?? null;
}

/** Whether this browser has been signed in from by whoever has the address. */
async function isKnownDevice(headers: Headers, email: string): Promise<string | null> {
  const device = deviceIn(headers);
  if (!device) return null;
  const { rowCount } = await authDatabase().query(
    `select 1 from auth.known_device d join auth."user" u on u.id = d."userId"
     where d.hash = $1 and lower(u.email) = lower($2) and d.last_used_at > now() - make_interval(days => $3)`,
    [digest(device), email.trim(), DEVICE_DAYS],
  );
  return rowCount === 1 ? digest(device) : null;
}

/** What a try may do: go on to the password, or wait so many seconds. */
export type Admission = { admitted: true; key: string } | { admitted: false; waitSeconds: number };

/**
 * Counts one try before the password is looked at, so that a hundred at once are a hundred. Tries from elsewhere slow
 * down for the account as a whole, whatever addresses they come from; a known device has a count of its own and is not
 * locked out by them.
 */
export async function admitSignIn(headers: Headers, email: string): Promise<Admission> {
  const device = await isKnownDevice(headers, email);
  const key = device ? `device ${device}` : accountKey(email);
  const free = device ? DEVICE_TRIES : FREE_TRIES;
  const { rowCount } = await authDatabase().query(
    `insert into auth.sign_in_guard as guard (key, attempts) values ($1, 1)
     on conflict (key) do update set
       attempts = case when guard.last_at < now() - make_interval(secs => $3) then 1 else guard.attempts + 1 end,
       last_at = now(),
       blocked_until = case
         when guard.last_at < now() - make_interval(secs => $3) or guard.attempts + 1 < $2 then now()
         else now() + make_interval(secs => least($4, power(2, guard.attempts + 1 - $2))) end
     where guard.blocked_until <= now()`,
    [key, free, FORGOTTEN_AFTER_SECONDS, LONGEST_WAIT_SECONDS],
  );
  if (rowCount === 1) return { admitted: true, key };
  const { rows } = await authDatabase().query<{ wait: number }>(
    'select ceil(extract(epoch from blocked_until - now()))::int as wait from auth.sign_in_guard where key = $1',
    [key],
  );
  return { admitted: false, waitSeconds: Math.max(1, rows[0]?.wait ?? 1) };
}

/** The right password was typed: the count begins anew. */
export async function forgetTries(key: string): Promise<void> {
  await authDatabase().query('delete from auth.sign_in_guard where key = $1', [key]);
}

/** Notes a sign-in that is complete: the browser is known from now on. Answers its cookie. */
export async function noteSignIn(headers: Headers, email: string, secure: boolean): Promise<string> {
  const device = deviceIn(headers) ?? randomBytes(24).toString('base64url');
  await authDatabase().query(
    `insert into auth.known_device as known (hash, "userId") select $1, id from auth."user" where lower(email) = lower($2)
     on conflict (hash) do update set "userId" = excluded."userId", clinic_id = excluded.clinic_id, last_used_at = now()`,
    [digest(device), email.trim()],
  );
  return `${DEVICE_COOKIE}=${device}; Path=/; Max-Age=${DEVICE_DAYS * 86_400}; HttpOnly; SameSite=Lax${secure ? '; Secure' : ''}`;
}

/** Notes in the trail of whoever has the address that somebody signed in, or was not let in. */
export async function noteInTrail(email: string, action: 'sign-in' | 'refused', what: string): Promise<void> {
  await authDatabase().query(
    `insert into public.audit_entry (clinic_id, user_id, who, action, what)
     select clinic_id, id, name, $2, $3 from auth."user" where lower(email) = lower($1)`,
    [email.trim(), action, what],
  );
}
