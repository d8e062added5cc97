import type { APIRoute } from 'astro';
import { failed } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';
import { sheetPdf } from '@/server/pdf/sheet-pdf';
import { readSheet } from '@/server/services/visits/sheets';

export const GET: APIRoute = async ({ params, locals, url }) => {
  try {
    const sheet = await readSheet(locals.actor, params.id ?? '', url.searchParams.get('pair'));
    if (!sheet) return problemResponse(404, 'This sheet was not found.');
    return new Response(new Uint8Array(await sheetPdf(sheet)), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'inline; filename="shoe-sheet.pdf"',
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return failed(error);
  }
};
