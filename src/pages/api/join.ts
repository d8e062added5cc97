import { joinSchema } from '@/contract/people-schema';
import { join } from '@/server/auth/join';
import { openEndpoint } from '@/server/http/open-endpoint';

export const POST = openEndpoint(joinSchema, join);
