import { z } from 'zod';
import { api } from '@/api/contract';
import type { Operation } from '@/api/operation';

const jsonSchema = (schema: z.ZodType): unknown => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' });
  return rest;
};

const parameters = (schema: z.ZodObject | undefined, where: 'path' | 'query'): unknown[] =>
  Object.entries(schema?.shape ?? {}).map(([name, part]) => ({
    name,
    in: where,
    required: where === 'path',
    schema: jsonSchema(part as z.ZodType),
  }));

const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});

function pathItem(operation: Operation): unknown {
  const status = operation.status ?? 200;
  return {
    operationId: operation.id,
    summary: operation.summary,
    tags: [operation.tag],
    parameters: [...parameters(operation.params, 'path'), ...parameters(operation.query, 'query')],
    ...(operation.body
      ? {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: jsonSchema(operation.body) } },
          },
        }
      : {}),
    responses: {
      [status]:
        status === 204
          ? { description: 'Done' }
          : { description: 'The answer', content: { [operation.produces ?? 'application/json']: {} } },
      401: problem('Not signed in'),
      ...(operation.roles ? { 403: problem('Not allowed for this role') } : {}),
      ...(operation.params ? { 404: problem('Not found in this clinic') } : {}),
      ...(operation.id === 'saveStep' ? { 409: problem('Somebody else saved first') } : {}),
      ...(operation.body
        ? { 413: problem('Body over its limit'), 422: problem('Values that cannot be accepted, a path each') }
        : {}),
    },
  };
}

/** The OpenAPI 3.1 document, derived from the same schemas that validate. */
export function openApi(origin: string): unknown {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const operation of Object.values(api)) {
    paths[operation.path] ??= {};
    paths[operation.path]![operation.method.toLowerCase()] = pathItem(operation as unknown as Operation);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Sovet',
      version: '1',
      description:
        'Footwear prescription: calculations and records. Decision support for licensed practitioners; not a diagnosis.',
    },
    servers: [{ url: `${origin}/api/v1` }],
    security: [{ token: [] }, { session: [] }],
    paths,
    components: {
      securitySchemes: {
        token: { type: 'http', scheme: 'bearer', description: 'Personal access token, made in Settings' },
        session: { type: 'apiKey', in: 'cookie', name: 'sovet.session_token' },
      },
      schemas: {
        Problem: {
          type: 'object',
          description: 'RFC 9457 problem details',
          required: ['type', 'title', 'status'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            errors: {
              type: 'array',
              items: {
                type: 'object',
                required: ['path', 'message'],
                properties: {
                  path: { type: 'array', items: { type: ['string', 'integer'] } },
                  message: { type: 'string' },
                },
              },
            },
            current: {},
          },
        },
      },
    },
  };
}
