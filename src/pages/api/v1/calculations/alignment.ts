import { api } from '@/contract/contract';
import { shankAlignment } from '@/core/prosthesis/shank-alignment';
import { endpoint } from '@/server/http/endpoint';
import { valueOrRefusal } from '@/server/http/problem';
import { houseSettingsOf } from '@/server/services/pairs/house-settings';

export const POST = endpoint(api.alignment, async (tenant, { body }) =>
  valueOrRefusal(shankAlignment(body, (await houseSettingsOf(tenant)).prosthesis)),
);
