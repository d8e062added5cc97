import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { saveSockChart } from '@/server/services/limb/limb';

export const PUT = endpoint(api.saveSockChart, (tenant, { body }) => saveSockChart(tenant, body));
