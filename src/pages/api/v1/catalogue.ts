import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { exportCatalogue } from '@/server/services/shoes/catalogue-export';
import { importCatalogue } from '@/server/services/shoes/catalogue-import';

export const GET = endpoint(api.exportCatalogue, (tenant, { query }) =>
  exportCatalogue(tenant, query.format),
);
export const POST = endpoint(api.importCatalogue, async ({ actor }, { query, request }) =>
  importCatalogue(actor, request, query.dry === 'yes'),
);
