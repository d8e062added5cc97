import { randomUUID } from 'node:crypto';
import { type APIRequestContext, expect, request as newRequest } from '@playwright/test';
import { sql } from 'kysely';
import { addStaff } from '@/server/cli/add-staff';
import { kyselyOn } from '@/server/database/connection';

const PASSWORD = 'another shore entirely';

/** A second clinic on the same server, and its lead signed in. */
export async function secondClinic(
  databaseUrl: string,
  origin: string,
): Promise<{ api: APIRequestContext; email: string; password: string }> {
  const database = kyselyOn(databaseUrl, 1);
  const id = randomUUID();
  const email = `lead@${id.slice(0, 8)}.example`;
  await database.transaction().execute(async (tx) => {
    await sql`select set_config('sovet.clinic', ${id}, true)`.execute(tx);
    await tx.insertInto('clinic').values({ clinic_id: id, name: 'Far Shore', place: 'Elsewhere' }).execute();
    await addStaff(tx, id, [{ name: 'Far Lead', email, role: 'lead' }], PASSWORD);
  });
  await database.destroy();
  const api = await newRequest.newContext({ baseURL: origin, extraHTTPHeaders: { origin } });
  const signedIn = await api.post('/api/auth/sign-in/email', { data: { email, password: PASSWORD } });
  expect(signedIn.status()).toBe(200);
  return { api, email, password: PASSWORD };
}
