import { sql } from 'kysely';
import Papa from 'papaparse';
import type { InsightQuery } from '@/contract/insights';
import { daysBetween } from '@/core/calendar/days';
import { groupingOf, OVERLAPS } from '@/core/insights/group-by';
import { type Insights, insightsOf, type PairFate } from '@/core/insights/what-became';
import type { SchoolChoice } from '@/core/knowledge/schools';
import { audit, type Tenant } from '../../database/tenant';
import { today } from '../clock';

/** Groups of fewer pairs are not shown unless somebody asks for less. Ours. */
export const LEAST_PAIRS = 5;

/** What became of every pair of the clinic, without a name. */
export async function readInsights(
  tenant: Tenant,
  { by = 'use', feature = 'drop', least }: InsightQuery,
): Promise<Insights> {
  const { tx } = tenant;
  const rows = await tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin('hand_over', (join) =>
      join.onRef('hand_over.pair_id', '=', 'pair.id').onRef('hand_over.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['pair.id', 'started_on', 'ended_on', 'ended_because', 'maker', 'name', 'features', 'choices'])
    .select(sql<SchoolChoice | null>`result->>'school'`.as('school'))
    .execute();
  const outcomes = await tx
    .selectFrom('outcome')
    .select(['pair_id', 'taken_on', 'measures'])
    .orderBy('taken_on')
    .execute();
  const byPair = new Map<string, PairFate['outcomes'][number][]>();
  for (const { pair_id, taken_on, measures } of outcomes) {
    const taken = byPair.get(pair_id) ?? [];
    taken.push({ on: taken_on, ...measures });
    byPair.set(pair_id, taken);
  }
  const now = today();
  const groupsOf = groupingOf(by, feature, rows);
  const fates = rows.flatMap((row): PairFate[] => {
    const taken = byPair.get(row.id) ?? [];
    const heard = taken.at(-1)?.on ?? row.started_on;
    const fate = {
      days: Math.max(0, daysBetween(row.started_on, row.ended_on ?? now)),
      because: row.ended_on === null ? null : (row.ended_because ?? 'other'),
      outcomes: taken,
      silentDays: Math.max(0, daysBetween(heard, now)),
    };
    return groupsOf(row).map((group) => ({ group, ...fate }));
  });
  await audit(tenant, 'read', 'insights', null);
  return insightsOf(fates, least ?? LEAST_PAIRS, !OVERLAPS.has(by));
}

/** The same as a table, a line for each group. */
export async function insightsAsCsv(tenant: Tenant, query: InsightQuery): Promise<Response> {
  const { groups } = await readInsights(tenant, query);
  const csv = Papa.unparse(
    groups.map(({ group, pairs, wornOut, medianDays, hurt, better, worse, unheard }) => ({
      group,
      pairs,
      worn_out: wornOut,
      median_days: medianDays ?? '',
      hurt: hurt.count,
      retired: hurt.of,
      hurt_from: hurt.from.toFixed(4),
      hurt_to: hurt.to.toFixed(4),
      comfort_better: better.count,
      comfort_worse: worse.count,
      comfort_asked_twice: better.of,
      unheard: unheard.count,
      worn: unheard.of,
    })),
    { newline: '\n', escapeFormulae: true },
  );
  return new Response(csv, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="insights.csv"',
      'cache-control': 'no-store',
    },
  });
}
