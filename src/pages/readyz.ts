import type { APIRoute } from 'astro';
import { readiness } from '@/server/database/readiness';

/** Ready: the database answers, and its tables are those that this version was written for. */
export const GET: APIRoute = async () => {
  const problem = await readiness();
  return new Response(problem ?? 'ok', {
    status: problem === null ? 200 : 503,
    headers: { 'cache-control': 'no-store', ...(problem === null ? {} : { 'retry-after': '2' }) },
  });
};
