import { sql } from 'kysely';
import Papa from 'papaparse';
import type { InsightQuery } from '@/contract/insights';
import type { RuleUse } from '@/contract/records';
import { daysBetween } from '@/core/calendar/days';
import { followedIn, groupingOf, type InsightGroup, OVERLAPS } from '@/core/insights/group-by';
import { type Proposal, proposeChanges } from '@/core/insights/propose-changes';
import { type Insights, insightsOf, type PairFate } from '@/core/insights/what-became';
import { type HouseRules, rulesInForce } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { wilson } from '@/core/statistics/wilson';
import { groupBy } from '@/core/tables/group-by';
import type { Choices } from '@/core/visit/contents';
import { audit, type Tenant } from '../../database/tenant';
import { today } from '../clock';

/** Figures of fewer people are withheld unless somebody asks for less. Ours. */
export const LEAST_PEOPLE = 5;

/** Every pair of the clinic with what it was issued as, and what was measured of it. */
async function pairsWithOutcomes({ tx }: Tenant) {
  const rows = await tx
    .selectFrom('pair')
    .leftJoin('hand_over', (join) =>
      join.onRef('hand_over.pair_id', '=', 'pair.id').onRef('hand_over.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['pair.id', 'pair.patient_id', 'pair.model_id', 'started_on', 'ended_on', 'ended_because'])
    .select(['school', 'spoke', 'overruled'])
    .select(
      sql<Pick<Choices, 'setAside' | 'decisions'> | null>`case when choices is null then null else
      jsonb_build_object('setAside', coalesce(choices->'setAside', '[]'), 'decisions', coalesce(choices->'decisions', '[]')) end`.as(
        'choices',
      ),
    )
    .execute();
  // Of many pairs of few models each model is read once.
  const models = new Map(
    (await tx.selectFrom('shoe_model').select(['id', 'maker', 'name', 'features']).execute()).map((model) => [
      model.id,
      model,
    ]),
  );
  const outcomes = groupBy(
    await tx.selectFrom('outcome').select(['pair_id', 'taken_on', 'measures']).orderBy('taken_on').execute(),
    ({ pair_id }) => pair_id,
  );
  return rows.flatMap((row) => {
    const model = models.get(row.model_id);
    const taken = (outcomes.get(row.id) ?? []).map(({ taken_on, measures }) => ({
      on: taken_on,
      ...measures,
    }));
    return model ? [{ ...row, maker: model.maker, name: model.name, features: model.features, taken }] : [];
  });
}
export type PairWithOutcomes = Awaited<ReturnType<typeof pairsWithOutcomes>>[number];

/** One pair as far as it was followed, without its group. */
const fateOf = (row: PairWithOutcomes, now: string): Omit<PairFate, 'group'> => ({
  patient: row.patient_id,
  days: Math.max(0, daysBetween(row.started_on, row.ended_on ?? now)),
  because: row.ended_on === null ? null : (row.ended_because ?? 'other'),
  outcomes: row.taken,
  silentDays: Math.max(0, daysBetween(row.taken.at(-1)?.on ?? row.started_on, now)),
});

/** What a group is called: rules by what they look at. */
const titleOf = (by: InsightGroup, group: string): string =>
  by === 'rule' ? (RULES.find(({ id }) => id === group)?.finding ?? group) : group;

/** What became of every pair of the clinic, without a name. */
export async function readInsights(
  tenant: Tenant,
  { by = 'use', feature = 'drop', least }: InsightQuery,
): Promise<Insights> {
  const rows = await pairsWithOutcomes(tenant);
  const now = today();
  const groupsOf = groupingOf(by, feature, rows);
  const fates = rows.flatMap((row): PairFate[] => {
    const fate = fateOf(row, now);
    return groupsOf(row).map((group) => ({ group, ...fate }));
  });
  await audit(tenant, 'read', 'insights', null);
  const found = insightsOf(fates, least ?? LEAST_PEOPLE, !OVERLAPS.has(by));
  return { ...found, groups: found.groups.map((group) => ({ ...group, group: titleOf(by, group.group) })) };
}

/** What the clinic's own record says of its rules, for the lead to think about. */
export async function readProposals(
  tenant: Tenant,
  use: readonly RuleUse[],
  house: HouseRules,
): Promise<Proposal[]> {
  const rows = await pairsWithOutcomes(tenant);
  const now = today();
  const every = insightsOf(
    rows.map((row) => ({ group: '', ...fateOf(row, now) })),
    0,
  ).groups[0];
  if (!every) return [];
  const followed = insightsOf(
    rows.flatMap((row) => {
      const fate = fateOf(row, now);
      return (row.spoke === null ? [] : followedIn(row)).map((group) => ({ group, ...fate }));
    }),
    0,
    false,
  ).groups;
  const worse = new Map(followed.map((group) => [group.group, group.worse]));
  return proposeChanges(
    rulesInForce(house),
    use.map(({ rule, fired, overruled }) => ({
      rule,
      spoke: fired,
      overruled,
      worse: worse.get(rule) ?? wilson(0, 0),
    })),
    every.worse,
  );
}

/** The same as a table, a line for each group. */
export async function insightsAsCsv(tenant: Tenant, query: InsightQuery): Promise<Response> {
  const { groups } = await readInsights(tenant, query);
  const csv = Papa.unparse(
    groups.map(
      ({
        group,
        pairs,
        patients,
        wornOut,
        medianDays,
        hurt,
        better,
        worse,
        lessPain,
        morePain,
        unheard,
      }) => ({
        group,
        pairs,
        patients,
        worn_out: wornOut,
        median_days: medianDays ?? '',
        hurt: hurt.count,
        retired: hurt.of,
        hurt_from: hurt.from.toFixed(4),
        hurt_to: hurt.to.toFixed(4),
        comfort_better: better.count,
        comfort_worse: worse.count,
        comfort_asked_twice: better.of,
        pain_less: lessPain.count,
        pain_more: morePain.count,
        pain_asked_twice: lessPain.of,
        unheard: unheard.count,
        worn: unheard.of,
      }),
    ),
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
