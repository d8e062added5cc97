import type { ReviewPage, ReviewRecord } from '@/contract/answers/reviews';
import { dayOf } from '@/core/calendar/days';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { SIDES } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import type { Measures } from '@/core/outcomes/schema';
import { leadingTargets, targetInWords } from '@/core/prescribe/explain/in-words';
import { againOn, mustRefer, type ReviewedPair, readReview, reviewProblems } from '@/core/review/decide';
import type { Review } from '@/core/review/review';
import { featureOf } from '@/core/shoe/features';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { isWorthKeeping } from '@/core/wear/inspection';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { answerOuting, goOn, readBreakIn } from '../pairs/break-in';
import { forecastOf } from '../pairs/forecasts';
import { signStrengthsOf } from '../pairs/house-settings';
import { inspectPair } from '../pairs/inspections';
import { dueAfter, keepOutcome, readOutcomes } from '../pairs/outcomes';
import { checkDay, pairDays } from '../pairs/pair-days';
import { riskCheck } from '../recall/risk-check';
import { startVisit } from './visits';

/** How many of the leading targets a review recalls. */
const RECALLED = 4;

async function issuedFor({ tx }: Tenant, pairId: string) {
  return tx
    .selectFrom('hand_over')
    .innerJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['hand_over.visit_id', 'issued_at', 'picture', 'result'])
    .where('pair_id', '=', pairId)
    .executeTakeFirst();
}

/** Reviews of a pair so far, newest first. */
export async function listReviews({ tx }: Tenant, pairId: string): Promise<ReviewRecord[]> {
  const rows = await tx
    .selectFrom('review')
    .leftJoin('auth.user as maker', 'maker.id', 'review.made_by')
    .select(['review.id', 'done_on', 'decision', 'content', 'maker.name as by'])
    .where('pair_id', '=', pairId)
    .orderBy('done_on', 'desc')
    .orderBy('made_at', 'desc')
    .execute();
  return rows.map(({ id, done_on, decision, content, by }) => ({
    id,
    on: done_on,
    by: by ?? '',
    decision,
    ...omitUndefined({ because: content.because, to: content.to }),
    suggested: content.suggested,
  }));
}

/** What a pair was given for, and its reviews so far; the reading is audited. */
export async function readReviews(tenant: Tenant, pairId: string, on: string): Promise<ReviewPage> {
  const pair = await pairDays(tenant, pairId);
  const issued = await issuedFor(tenant, pairId);
  await audit(tenant, 'read', 'reviews of a pair', pair.patient_id);
  return {
    first: issued
      ? {
          visitId: issued.visit_id,
          on: dayOf(issued.issued_at),
          ached: SIDES.flatMap((side) =>
            (issued.picture[side]?.pain ?? []).map((site) => `${FINDINGS.pain.options[site]}, ${side}`),
          ),
          wanted: leadingTargets(issued.result)
            .slice(0, RECALLED)
            .map((target) => `${featureOf(target.feature).label}: ${targetInWords(target)}`),
        }
      : null,
    reviews: await listReviews(tenant, pairId),
    nextDueOn: await dueAfter(tenant, pairId, on),
  };
}

/** A pair as its review is read: the same reading as on the screen. */
async function reviewedPair(tenant: Tenant, pairId: string): Promise<ReviewedPair> {
  const { taken } = await readOutcomes(tenant, pairId);
  return {
    baseline: taken[0] ?? null,
    forecast: await forecastOf(tenant, pairId),
    strengths: await signStrengthsOf(tenant),
    breakIn: await readBreakIn(tenant, pairId),
  };
}

/**
 * Measures of a review with what was taken on the same day already: a review knows better, but for the day on which the pair began, whose
 * measures are what all others are held against.
 */
async function withTaken(
  tenant: Tenant,
  pairId: string,
  startedOn: string,
  { on, measures }: Review,
): Promise<Measures> {
  const { taken } = await readOutcomes(tenant, pairId);
  const { on: _, by: __, ...before } = taken.find((entry) => entry.on === on) ?? { on, by: '' };
  return on === startedOn ? { ...measures, ...before } : { ...before, ...measures };
}

/** What was reported before is seen with a review; feet at risk were looked at. */
async function answered(tenant: Tenant, pairId: string, patientId: string, on: string): Promise<void> {
  const { tx } = tenant;
  await tx.updateTable('outcome').set({ alarm: false }).where('pair_id', '=', pairId).execute();
  const issued = await issuedFor(tenant, pairId);
  const category = issued ? categoryOfPerson(clinicalPicture(issued.picture)) : null;
  const check = riskCheck(on, category);
  if (check.risk_check_on !== null)
    await tx.updateTable('patient').set(check).where('id', '=', patientId).execute();
}

/**
 * Keeps a review: the measures as outcomes of the pair, what was seen as an inspection, the outing as an answer of its break-in, and
 * what was decided. The next pair begins a visit.
 *
 * @throws Refusal 422 with a sentence at each field that stands in the way
 */
export async function keepReview(
  tenant: Tenant,
  pairId: string,
  review: Review,
): Promise<{ id: string; visitId: string | null; again: string | null }> {
  const pair = await pairDays(tenant, pairId);
  const { on, inspection = {}, since, outing, decision } = review;
  checkDay(on, pair);
  const known = await reviewedPair(tenant, pairId);
  const errors = reviewProblems(known, review).map(({ path, message }) => ({ path: [path], message }));
  if (errors.length > 0) throw new Refusal(422, 'This review cannot be kept yet.', { errors });
  const { suggestion } = readReview(known, review);
  await keepOutcome(tenant, pairId, { on, ...(await withTaken(tenant, pairId, pair.started_on, review)) });
  if (isWorthKeeping(inspection) || since !== undefined)
    await inspectPair(tenant, pairId, { on, ...inspection, ...omitUndefined({ since }) });
  const state = outing ? (await answerOuting(tenant, pairId, { on, ...outing })).state : null;
  await answered(tenant, pairId, pair.patient_id, on);
  // Foot and pair were looked at: a pair that is kept or refitted may go on.
  const stood = state ?? readReview(known, { on }).breakIn;
  if ((decision === 'keep' || decision === 'refit') && stood !== null && stood !== 'going')
    await goOn(tenant, pairId, { found: review.because ?? '' });
  const again = againOn(review, await dueAfter(tenant, pairId, on));
  await tenant.tx
    .updateTable('pair')
    .set({
      review_on: again,
      // Not worn until the foot was seen: it stands in Today, and on the patient's own page.
      ...(mustRefer(review)
        ? { stopped_on: on, break_in_state: 'stop' as const }
        : decision === 'keep' || decision === 'refit'
          ? { stopped_on: null, ...(known.breakIn ? {} : { break_in_state: null }) }
          : {}),
    })
    .where('id', '=', pairId)
    .execute();
  const { decision: _, on: __, ...content } = review;
  const { id } = await tenant.tx
    .insertInto('review')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: pairId,
      done_on: on,
      decision,
      content: JSON.stringify({ ...content, suggested: suggestion }),
      made_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await audit(tenant, 'write', `review of a pair: ${decision}`, pair.patient_id);
  const visitId = decision === 'next' ? (await startVisit(tenant, pair.patient_id)).id : null;
  return { id, visitId, again };
}
