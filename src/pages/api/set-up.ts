import { setUpSchema } from '@/contract/people-schema';
import { setUp } from '@/server/auth/set-up';
import { openEndpoint } from '@/server/http/open-endpoint';

export const POST = openEndpoint(setUpSchema, async (wanted) => {
  await setUp(wanted);
  return { email: wanted.email };
});
