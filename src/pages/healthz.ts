import type { APIRoute } from 'astro';

/** Alive: this process answers. Whether it can work is asked of /readyz. */
export const GET: APIRoute = () => new Response('ok', { headers: { 'cache-control': 'no-store' } });
