import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { today } from '@/server/services/clock';
import { keepReview, readReviews } from '@/server/services/visits/reviews';

export const GET = endpoint(api.reviewOfPair, (tenant, { params }) =>
  readReviews(tenant, params.id, today()),
);
export const POST = endpoint(api.keepReview, (tenant, { params, body }) =>
  keepReview(tenant, params.id, body),
);
