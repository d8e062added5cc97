import type { Transaction } from 'kysely';
import { addDays, daysBetween } from '@/core/calendar/days';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import type { InspectionContent } from '@/core/wear/worn-schema';
import type { Database } from '../database/schema';

/** Two looks at a pair, as it wears: invented. */
const LOOKS: readonly { at: number; content: InspectionContent }[] = [
  {
    at: 0.4,
    content: {
      signs: { creases: 'none', fold: 'springs', foam: 'no', tilt: 'level' },
      wear: {
        left: { 'heel-outer': 1, 'mid-centre': 0, 'fore-centre': 0 },
        right: { 'heel-outer': 1, 'mid-centre': 0, 'fore-centre': 1 },
      },
    },
  },
  {
    at: 0.85,
    content: {
      signs: { creases: 'other', fold: 'soft', foam: 'no', counter: 'sound', ache: 'none' },
      wear: {
        left: { 'heel-outer': 2, 'mid-centre': 0, 'fore-centre': 1 },
        right: { 'heel-outer': 2, 'mid-outer': 1, 'fore-centre': 2 },
      },
    },
  },
];

/** A pair is old enough to have been looked at twice from here, days. */
const LOOKED_AT_FROM = 100;

/** Inspections of every other pair in use that is counted in kilometres. */
export async function addInspections(
  tx: Transaction<Database>,
  clinicId: string,
  by: string,
  day: string,
): Promise<void> {
  const pairs = await tx
    .selectFrom('pair')
    .innerJoin('shoe_model', 'shoe_model.id', 'pair.model_id')
    .innerJoin('patient', 'patient.id', 'pair.patient_id')
    .select(['pair.id', 'started_on', 'features'])
    .where('ended_on', 'is', null)
    .where('started_on', '<', addDays(day, -LOOKED_AT_FROM))
    .orderBy('family_name')
    .orderBy('pair.id')
    .execute();
  const counted = pairs.filter(({ features }) => CLOCK_OF_USE[madeForUse(features)] === 'km');
  const rows = counted
    .filter((_, at) => at % 2 === 0)
    .flatMap(({ id, started_on }) =>
      LOOKS.map(({ at, content }) => ({
        clinic_id: clinicId,
        pair_id: id,
        inspected_on: addDays(started_on, Math.round(at * daysBetween(started_on, day))),
        content: JSON.stringify(content),
        made_by: by,
      })),
    );
  if (rows.length > 0) await tx.insertInto('inspection').values(rows).execute();
}
