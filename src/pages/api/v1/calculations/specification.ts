import { api } from '@/api/contract';
import { clinicalPicture } from '@/core/picture/clinical-picture';
import { resolve } from '@/core/prescribe/resolve';
import { endpoint } from '@/server/http/endpoint';

export const POST = endpoint(api.specification, async (_, { body }) =>
  resolve(clinicalPicture(body.findings), {
    ...(body.school ? { school: body.school } : {}),
    setAside: body.setAside ?? [],
  }),
);
