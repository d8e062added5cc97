import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { previewHouseRules } from '@/server/preview/preview-house-rules';

export const POST = endpoint(api.previewHouseRules, ({ actor }, { body }) => previewHouseRules(actor, body));
