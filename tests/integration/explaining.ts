import pg from 'pg';
import { z } from 'zod';

/** Tables that stay small however large the service grows: clinics, and what the database keeps of itself. */
const SMALL = /^(?:clinic|kysely_migration.*|pg_.*)$/;

interface Node {
  'Node Type': string;
  'Relation Name'?: string | undefined;
  'Index Cond'?: string | undefined;
  Plans?: Node[] | undefined;
}
const node: z.ZodType<Node> = z.lazy(() =>
  z.object({
    'Node Type': z.string(),
    'Relation Name': z.string().optional(),
    'Index Cond': z.string().optional(),
    Plans: z.array(node).optional(),
  }),
);
const explained = z.array(z.object({ 'QUERY PLAN': z.array(z.object({ Plan: node })) })).length(1);

/** Every node of the plans that `explain (format json)` answered. */
export const plannedIn = (rows: unknown): Node[] =>
  explained.parse(rows)[0]!['QUERY PLAN'].flatMap(({ Plan }) => nodesOf(Plan));

const nodesOf = (plan: Node): Node[] => [plan, ...(plan.Plans ?? []).flatMap(nodesOf)];
/** A table read from end to end: in its own order, or in that of an index nothing is looked up in. */
export const readsWhole = (plan: Node): boolean =>
  plan['Relation Name'] !== undefined &&
  !SMALL.test(plan['Relation Name']) &&
  (plan['Node Type'] === 'Seq Scan' ||
    (/^Index (Only )?Scan$/.test(plan['Node Type']) && plan['Index Cond'] === undefined));

const EXPLAINED = /^\s*(?:select|with|update|delete|insert)\b/i;
const seen = new Set<string>();
const found: { table: string; statement: string }[] = [];
/** Statements that read a table from end to end are forgotten once they were said. */
export const wholeTables = (): { table: string; statement: string }[] => found.splice(0);

/** @throws where a statement of the application has read a table from end to end: it needs an index */
export function refuseWholeTables(): void {
  const lines = wholeTables().map(({ table, statement }) => `${table}: ${statement}`);
  if (lines.length > 0) throw new Error(`Read from end to end:\n${lines.join('\n')}`);
}

/** A statement with its values, alone or under the name of its plan; null for what only a driver asks. */
function askedIn(given: unknown[]): { text: string; values: unknown[] } | null {
  const [first, second] = given;
  if (given.length === 2) return statement.safeParse({ text: first, values: second }).data ?? null;
  return given.length === 1 ? (statement.safeParse(first).data ?? null) : null;
}
const statement = z.object({ text: z.string(), values: z.array(z.unknown()) });

/**
 * From here on every statement that the application sends for the first time is explained before it runs, with whole tables made as
 * expensive as they are in a large database: the planner then reads one only where no index serves.
 */
export function explainEverything(): void {
  const original: (text: string, values?: unknown[]) => Promise<pg.QueryResult> = pg.Client.prototype.query;
  const explain = async (client: pg.Client, text: string, values: unknown[] | undefined): Promise<void> => {
    const ask = (statement: string, given?: unknown[]) => original.call(client, statement, given);
    await ask('set local enable_seqscan = off');
    const { rows } = await ask(`explain (format json, costs off) ${text}`, values);
    await ask('set local enable_seqscan = on');
    for (const plan of plannedIn(rows).filter(readsWhole))
      found.push({ table: plan['Relation Name']!, statement: text });
  };
  pg.Client.prototype.query = function query(this: pg.Client, ...given: unknown[]) {
    const asked = askedIn(given);
    const isOwn = asked !== null && this.user?.endsWith('_app_login') === true && EXPLAINED.test(asked.text);
    if (!isOwn || seen.has(asked.text)) return Reflect.apply(original, this, given);
    seen.add(asked.text);
    return explain(this, asked.text, asked.values).then(() => Reflect.apply(original, this, given));
  } as typeof pg.Client.prototype.query;
}
