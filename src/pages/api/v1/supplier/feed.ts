import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { answerSupplier, readSupplierFeed } from '@/server/services/shoes/supplier';

export const GET = endpoint(api.supplierFeed, (tenant) => readSupplierFeed(tenant));
export const POST = endpoint(api.answerSupplier, (tenant, { body }) => answerSupplier(tenant, body));
