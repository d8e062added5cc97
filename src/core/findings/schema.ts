import { z } from 'zod';
import { keySchema } from '../tables/key-schema';
import type { FindingDefinition } from './finding-kinds';
import { definitionOf, FINDING_IDS, isFindingId } from './findings';
import { type Findings, PLACES } from './picture';
import { INSTRUMENTS } from './taken';

function valueSchema(definition: FindingDefinition): z.ZodType {
  switch (definition.kind) {
    case 'number': {
      const [lowest, highest] = definition.possible;
      const range = `${definition.label} lies between ${lowest} and ${highest} ${definition.unit}.`;
      const base = definition.whole ? z.int() : z.number();
      return base.min(lowest, range).max(highest, range);
    }
    case 'choice':
      return keySchema(definition.options);
    case 'set': {
      const option = keySchema(definition.options);
      return z.array(option).max(option.options.length);
    }
    case 'text':
      return z.string().max(definition.longest);
  }
}

const part = (scope: 'body' | 'foot') =>
  z.strictObject(
    Object.fromEntries(
      FINDING_IDS.filter((id) => definitionOf(id).scope === scope).map((id) => [
        id,
        valueSchema(definitionOf(id)).describe(definitionOf(id).label).optional(),
      ]),
    ),
  );

const takenSchema = z.strictObject({
  at: z.iso.datetime('A moment is written as 2030-01-31T09:30:00Z.'),
  by: z.string().max(120),
  with: keySchema(INSTRUMENTS),
  method: z.string().max(200).optional(),
});

const takenKey = z.string().refine((key) => {
  const [place, id, ...rest] = key.split('.');
  if (rest.length > 0 || !isFindingId(id ?? '')) return false;
  return PLACES.some((one) => one === place);
}, 'Name a place and a finding, such as left.footLength.');

/** Findings as they cross a boundary: absent keys are “not examined”, unknown keys are refused. */
export const findingsSchema = z.strictObject({
  body: part('body').optional(),
  left: part('foot').optional(),
  right: part('foot').optional(),
  taken: z.record(takenKey, takenSchema).optional(),
}) as unknown as z.ZodType<Findings>;
