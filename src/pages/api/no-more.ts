import { openEndpoint } from '@/server/http/open-endpoint';
import { optOut, optOutSchema } from '@/server/services/recall/opt-out';

export const POST = openEndpoint(optOutSchema, optOut);
