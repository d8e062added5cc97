import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { addToken, listTokens } from '@/server/services/people/tokens';

export const GET = endpoint(api.tokens, listTokens);
export const POST = endpoint(api.addToken, (tenant, { body }) => addToken(tenant, body));
