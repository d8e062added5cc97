import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { homePictureFile } from '@/server/services/home/reports';

export const GET = endpoint(api.homePicture, (tenant, { params, query }) =>
  homePictureFile(tenant, params.id, query.frame),
);
