import { api } from '@/contract/contract';
import { sizeTable } from '@/core/sizing/size-table';
import { endpoint } from '@/server/http/endpoint';
import { valueOrRefusal } from '@/server/http/problem';

export const POST = endpoint(api.sizes, async (_, { body: { footLengthMm, allowanceMm, ...widths } }) =>
  valueOrRefusal(sizeTable(footLengthMm, allowanceMm, widths)),
);
