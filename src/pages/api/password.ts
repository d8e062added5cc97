import { passwordChangeSchema } from '@/contract/people-schema';
import { changePassword } from '@/server/auth/change-password';
import { openEndpoint } from '@/server/http/open-endpoint';

export const POST = openEndpoint(passwordChangeSchema, changePassword);
