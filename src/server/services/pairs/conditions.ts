import type { Selectable } from 'kysely';
import { DAYS_PER_YEAR, daysBetween } from '@/core/calendar/days';
import type { RacingUse } from '@/core/wear/clocks';
import type { WearConditions } from '@/core/wear/learned/life-factors';
import type { Database } from '../../database/schema';

type PairRow = Selectable<Database['pair']>;

/** How a pair is worn, as its record and the others beside it tell. */
export const conditionsOf = (
  row: Pick<PairRow, 'conditions' | 'body_mass_kg' | 'surface' | 'made_on' | 'started_on'>,
  rotation: boolean,
): WearConditions => ({
  ...row.conditions,
  bodyMassKg: row.body_mass_kg,
  surface: row.surface,
  rotation,
  ...(row.made_on === null ? {} : { shelfYears: daysBetween(row.made_on, row.started_on) / DAYS_PER_YEAR }),
});

/** How a racing pair is used; undefined of any other. */
export const racingOf = ({
  racing,
  raced_only,
}: Pick<PairRow, 'racing' | 'raced_only'>): RacingUse | undefined =>
  racing ? (raced_only ? 'raced-only' : 'also-trained') : undefined;
