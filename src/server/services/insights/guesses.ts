import { sql } from 'kysely';
import Papa from 'papaparse';
import type { ClinicInsights } from '@/contract/insights';
import { calibrationOf, type Foretold, readGuesses } from '@/core/insights/calibration';
import { misfitsOf } from '@/core/insights/misfits';
import { stepTimesOf } from '@/core/insights/step-times';
import { USUAL_ROOM } from '@/core/shoe/room';
import { audit, type Tenant } from '../../database/tenant';
import { houseSettingsOf } from '../pairs/house-settings';
import { CSV, csvFile } from './csv-file';
import { LEAST_PEOPLE } from './pairs';

const peopleIn = (entries: readonly { patient: string }[]): number =>
  new Set(entries.map(({ patient }) => patient)).size;

/** Pairs with what was foretold when they began, and how far they have come. */
async function foretold({ tx }: Tenant): Promise<Foretold[]> {
  const rows = await tx
    .selectFrom('pair')
    .select(['patient_id', 'first_life', 'ended_because'])
    .select(sql<number | null>`(forecast->>'used')::float8`.as('used'))
    .where('first_life', 'is not', null)
    .execute();
  return rows.flatMap(({ patient_id, first_life, used, ended_because }) =>
    first_life === null || used === null
      ? []
      : [
          {
            patient: patient_id,
            life: first_life,
            used,
            isWornOut: ended_because === 'worn-out',
          },
        ],
  );
}

/** How well the clinic foretells and guesses, which sizes do not fit, and how long its visits take; small numbers are withheld. */
export async function readClinicInsights(tenant: Tenant, least = LEAST_PEOPLE): Promise<ClinicInsights> {
  const { tx } = tenant;
  const fittings = await tx
    .selectFrom('fitting')
    .innerJoin('visit', (join) =>
      join.onRef('visit.id', '=', 'fitting.visit_id').onRef('visit.clinic_id', '=', 'fitting.clinic_id'),
    )
    .select(['patient_id', 'model_id', 'feet', 'nth', 'comfort', 'guess'])
    .execute();
  const models = new Map(
    (await tx.selectFrom('shoe_model').select(['id', 'maker', 'sizing']).execute()).map((model) => [
      model.id,
      model,
    ]),
  );
  const guessed = fittings.flatMap(({ patient_id, guess, comfort, nth }) =>
    guess === null || comfort === null ? [] : [{ patient: patient_id, guess, comfort, nth }],
  );
  const first = guessed.filter(({ nth }) => nth === 1);
  const later = guessed.filter(({ nth }) => nth !== 1);
  const pairs = await foretold(tenant);
  const times = await tx.selectFrom('visit_time').select(['step', 'seconds']).execute();
  const { usualRoom = USUAL_ROOM } = await houseSettingsOf(tenant);
  const withEnough = <T>(entries: readonly { patient: string }[], value: T): T | null =>
    peopleIn(entries) >= least ? value : null;
  await audit(tenant, 'read', 'how the clinic foretells and fits', null);
  return {
    least,
    forecasts: withEnough(pairs, {
      pairs: pairs.length,
      wornOut: pairs.filter(({ isWornOut }) => isWornOut).length,
      at: calibrationOf(pairs),
    }),
    comfort: {
      first: withEnough(first, readGuesses(first)),
      later: withEnough(later, readGuesses(later)),
      points: withEnough(
        guessed,
        guessed.map(({ guess, comfort, nth }) => ({ guess, comfort, isFirst: nth === 1 })),
      ),
    },
    misfits: misfitsOf(
      fittings.flatMap(({ model_id, feet, patient_id }) => {
        const model = models.get(model_id);
        return model && feet[0]
          ? [
              {
                maker: model.maker,
                patient: patient_id,
                feet,
                size: `${model.sizing.system.toUpperCase()} ${feet[0].size}`,
              },
            ]
          : [];
      }),
      usualRoom,
      least,
    ),
    steps: stepTimesOf(times, least),
  };
}

/** One of these as a table. */
export async function clinicInsightsAsCsv(
  tenant: Tenant,
  { show, least }: { show: 'guesses' | 'misfits' | 'time'; least?: number | undefined },
): Promise<Response> {
  const { comfort, misfits, steps } = await readClinicInsights(tenant, least);
  const rows = {
    guesses: () =>
      (comfort.points ?? []).map(({ guess, comfort: said, isFirst }) => ({
        guess,
        said,
        first: isFirst ? 1 : 0,
      })),
    misfits: () =>
      misfits.groups.map(({ maker, size, pairs, patients, short, long, narrow, wide }) => ({
        maker,
        size,
        tried: pairs,
        people: patients,
        room_read: short.of,
        too_short: short.count,
        too_long: long.count,
        width_read: narrow.of,
        too_narrow: narrow.count,
        too_wide: wide.count,
      })),
    time: () =>
      steps.map(({ step, visits, median, from, to }) => ({
        step,
        visits,
        median_minutes: median,
        from_minutes: from,
        to_minutes: to,
      })),
  };
  return csvFile(show, Papa.unparse<object>(rows[show](), CSV));
}
