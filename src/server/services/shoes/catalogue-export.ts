import { COLUMNS } from '@/formats/catalogue/columns';
import { writeCatalogueJson } from '@/formats/catalogue/json';
import { writeCatalogueCsv } from '@/formats/catalogue/write-csv';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { catalogueEntries } from './models';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const;

/** The catalogue as a file that the import reads back. A mark at its head tells spreadsheets that it is UTF-8. */
export async function exportCatalogue(tenant: Tenant, format: 'csv' | 'json'): Promise<Response> {
  const entries = await catalogueEntries(tenant);
  const body = format === 'csv' ? `\uFEFF${writeCatalogueCsv(entries)}` : writeCatalogueJson(entries);
  return new Response(body, {
    headers: {
      'content-type': TYPES[format],
      'content-disposition': `attachment; filename="catalogue-${today()}.${format}"`,
      'cache-control': 'no-store',
    },
  });
}

/** The columns that an import reads, for people. */
export const catalogueColumns = (): { name: string; required: boolean; about: string }[] =>
  COLUMNS.map(({ name, required, about }) => ({ name, required, about }));
