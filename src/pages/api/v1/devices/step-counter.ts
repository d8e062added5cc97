import { api } from '@/contract/contract';
import { addDays } from '@/core/calendar/days';
import { endpointWithoutRecords } from '@/server/http/endpoint';
import { today } from '@/server/services/clock';
import { stepFeed } from '@/simulators/step-feed';

export const GET = endpointWithoutRecords(
  api.stepCounter,
  async ({ query }) =>
    new Response(stepFeed(query, addDays(today(), -1)), {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'cache-control': 'no-store' },
    }),
);
