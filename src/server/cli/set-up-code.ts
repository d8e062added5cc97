import { randomInt } from 'node:crypto';
import pg from 'pg';
import { setUpDigest } from '../auth/set-up';

const LIVES_HOURS = 24;
/** Letters and digits that nobody mistakes for another. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

/**
 * A fresh code for the first start where nobody can sign in yet, else null. Only its digest is kept; an earlier one no
 * longer counts.
 */
export async function freshSetUpCode(authUrl: string): Promise<string | null> {
  const client = new pg.Client({ connectionString: authUrl });
  await client.connect();
  try {
    const { rows } = await client.query<{ known: boolean }>(
      'select exists (select from auth."user") as known',
    );
    await client.query('delete from auth.set_up');
    if (rows[0]?.known) return null;
    const letters = Array.from({ length: 12 }, () => LETTERS[randomInt(LETTERS.length)]);
    const code = [0, 4, 8].map((at) => letters.slice(at, at + 4).join('')).join('-');
    await client.query('insert into auth.set_up values ($1, now() + make_interval(hours => $2))', [
      setUpDigest(code),
      LIVES_HOURS,
    ]);
    return code;
  } finally {
    await client.end();
  }
}
