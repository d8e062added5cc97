import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { recordedStep } from '@/server/services/visits/devices';

export const GET = endpoint(api.pressurePlate, async (_, { query }) => recordedStep(query));
