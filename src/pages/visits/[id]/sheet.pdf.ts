import type { APIRoute } from 'astro';
import { fileResponse, heavy } from '@/server/heavy/heavy';
import { failed } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';
import { readSheet } from '@/server/services/visits/sheets';

export const GET: APIRoute = async ({ params, locals, url }) => {
  try {
    const sheet = await readSheet(locals.actor, params.id ?? '', url.searchParams.get('pair'));
    if (!sheet) return problemResponse(404, 'This sheet was not found.');
    return fileResponse(await heavy('sheetPdf', sheet), 'inline');
  } catch (error) {
    return failed(error);
  }
};
