import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { recordedStep } from '@/server/services/devices';

export const GET = endpoint(api.pressurePlate, async (_, { query }) => recordedStep(query));
