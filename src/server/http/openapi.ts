import { z } from 'zod';
import * as calculations from '@/contract/answers/calculations';
import * as records from '@/contract/answers/records';
import * as shoes from '@/contract/answers/shoes';
import * as specifications from '@/contract/answers/specification';
import { api } from '@/contract/contract';
import { exampleOf } from '@/contract/example';
import { CODE_OF_STATUS, type Operation } from '@/contract/operation';
import { EVERYONE } from '@/contract/routes';

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output' = 'input'): unknown => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  return rest;
};

/** A schema under a name of the document: one that holds itself then points into the document and not out of it. */
function underName(name: string, schema: z.ZodType, io: 'input' | 'output'): [string, unknown] {
  const text = JSON.stringify(jsonSchema(schema, io));
  return [name, JSON.parse(text.replaceAll('"#/$defs/', `"#/components/schemas/${name}/$defs/`))];
}

const bodyName = ({ id }: Operation): string => `${id}Body`;
const answerName = ({ id }: Operation): string => `${id}Answer`;

const parameters = (schema: z.ZodObject | undefined, where: 'path' | 'query'): unknown[] =>
  Object.entries<z.ZodType>(schema?.shape ?? {}).map(([name, part]) => ({
    name,
    in: where,
    required: where === 'path',
    schema: jsonSchema(part),
  }));

const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});

/** Answers by name: each schema stands once in the document, and operations refer to it. */
const ANSWERS = { ...records, ...specifications, ...shoes, ...calculations };

const registry = z.registry<{ id: string }>();
for (const [name, schema] of Object.entries(ANSWERS))
  registry.add(schema, { id: name.replace(/(Schema|Answer)$/, '') });

function answerSchemas(): Record<string, unknown> {
  const { schemas } = z.toJSONSchema(registry, {
    io: 'output',
    unrepresentable: 'any',
    uri: (id) => `#/components/schemas/${id}`,
  });
  // Schemas that hold themselves are kept apart under a name with a “#” of its own; a pointer has only one.
  return JSON.parse(JSON.stringify(schemas).replaceAll('/__shared#/', '/__shared/'));
}

/** A reference where the answer has a name, an array of references, or null where it has none. */
function answerReference(answer: z.ZodType): unknown {
  const named = registry.get(answer);
  if (named) return { $ref: `#/components/schemas/${named.id}` };
  const items = answer instanceof z.ZodArray ? answerReference(answer.element as z.ZodType) : null;
  return items && { type: 'array', items };
}

function answerBody(operation: Operation): unknown {
  const { answer, produces } = operation;
  if (!answer) return { [produces ?? 'application/json']: {} };
  const schema = answerReference(answer) ?? { $ref: `#/components/schemas/${answerName(operation)}` };
  return { 'application/json': { schema, example: exampleOf(answer) } };
}

/** What bodies and answers hold that the answers' own table does not name. */
const schemasOf = (operations: readonly Operation[]): Record<string, unknown> =>
  Object.fromEntries(
    operations.flatMap((operation) => {
      const { body, answer } = operation;
      return [
        ...(body ? [underName(bodyName(operation), body, 'input')] : []),
        ...(answer && !answerReference(answer) ? [underName(answerName(operation), answer, 'output')] : []),
      ];
    }),
  );

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
            content: {
              'application/json': { schema: { $ref: `#/components/schemas/${bodyName(operation)}` } },
            },
          },
        }
      : {}),
    responses: {
      [status]:
        status === 204
          ? { description: 'Done' }
          : { description: 'The answer', content: answerBody(operation) },
      401: problem('Not signed in'),
      ...(operation.roles.length < EVERYONE.length ? { 403: problem('Not allowed for this role') } : {}),
      ...(operation.params ? { 404: problem('Not found in this clinic') } : {}),
      ...(operation.conflict ? { 409: problem('Somebody else saved first: `current` is what stands') } : {}),
      ...(operation.body
        ? { 413: problem('Body over its limit'), 422: problem('Values that cannot be accepted, a path each') }
        : {}),
    },
  };
}

/** The OpenAPI 3.1 document, derived from the same schemas that validate. */
export function openApi(origin: string): unknown {
  const paths: Record<string, Record<string, unknown>> = {};
  const operations: Operation[] = Object.values(api);
  for (const operation of operations)
    paths[operation.path] = {
      ...paths[operation.path],
      [operation.method.toLowerCase()]: pathItem(operation),
    };
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
        ...answerSchemas(),
        ...schemasOf(operations),
        Problem: {
          type: 'object',
          description: 'RFC 9457 problem details',
          required: ['type', 'title', 'status', 'code'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            code: { enum: [...new Set([...Object.values(CODE_OF_STATUS), 'failed'])] },
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
