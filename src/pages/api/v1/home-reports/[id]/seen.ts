import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { seeReport } from '@/server/services/home/reports';

export const POST = endpoint(api.seeHomeReport, (tenant, { params, body }) =>
  seeReport(tenant, params.id, body),
);
