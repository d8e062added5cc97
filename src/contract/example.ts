import { ZodNumber, type z } from 'zod';

/** The parts of a schema that an example is made from. */
interface Definition {
  type: string;
  innerType?: z.ZodType;
  element?: z.ZodType;
  options?: readonly z.ZodType[];
  entries?: Readonly<Record<string, string | number>>;
  values?: readonly unknown[];
  shape?: Readonly<Record<string, z.ZodType>>;
  items?: readonly z.ZodType[];
  keyType?: z.ZodType;
  valueType?: z.ZodType;
  getter?: () => z.ZodType;
  in?: z.ZodType;
  format?: string;
}

// Zod publishes these definitions for tools that walk schemas; their union is wider than what is needed here.
const definitionOf = (schema: z.ZodType): Definition => schema._zod.def as unknown as Definition;

const isOptional = (schema: z.ZodType): boolean => definitionOf(schema).type === 'optional';

function numberFor(schema: z.ZodType): number {
  const { minValue, maxValue } = schema instanceof ZodNumber ? schema : { minValue: null, maxValue: null };
  return Math.min(Math.max(1, minValue ?? 1), maxValue ?? Number.POSITIVE_INFINITY);
}

/** Examples of texts that have a format of their own. */
const OF_FORMAT: Readonly<Record<string, string>> = {
  uuid: '3f0c9a52-6a1e-4f0b-9a53-0d5a7b1f2c11',
  date: '2031-06-15',
  datetime: '2031-06-15T09:40:00Z',
};

/**
 * A value that a schema accepts, as an example: texts from their own `example`, the first option of a choice, one entry
 * of a list. Optional parts are left out, so that a recursive schema comes to an end.
 *
 * @example exampleOf(z.object({ on: daySchema, falls: z.int() })) // { on: '2031-06-15', falls: 1 }
 */
export function exampleOf(schema: z.ZodType): unknown {
  const stated: unknown = schema.meta()?.example;
  if (stated !== undefined) return stated;
  const definition = definitionOf(schema);
  switch (definition.type) {
    case 'object':
      return Object.fromEntries(
        Object.entries(definition.shape ?? {})
          .filter(([, part]) => !isOptional(part))
          .map(([name, part]) => [name, exampleOf(part)]),
      );
    case 'array':
      return definition.element ? [exampleOf(definition.element)] : [];
    case 'tuple':
      return (definition.items ?? []).map(exampleOf);
    case 'record':
      return exampleOfRecord(definition);
    case 'union':
      return exampleOf(lastOf(definition.options));
    case 'enum':
      return Object.values(definition.entries ?? {})[0];
    case 'literal':
      return definition.values?.[0];
    case 'lazy':
      return definition.getter ? exampleOf(definition.getter()) : null;
    case 'nullable':
    case 'optional':
    case 'readonly':
    case 'default':
    case 'prefault':
      return definition.innerType ? exampleOf(definition.innerType) : null;
    case 'pipe':
      return definition.in ? exampleOf(definition.in) : null;
    case 'number':
    case 'int':
      return numberFor(schema);
    case 'boolean':
      return true;
    case 'string':
      return OF_FORMAT[definition.format ?? ''] ?? 'text';
    default:
      return null;
  }
}

/** The last alternative: in recursive unions of this contract the plain one stands last. */
function lastOf(options: readonly z.ZodType[] = []): z.ZodType {
  const last = options.at(-1);
  if (!last) throw new Error('A union without alternatives has no example.');
  return last;
}

/** One entry of a table; a table that need not be complete stays empty where its values are optional. */
function exampleOfRecord({ keyType, valueType }: Definition): unknown {
  if (!keyType || !valueType || isOptional(valueType)) return {};
  // A record of known keys has each of them.
  const keys = keyType._zod.values ?? [exampleOf(keyType)];
  return Object.fromEntries([...keys].map((key) => [String(key), exampleOf(valueType)]));
}
