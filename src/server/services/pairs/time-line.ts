import { sql } from 'kysely';
import type { TimeLineRecord } from '@/contract/answers/pairs';
import type { PairRecord } from '@/contract/records';
import { siteOf } from '@/core/body-map/sites';
import { dayOf } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { causesOf } from '@/core/time-line/causes';
import { eventsOf, type LinePair } from '@/core/time-line/events';
import { contentsOf } from '@/core/visit/held';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { recordOf } from '../visits/visit-steps';
import { readCourse } from './course';
import { pairsOfPatient } from './pair-records';

const linePair = (pair: PairRecord, racesIn: ReadonlySet<string>): LinePair => ({
  id: pair.id,
  title: modelTitle(pair.model),
  features: pair.model.features,
  startedOn: pair.startedOn,
  endedOn: pair.endedOn,
  surface: pair.surface,
  halfUsedUpOn: pair.window?.middle ?? null,
  trainsRacing: racesIn.has(pair.id),
  log: pair.log.flatMap(({ on, distanceKm }) => (distanceKm === null ? [] : [{ on, km: distanceKm }])),
});

/** What each visit asked of aches and of the road, oldest first; other answers are not read. */
async function askedOf({ tx }: Tenant, patientId: string) {
  const rows = await tx
    .selectFrom('visit_step')
    .innerJoin('visit', 'visit.id', 'visit_step.visit_id')
    .select(['step', 'state', 'revision', 'content', 'visit_step.saved_by', 'saved_at', 'started_at'])
    .where('visit.patient_id', '=', patientId)
    .where('step', '=', 'ask')
    .where(sql<boolean>`(content ? 'marks' or content #> '{findings,body}' ? 'camber')`)
    .orderBy('started_at')
    .execute();
  return rows.flatMap((row) => {
    const { ask } = contentsOf([recordOf(row)]);
    return ask ? [{ on: dayOf(row.started_at), ask }] : [];
  });
}
type Asked = Awaited<ReturnType<typeof askedOf>>;

/** Aches with a first day, as the visits' drawings say; the latest word on each counts. */
function achesOf(asked: Asked) {
  const aches = new Map<string, Omit<TimeLineRecord['aches'][number], 'reading'>>();
  for (const { ask } of asked) {
    for (const mark of ask.marks ?? []) {
      const ache = mark.layer === 'ache' ? siteOf(mark.site)?.ache : null;
      if (mark.layer !== 'ache' || !ache || mark.since === undefined) continue;
      aches.set(`${ache} ${mark.side} ${mark.since}`, { site: ache, side: mark.side, since: mark.since });
    }
  }
  return [...aches.values()].toSorted((a, b) => (a.since < b.since ? 1 : -1));
}

/**
 * A patient's pairs, what changed and what began to ache on one line, with what changed before each ache.
 *
 * @param known the patient's pairs, where they have just been read
 */
export async function readTimeLine(
  tenant: Tenant,
  patientId: string,
  known?: readonly PairRecord[],
): Promise<TimeLineRecord> {
  const records = known ?? (await pairsOfPatient(tenant, patientId));
  const on = today();
  const racing = await tenant.tx
    .selectFrom('pair')
    .select('id')
    .where('patient_id', '=', patientId)
    .where('racing', '=', true)
    .where('raced_only', '=', false)
    .execute();
  const racesIn = new Set(racing.map(({ id }) => id));
  const pairs = records.map((pair) => linePair(pair, racesIn));
  const asked = await askedOf(tenant, patientId);
  const events = eventsOf(
    pairs,
    on,
    asked.flatMap(({ on: heard, ask }) => {
      const camber = ask.findings.body?.camber;
      return camber ? [{ on: heard, camber }] : [];
    }),
  );
  const aches = achesOf(asked);
  const course = await readCourse(tenant, patientId);
  return {
    from: [
      ...pairs.map(({ startedOn }) => startedOn),
      ...aches.map(({ since }) => since),
      ...course.looked.map(({ on: day }) => day),
      on,
    ].toSorted()[0]!,
    to: on,
    pairs: pairs.map(({ id, title, startedOn, endedOn }) => ({ id, title, startedOn, endedOn })),
    course,
    events: events.map(({ kind, on: day, words }) => ({ kind, on: day, words })),
    aches: aches.map((ache) => {
      const { causes, ask, first } = causesOf(ache.site, ache.since, events);
      return {
        ...ache,
        reading: {
          ask,
          first,
          causes: causes.map(({ event, days, weight, because }) => ({
            kind: event.kind,
            on: event.on,
            words: event.words,
            days,
            weight,
            because,
          })),
        },
      };
    }),
  };
}
