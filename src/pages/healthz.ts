import type { APIRoute } from 'astro';
import { sql } from 'kysely';
import { appDatabase } from '@/server/database/connection';
import { log } from '@/server/http/log';

/** Alive, and the database answers. */
export const GET: APIRoute = async () => {
  try {
    await sql`select 1`.execute(appDatabase());
    return new Response('ok', { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    log.error({ err: error }, 'health check failed');
    return new Response('the database does not answer', { status: 503 });
  }
};
