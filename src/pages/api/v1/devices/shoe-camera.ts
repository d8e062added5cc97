import { api } from '@/contract/contract';
import { fileResponse, heavy } from '@/server/heavy/heavy';
import { endpointWithoutRecords } from '@/server/http/endpoint';

export const GET = endpointWithoutRecords(api.shoeCamera, async ({ query }) =>
  fileResponse(await heavy('shoeCamera', query)),
);
