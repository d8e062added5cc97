import { sql } from 'kysely';
import type { z } from 'zod';
import type { api } from '@/contract/contract';
import type { HouseRulesVersion, IssuedRecord, ReplayRecord, RuleUse } from '@/contract/records';
import type { Knowledge } from '@/core/knowledge/edition';
import {
  editionOf,
  type HouseRules,
  knowledgeOf,
  NO_HOUSE_RULES,
  ruleOfChange,
  rulesInForce,
} from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { contradictionInWords, contradictionOf, ruleProblems } from '@/core/prescribe/check/check';
import { previewOf } from '@/core/prescribe/counterfactual/preview';
import { replay, replaysAlike } from '@/core/prescribe/counterfactual/replay';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { refreshOutcomesDue } from '../pairs/outcomes';
import { forecastsAreStale, lifeIsStale } from '../pairs/stale';
import { readHouseRules } from './in-force';
import { storedPicture } from './stored-picture';

/** Every version, newest first. */
export async function listHouseRules({ tx }: Tenant): Promise<HouseRulesVersion[]> {
  const rows = await tx
    .selectFrom('house_rules')
    .leftJoin('auth.user as maker', 'maker.id', 'house_rules.made_by')
    .select(['version', 'changes', 'settings', 'note', 'made_at', 'maker.name as made_by'])
    .orderBy('version', 'desc')
    .execute();
  return rows.map((row) => ({
    version: row.version,
    changes: row.changes,
    settings: row.settings,
    note: row.note,
    madeBy: row.made_by ?? '',
    madeAt: row.made_at.toISOString(),
  }));
}

type Saved = z.infer<NonNullable<typeof api.saveHouseRules.body>>;

/** What is wrong with a list of changes: rules that do not exist or are named twice, contradictions not marked. */
export function houseRulesErrors(
  changes: HouseRules['changes'],
): { path: (string | number)[]; message: string }[] {
  const shipped = new Set(RULES.map((rule) => rule.id));
  const seen = new Set<string>();
  const errors = changes.flatMap((change, at) => {
    const rule = ruleOfChange(change);
    const path = ['changes', at];
    if (change.kind !== 'own' && !shipped.has(rule))
      return [{ path, message: `There is no rule “${rule}”.` }];
    if (seen.has(rule)) return [{ path, message: `“${rule}” is named twice.` }];
    seen.add(rule);
    return [];
  });
  if (errors.length > 0) return errors;
  const inForce = rulesInForce({ version: 1, changes, settings: {} });
  return changes.flatMap((change, at) => {
    if (change.kind !== 'own') return [];
    const { rule } = change;
    // A shipped rule cannot know of the clinic's: it is enough that the clinic's own names it.
    const clashes = inForce.flatMap((other) => {
      if (other.id === rule.id || rule.contestedBy?.includes(other.id)) return [];
      const feature = contradictionOf(rule, other);
      return feature ? [contradictionInWords(rule, other, feature)] : [];
    });
    return [...ruleProblems(rule).map(({ message }) => message), ...clashes].map((message) => ({
      path: ['changes', at],
      message,
    }));
  });
}

/** Puts a new version in force. Refused (409) when somebody else's version came first. */
export async function saveHouseRules(tenant: Tenant, saved: Saved): Promise<HouseRulesVersion> {
  const errors = houseRulesErrors(saved.changes);
  if (errors.length > 0) throw new Refusal(422, 'These house rules cannot be put in force.', { errors });
  const { tx, actor } = tenant;
  const current = await readHouseRules(tenant);
  const written =
    current.version === saved.basedOn
      ? await tx
          .insertInto('house_rules')
          .values({
            clinic_id: actor.clinicId,
            version: saved.basedOn + 1,
            changes: JSON.stringify(saved.changes),
            settings: JSON.stringify(saved.settings),
            note: saved.note,
            made_by: actor.userId,
          })
          .onConflict((conflict) => conflict.doNothing())
          .returning('version')
          .executeTakeFirst()
      : undefined;
  readHouseRules.forget(tenant);
  const [newest] = await listHouseRules(tenant);
  if (!written || !newest)
    throw new Refusal(
      409,
      `${newest?.madeBy || 'Somebody'} put version ${newest?.version} in force before you.`,
      {
        current: newest,
      },
    );
  if (JSON.stringify(current.settings.signStrengths) !== JSON.stringify(saved.settings.signStrengths)) {
    await lifeIsStale(tenant);
    await forecastsAreStale(tenant);
  }
  if (JSON.stringify(current.settings.outcomes) !== JSON.stringify(saved.settings.outcomes))
    await refreshOutcomesDue(tenant, null);
  await audit(tenant, 'write', `house rules, version ${newest.version}`, null);
  return newest;
}

