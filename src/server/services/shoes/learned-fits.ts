import { type RawBuilder, sql } from 'kysely';
import { lastShapeOf } from '@/core/sizing/last-shape';
import type { FitObservation, LabelledVersion } from '@/core/sizing/learned/fit-evidence';
import { OffsetLearner, UNSEEN_FIT } from '@/core/sizing/learned/learn-offsets';
import type { LearnedFits } from '@/core/sizing/learned/learned-fit';
import type { Tenant } from '../../database/tenant';
import { readParts } from './catalogue-versions';

export interface Learned {
  /** Null where something changed while it was worked out. */
  version: string | null;
  /** Of which models. */
  ids: ReadonlySet<string>;
  fits: LearnedFits;
}

interface FittingRow {
  visit_id: string;
  model_id: string;
  feet: FitObservation['feet'];
}

/** A transaction may end this much later than the moment that its rows carry: no statement takes longer. */
const LATE = sql`interval '1 minute'`;

/** What a clinic’s fittings have taught so far, of which catalogue, and of which fittings. */
class Learning {
  readonly #learner: OffsetLearner;
  readonly #known: ReadonlySet<string>;
  /** Fittings under their model and visit; which models a visit told of. */
  readonly #byModel = new Map<string, Map<string, FitObservation>>();
  readonly #byVisit = new Map<string, string[]>();

  /**
   * @param catalogue which version of it
   * @param ids of all its models
   * @param models of the makers of whom something was fitted
   */
  constructor(
    readonly catalogue: string,
    readonly ids: ReadonlySet<string>,
    models: readonly LabelledVersion[],
  ) {
    this.#learner = new OffsetLearner(models);
    this.#known = new Set(models.map(({ id }) => id));
  }

  /** How many fittings it has learned from. */
  get many(): number {
    let many = 0;
    for (const models of this.#byVisit.values()) many += models.length;
    return many;
  }

  knows(rows: readonly FittingRow[]): boolean {
    return rows.every(({ model_id }) => this.#known.has(model_id));
  }

  /** All fittings of these visits, in place of what was known of them. */
  take(rows: readonly FittingRow[]): void {
    const changed = new Set<string>();
    for (const visit of new Set(rows.map(({ visit_id }) => visit_id))) {
      for (const model of this.#byVisit.get(visit) ?? []) {
        this.#byModel.get(model)?.delete(visit);
        changed.add(model);
      }
      this.#byVisit.set(visit, []);
    }
    for (const { visit_id, model_id, feet } of rows) {
      const under = this.#byModel.get(model_id) ?? new Map<string, FitObservation>();
      this.#byModel.set(model_id, under.set(visit_id, { version: model_id, feet }));
      this.#byVisit.get(visit_id)?.push(model_id);
      changed.add(model_id);
    }
    // In an order of their own, so that sums come out the same whichever fitting was heard of first.
    const inOrder = (model: string) =>
      [...(this.#byModel.get(model) ?? [])]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([, fitting]) => fitting);
    this.#learner.tell(new Map([...changed].map((model) => [model, inOrder(model)])));
  }

  /** Of makers of whom nothing was fitted, all is as nobody knows. */
  fits(): LearnedFits {
    const learned = this.#learner.learned();
    return { get: (id) => learned.get(id) ?? (this.ids.has(id) ? UNSEEN_FIT : undefined) };
  }
}

interface Kept extends Learned {
  learning: Learning;
  /** The latest of its fittings, as the database writes it. */
  latest: string | null;
}

/** Clinics whose last learning is kept in memory: it follows from the records alone, so that every copy keeps its own. */
const KEPT = 16;
const kept = new Map<string, Kept>();

const TEACHES = sql<boolean>`jsonb_array_length(feet) > 0`;

const readFittings = ({ tx }: Tenant, which: RawBuilder<boolean>): Promise<FittingRow[]> =>
  tx.selectFrom('fitting').select(['visit_id', 'model_id', 'feet']).where(TEACHES).where(which).execute();

/**
 * From all fittings of a clinic. Makers of whom nothing was fitted are not even read: of a large catalogue these are nearly all.
 */
async function learnAll(tenant: Tenant, catalogue: string): Promise<Learning> {
  const { tx } = tenant;
  const fittings = await readFittings(tenant, sql`true`);
  const fitted = [...new Set(fittings.map(({ model_id }) => model_id))];
  const makers = tx
    .selectFrom('shoe_model')
    .select('maker')
    .where('id', '=', sql<string>`any(${fitted}::uuid[])`);
  const models = await tx
    .selectFrom('shoe_model')
    .select(['id', 'maker', 'name', 'sizing', 'features'])
    .where('maker', 'in', makers)
    .execute();
  const all = await tx.selectFrom('shoe_model').select('id').execute();
  const learning = new Learning(
    catalogue,
    new Set(all.map(({ id }) => id)),
    models.map((model) => ({ ...model, foldPercent: lastShapeOf(model.features).foldPercent })),
  );
  learning.take(fittings);
  return learning;
}

/** What has come since is learned on top; whole again where the catalogue is another, or fittings were taken away. */
async function learnOn(tenant: Tenant, before: Kept, catalogue: string, many: number) {
  if (before.learning.catalogue !== catalogue || before.latest === null) return null;
  const since = sql<boolean>`visit_id in (select visit_id from fitting where fitted_at > ${before.latest}::timestamptz - ${LATE})`;
  const rows = await readFittings(tenant, since);
  if (!before.learning.knows(rows)) return null;
  before.learning.take(rows);
  return before.learning.many === many ? before.learning : null;
}

/**
 * What was learned of every model, and of which version of catalogue and fittings; worked out once a version. It
 * is looked at before and after: what changed in between belongs to no version.
 */
export async function readFits(tenant: Tenant): Promise<Learned> {
  const { clinicId } = tenant.actor;
  const { learned: version, parts } = await readParts(tenant);
  const before = kept.get(clinicId);
  if (before?.version === version) return before;
  // Whoever comes meanwhile starts from nothing: one learning is not told from two sides.
  kept.delete(clinicId);
  const { rows } = await sql<{ latest: string | null; many: number }>`
    select max(fitted_at)::text as latest, count(*)::integer as many from fitting where ${TEACHES}`.execute(
    tenant.tx,
  );
  const { latest, many } = rows[0] ?? { latest: null, many: 0 };
  const catalogue = parts.map((part) => part.version).join(' ');
  const learning =
    (before && (await learnOn(tenant, before, catalogue, many))) ?? (await learnAll(tenant, catalogue));
  const learned = { version, ids: learning.ids, fits: learning.fits(), learning, latest };
  // Of no version: it is good for one answer, and whoever needs it in an order asks again.
  if ((await readParts(tenant)).learned !== version) return { ...learned, version: null };
  kept.delete(clinicId);
  kept.set(clinicId, learned);
  for (const [oldest] of kept) if (kept.size > KEPT) kept.delete(oldest);
  return learned;
}
