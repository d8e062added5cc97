import type { z } from 'zod';
import type { KeptOuting, KeptOutings, keepOutingsSchema } from '@/contract/tracks';
import { amountFor } from '@/core/tracks/assign';
import { isSameOuting } from '@/core/tracks/overlap';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { patientRow } from '../patients/patient-row';
import { refreshForecasts } from './forecasts';
import { checkDay } from './pair-days';

const moment = (seconds: number): Date => new Date(seconds * 1000);

/** Outings of devices into the logs of their pairs; the forecasts of all follow at once. */
export async function keepOutings(
  tenant: Tenant,
  patientId: string,
  { outings }: z.infer<typeof keepOutingsSchema>,
): Promise<KeptOutings> {
  await patientRow(tenant, patientId);
  const pairs = await pairsOf(tenant, patientId);
  const known = await knownSpans(tenant, patientId, outings);
  const answer: KeptOutings = { kept: 0, doubled: [], refused: [] };
  for (const outing of outings.toSorted((a, b) => a.from - b.from)) {
    const pair = pairs.get(outing.pair);
    const why = pair ? reasonAgainst(outing, pair) : 'This pair is not this patient’s.';
    if (!pair || why !== null) {
      answer.refused.push({ source: outing.source, why: why ?? '' });
      continue;
    }
    if (known.some((span) => isSameOuting(span, outing))) {
      answer.doubled.push(outing.source);
      continue;
    }
    known.push({ from: outing.from, to: outing.to });
    await keep(tenant, patientId, outing, pair.clock);
    answer.kept += 1;
  }
  if (answer.kept > 0) {
    await audit(tenant, 'write', `${answer.kept} outings of devices`, patientId);
    await refreshForecasts(tenant, { patientId });
  }
  return answer;
}

type PairOfOuting = {
  started_on: string;
  ended_on: string | null;
  clock: (typeof CLOCK_OF_USE)[keyof typeof CLOCK_OF_USE];
};

function reasonAgainst({ on }: KeptOuting, pair: PairOfOuting): string | null {
  try {
    checkDay(on, { ...pair, patient_id: '' });
    return null;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return error.extra.errors?.[0]?.message ?? error.message;
  }
}

async function pairsOf({ tx }: Tenant, patientId: string): Promise<Map<string, PairOfOuting>> {
  const rows = await tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .select(['pair.id', 'started_on', 'ended_on', 'features'])
    .where('patient_id', '=', patientId)
    .execute();
  return new Map(
    rows.map(({ id, started_on, ended_on, features }) => [
      id,
      { started_on, ended_on, clock: CLOCK_OF_USE[madeForUse(features)] },
    ]),
  );
}

/** Outings of these days that are kept already. */
async function knownSpans({ tx }: Tenant, patientId: string, outings: readonly KeptOuting[]) {
  const from = Math.min(...outings.map((outing) => outing.from));
  const to = Math.max(...outings.map((outing) => outing.to));
  const rows = await tx
    .selectFrom('track_outing')
    .select(['began_at', 'ended_at'])
    .where('patient_id', '=', patientId)
    .where('ended_at', '>=', moment(from))
    .where('began_at', '<=', moment(to))
    .execute();
  return rows.map(({ began_at, ended_at }) => ({
    from: began_at.getTime() / 1000,
    to: ended_at.getTime() / 1000,
  }));
}

async function keep(
  { tx, actor }: Tenant,
  patientId: string,
  outing: KeptOuting,
  clock: PairOfOuting['clock'],
): Promise<void> {
  await tx
    .insertInto('track_outing')
    .values({
      clinic_id: actor.clinicId,
      patient_id: patientId,
      pair_id: outing.pair,
      began_at: moment(outing.from),
      ended_at: moment(outing.to),
      done_on: outing.on,
      km: outing.km,
      ascent_m: outing.ascentM === null ? null : Math.round(outing.ascentM),
      cadence: outing.cadence === null ? null : Math.round(outing.cadence),
      surface: outing.surface,
      source: outing.source,
      made_by: actor.userId,
    })
    .execute();
  const amount = amountFor(clock, outing);
  await tx
    .insertInto('pair_log')
    .values({
      clinic_id: actor.clinicId,
      pair_id: outing.pair,
      logged_on: outing.on,
      distance_km: clock === 'km' ? amount : null,
      amount: clock === 'km' ? null : amount,
      comfort: null,
      note: `from a device${outing.ascentM ? `, ${Math.round(outing.ascentM)} m up` : ''}`,
      logged_by: actor.userId,
    })
    .execute();
}
