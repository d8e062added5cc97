import { sql } from 'kysely';
import type { TimeLineRecord } from '@/contract/answers/pairs';
import { dayOf } from '@/core/calendar/days';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { alarmsOf, SKIN_SIGNS, skinSignsOf } from '@/core/outcomes/outcome';
import { REVIEW_DECISIONS } from '@/core/review/review';
import { swellingOf } from '@/core/visit/earlier-visit';
import { contentsOf } from '@/core/visit/held';
import type { Tenant } from '../../database/tenant';
import { recordOf } from '../visits/visit-steps';

type Course = TimeLineRecord['course'];

const byDay = <T extends { on: string }>(entries: readonly T[]): T[] =>
  entries.toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));

/** What was measured of every pair of a patient, oldest first. */
async function measured({ tx }: Tenant, patientId: string) {
  const rows = await tx
    .selectFrom('outcome')
    .innerJoin('pair', (join) =>
      join.onRef('pair.id', '=', 'outcome.pair_id').onRef('pair.clinic_id', '=', 'outcome.clinic_id'),
    )
    .select(['taken_on', 'measures', 'pair_id'])
    .where('pair.patient_id', '=', patientId)
    .orderBy('taken_on')
    .execute();
  return rows.map(({ taken_on, measures, pair_id }) => ({ on: taken_on, pairId: pair_id, ...measures }));
}

/** Figure-of-eight girths at visits and from home, the largest of each day. */
async function girths({ tx }: Tenant, patientId: string): Promise<Course['swelling']> {
  const steps = await tx
    .selectFrom('visit_step')
    .innerJoin('visit', 'visit.id', 'visit_step.visit_id')
    .select(['step', 'state', 'revision', 'content', 'visit_step.saved_by', 'saved_at'])
    .where('visit.patient_id', '=', patientId)
    .where('step', '=', 'feet')
    .where(sql<boolean>`content ? 'swelling'`)
    .execute();
  const reports = await tx
    .selectFrom('home_report')
    .select(['said_on', 'content'])
    .where('patient_id', '=', patientId)
    .orderBy('received_at', 'desc')
    .limit(400)
    .execute();
  const taken = [
    ...steps.flatMap((row) =>
      swellingOf(contentsOf([recordOf(row)])).flatMap((reading) =>
        SIDES.map((side) => ({ on: reading.at.slice(0, 10), side, mm: reading[side]?.figureOfEight })),
      ),
    ),
    ...reports.flatMap(({ said_on, content: { content } }) =>
      content.kind === 'girth' && content.measure === 'figureOfEight'
        ? [{ on: said_on, side: content.side, mm: content.mm }]
        : [],
    ),
  ];
  const largest = new Map<string, { on: string; side: Side; mm: number }>();
  for (const { on, side, mm } of taken) {
    const key = `${on} ${side}`;
    if (mm !== undefined && mm > (largest.get(key)?.mm ?? 0)) largest.set(key, { on, side, mm });
  }
  return byDay([...largest.values()]);
}

/** How a patient fared over visits and pairs: comfort, pain, swelling, what was seen, and when somebody looked. */
export async function readCourse(tenant: Tenant, patientId: string): Promise<Course> {
  const { tx } = tenant;
  const outcomes = await measured(tenant, patientId);
  const visits = await tx
    .selectFrom('visit')
    .select(['id', 'started_at'])
    .where('patient_id', '=', patientId)
    .execute();
  const reviews = await tx
    .selectFrom('review')
    .innerJoin('pair', (join) =>
      join.onRef('pair.id', '=', 'review.pair_id').onRef('pair.clinic_id', '=', 'review.clinic_id'),
    )
    .select(['done_on', 'decision'])
    .where('pair.patient_id', '=', patientId)
    .execute();
  return {
    comfort: outcomes.flatMap(({ on, pairId, comfort }) =>
      comfort === undefined ? [] : [{ on, pairId, value: comfort }],
    ),
    pain: outcomes.flatMap(({ on, pairId, pain }) =>
      pain === undefined ? [] : [{ on, pairId, value: pain }],
    ),
    swelling: await girths(tenant, patientId),
    seen: outcomes.flatMap(({ on, falls, ...rest }) => {
      const skin = skinSignsOf(rest);
      const words = [...skin.map((sign) => SKIN_SIGNS[sign]), ...(falls ? [`falls: ${falls}`] : [])].join(
        ', ',
      );
      return words ? [{ on, words, isAlarm: alarmsOf({ falls, ...rest }).length > 0 }] : [];
    }),
    looked: byDay([
      ...visits.map(({ started_at }) => ({ on: dayOf(started_at), words: 'visit' })),
      ...reviews.map(({ done_on, decision }) => ({
        on: done_on,
        words: `review: ${REVIEW_DECISIONS[decision]}`,
      })),
    ]),
  };
}
