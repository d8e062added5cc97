import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { answerSupplier, readSupplierFeed } from '@/server/services/supplier';

export const GET = endpoint(api.supplierFeed, (tenant) => readSupplierFeed(tenant));
export const POST = endpoint(api.answerSupplier, (tenant, { body }) => answerSupplier(tenant, body));