/** Keeps the rules under their edition's name, from the first time something is issued under it. */
export async function keepEdition(tenant: Tenant, knowledge: Knowledge): Promise<void> {
  const kept = await tenant.tx
    .selectFrom('knowledge_edition')
    .select('edition')
    .where('edition', '=', knowledge.edition)
    .executeTakeFirst();
  // The rules are long: they are sent once.
  if (kept) return;
  await tenant.tx
    .insertInto('knowledge_edition')
    .values({
      clinic_id: tenant.actor.clinicId,
      edition: knowledge.edition,
      rules: JSON.stringify(knowledge.rules),
    })
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

/** How often each rule pushed an issued specification, and how often it was set aside or its target overruled. */
export async function ruleUse({ tx }: Tenant): Promise<RuleUse[]> {
  const rows = await sql<{ rule: string; fired: string; overruled: string }>`
    select rule, count(*) as fired, count(*) filter (where rule = any (overruled)) as overruled
    from specification, unnest(spoke) as rule group by rule`.execute(tx);
  return rows.rows.map((row) => ({
    rule: row.rule,
    fired: Number(row.fired),
    overruled: Number(row.overruled),
  }));
}

/** A specification as it was issued. */
export async function readIssued(tenant: Tenant, id: string): Promise<IssuedRecord> {
  const row = await tenant.tx
    .selectFrom('specification')
    .innerJoin('patient', 'patient.id', 'specification.patient_id')
    .leftJoin('auth.user as issuer', 'issuer.id', 'specification.issued_by')
    .select([
      'specification.id',
      'specification.visit_id',
      'specification.patient_id',
      'specification.picture',
      'specification.choices',
      'specification.result',
      'specification.issued_at',
      'issuer.name as issued_by',
      'patient.given_name',
      'patient.family_name',
    ])
    .where('specification.id', '=', id)
    .executeTakeFirst();
  if (!row) throw notFound('This specification');
  await audit(tenant, 'read', 'specification', row.patient_id);
  return {
    id: row.id,
    visitId: row.visit_id,
    patient: { id: row.patient_id, name: `${row.given_name} ${row.family_name}` },
    issuedAt: row.issued_at.toISOString(),
    issuedBy: row.issued_by ?? '',
    findings: row.picture,
    choices: row.choices,
    specification: row.result,
  };
}

/**
 * What was issued at a visit, one for each pair in the order of issue, with the house rules of that day; its rules too
 * where the shipped ones have moved on, and the sheet once the pair was handed over.
 */
export async function issuedAt({ tx }: Tenant, visitId: string) {
  const rows = await tx
    .selectFrom('specification')
    .leftJoin('knowledge_edition', (join) =>
      join.on(sql<boolean>`knowledge_edition.edition = specification.result->>'knowledge'`),
    )
    .leftJoin('house_rules', 'house_rules.version', 'specification.house_version')
    .leftJoin('hand_over', 'hand_over.specification_id', 'specification.id')
    .select([
      'specification.id',
      'specification.purpose',
      'specification.result',
      'house_rules.version',
      'house_rules.changes',
      'house_rules.settings',
      'knowledge_edition.rules',
      'hand_over.sheet',
    ])
    .where('specification.visit_id', '=', visitId)
    .orderBy('specification.issued_at')
    .execute();
  return rows.map(({ id, purpose, result, version, changes, settings, rules, sheet }) => {
    const house =
      version === null || changes === null || settings === null
        ? NO_HOUSE_RULES
        : { version, changes, settings };
    return {
      id,
      purpose,
      specification: result,
      house,
      // Today's rules under the same name need not travel.
      rules: editionOf(house) === result.knowledge ? null : rules,
      sheet,
    };
  });
}

/** Replays an issued specification with the rules of its edition, and with those of today. */
export async function replayIssued(tenant: Tenant, id: string): Promise<ReplayRecord> {
  const issued = await readIssued(tenant, id);
  const stored = storedPicture(issued.findings, issued.choices);
  const edition = await tenant.tx
    .selectFrom('knowledge_edition')
    .select(['edition', 'rules'])
    .where('edition', '=', issued.specification.knowledge)
    .executeTakeFirst();
  const today = knowledgeOf(await readHouseRules(tenant));
  const then: Knowledge | null = edition
    ? { edition: edition.edition, rules: edition.rules, usualRoom: issued.specification.usualRoom }
    : null;
  return {
    ...issued,
    alike: then ? replaysAlike(issued.specification, replay(stored, then)) : null,
    today: {
      edition: today.edition,
      specification: replay(stored, today),
      changes: then ? previewOf(then, today)(stored) : null,
    },
  };
}
