import { createHash } from 'node:crypto';
import { authDatabase } from '../database/connection';

const WINDOW_SECONDS = 60;
const MOST = 20;

/**
 * Counts a try from an address; true when there were too many within a minute. Every copy of the application counts in the
 * database, so that more copies are not more tries. The address is kept as a digest.
 */
export async function tooManyFrom(address: string): Promise<boolean> {
  const { rows } = await authDatabase().query<{ attempts: number }>(
    `insert into auth.sign_in_guard as guard (key, attempts, blocked_until)
       values ($1, 1, now() + make_interval(secs => $2))
     on conflict (key) do update set last_at = now(),
       attempts = case when guard.blocked_until <= now() then 1 else guard.attempts + 1 end,
       blocked_until = case when guard.blocked_until <= now() then excluded.blocked_until else guard.blocked_until end
     returning attempts`,
    [createHash('sha256').update(`open ${address}`).digest('hex'), WINDOW_SECONDS],
  );
  return (rows[0]?.attempts ?? 1) > MOST;
}
