import type { APIRoute } from 'astro';
import { problemResponse } from '@/server/http/problem';

export const ALL: APIRoute = () => problemResponse(404, 'There is no such call in this API.');
