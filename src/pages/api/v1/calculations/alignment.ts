import { api } from '@/contract/contract';
import { shankAlignment } from '@/core/prosthesis/shank-alignment';
import { endpoint } from '@/server/http/endpoint';
import { valueOrRefusal } from '@/server/http/problem';

export const POST = endpoint(api.alignment, async (_, { body }) => valueOrRefusal(shankAlignment(body)));
