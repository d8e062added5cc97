import type { APIRoute } from 'astro';
import { expectedOrigin } from '@/server/http/endpoint';
import { openApi } from '@/server/http/openapi';

export const GET: APIRoute = ({ url }) => Response.json(openApi(expectedOrigin(url)));
