import { sql } from 'kysely';
import Papa from 'papaparse';
import type { InsightQuery } from '@/contract/insights';
import type { RuleUse } from '@/contract/records';
import { daysBetween } from '@/core/calendar/days';
import {
  followedIn,
  type GroupedPair,
  groupingOf,
  type InsightGroup,
  OVERLAPS,
} from '@/core/insights/group-by';
import { type Proposal, proposeChanges } from '@/core/insights/propose-changes';
import { changeOf, type Insights, insightsOf, type PairFate } from '@/core/insights/what-became';
import { type HouseRules, rulesInForce } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { readChange, readPainChange } from '@/core/outcomes/real-change';
import { audit, type Tenant } from '../../database/tenant';
import { today } from '../clock';
import { CSV, csvFile } from './csv-file';

/** Figures of fewer people are withheld unless somebody asks for less. Ours. */
export const LEAST_PEOPLE = 5;

/** What grouping asks of a specification: read only where it is counted by, for it is long. */
const wants = (by: InsightGroup) => ({
  choices:
    by === 'decision'
      ? sql<GroupedPair['choices']>`jsonb_build_object('setAside', coalesce(choices->'setAside', '[]'),
          'decisions', coalesce(choices->'decisions', '[]'))`
      : sql<null>`null`,
  // As one line of names each: an array of sixty texts a pair is read ten times slower.
  spoke: by === 'rule' ? sql<string | null>`array_to_string(spoke, ' ')` : sql<null>`null`,
  overruled: by === 'rule' ? sql<string | null>`array_to_string(overruled, ' ')` : sql<null>`null`,
});

const namesIn = (line: string | null): string[] | null =>
  line === null ? null : line.split(' ').filter(Boolean);

/** First and last of each measure of each pair, and when anything was last heard of it. */
async function measuredTwice({ tx }: Tenant) {
  const { rows } = await sql<{
    pair_id: string;
    heard: string;
    comfort: (number | null)[];
    pain: (number | null)[];
  }>`
    select pair_id, max(taken_on)::text as heard,
      (array_agg((measures->>'comfort')::float8 order by taken_on) filter (where measures ? 'comfort')) as comfort,
      (array_agg((measures->>'pain')::float8 order by taken_on) filter (where measures ? 'pain')) as pain
    from outcome group by pair_id`.execute(tx);
  return new Map(rows.map((row) => [row.pair_id, row]));
}

const readOf = <R>(
  taken: readonly (number | null)[] | null | undefined,
  read: (before: number, after: number) => R,
): R | null => {
  const first = taken?.[0];
  const last = taken?.at(-1);
  return first == null || last == null || (taken?.length ?? 0) < 2 ? null : read(first, last);
};

/** Every pair of the clinic with its model, what it was issued as, and what came of it. */
async function pairsAndFates(tenant: Tenant, by: InsightGroup) {
  const { tx } = tenant;
  const { choices, spoke, overruled } = wants(by);
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
    .select([
      'pair.id',
      'pair.patient_id',
      'pair.model_id',
      'started_on',
      'ended_on',
      'ended_because',
      'school',
    ])
    .select([choices.as('choices'), spoke.as('spoke'), overruled.as('overruled')])
    .execute();
  // Of many pairs of few models each model is read once.
  const models = new Map(
    (await tx.selectFrom('shoe_model').select(['id', 'maker', 'name', 'features']).execute()).map((model) => [
      model.id,
      model,
    ]),
  );
  const measured = await measuredTwice(tenant);
  const now = today();
  return rows.flatMap((row) => {
    const model = models.get(row.model_id);
    if (!model) return [];
    const taken = measured.get(row.id);
    const grouped: GroupedPair = {
      maker: model.maker,
      name: model.name,
      features: model.features,
      school: row.school,
      choices: row.choices,
      spoke: namesIn(row.spoke),
      overruled: namesIn(row.overruled),
    };
    const fate: Omit<PairFate, 'groups'> = {
      patient: row.patient_id,
      days: Math.max(0, daysBetween(row.started_on, row.ended_on ?? now)),
      because: row.ended_on === null ? null : (row.ended_because ?? 'other'),
      comfort: readOf(taken?.comfort, readChange),
      pain: readOf(taken?.pain, readPainChange),
      silentDays: Math.max(0, daysBetween(taken?.heard ?? row.started_on, now)),
    };
    return [{ grouped, fate }];
  });
}

/** What a group is called: rules by what they look at, and by their names, for two may look at the same. */
const titleOf = (by: InsightGroup, group: string): string => {
  const finding = by === 'rule' && RULES.find(({ id }) => id === group)?.finding;
  return finding ? `${finding} (${group})` : group;
};

/** What became of every pair of the clinic, without a name. */
export async function readInsights(
  tenant: Tenant,
  { by = 'use', feature = 'drop', least, ends = 'worn-out' }: InsightQuery,
): Promise<Insights> {
  const pairs = await pairsAndFates(tenant, by);
  const groupsOf = groupingOf(
    by,
    feature,
    pairs.map(({ grouped }) => grouped),
  );
  const fates = pairs.map(({ grouped, fate }): PairFate => ({ ...fate, groups: groupsOf(grouped) }));
  await audit(tenant, 'read', 'insights', null);
  const found = insightsOf(fates, least ?? LEAST_PEOPLE, { isDistinct: !OVERLAPS.has(by), ends });
  return { ...found, groups: found.groups.map((group) => ({ ...group, group: titleOf(by, group.group) })) };
}

/** What the clinic's own record says of its rules, for the lead to think about. */
export async function readProposals(
  tenant: Tenant,
  use: readonly RuleUse[],
  house: HouseRules,
): Promise<Proposal[]> {
  const pairs = await pairsAndFates(tenant, 'rule');
  const followed = new Map<string, Pick<PairFate, 'comfort' | 'pain'>[]>();
  for (const { grouped, fate } of pairs) {
    if (grouped.spoke === null || fate.comfort === null) continue;
    for (const rule of followedIn(grouped)) {
      const others = followed.get(rule);
      if (others) others.push(fate);
      else followed.set(rule, [fate]);
    }
  }
  return proposeChanges(
    rulesInForce(house),
    use.map(({ rule, fired, overruled }) => ({
      rule,
      spoke: fired,
      overruled,
      worse: changeOf(followed.get(rule) ?? [], 'comfort').worse,
    })),
    changeOf(
      pairs.map(({ fate }) => fate),
      'comfort',
    ).worse,
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
    CSV,
  );
  return csvFile('insights', csv);
}
