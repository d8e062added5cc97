import type { z } from 'zod';
import type { api } from '@/contract/contract';
import type { ClinicRecord } from '@/contract/records';
import { USUAL_FORMATS } from '@/core/formats/formats';
import { oncePerTransaction } from '../../database/once';
import { audit, type Tenant } from '../../database/tenant';
import { forecastsAreStale, lifeIsStale } from '../pairs/stale';

export const readClinic = oncePerTransaction<ClinicRecord>(async ({ tx }) => {
  const row = await tx.selectFrom('clinic').selectAll().executeTakeFirstOrThrow();
  return {
    id: row.clinic_id,
    name: row.name,
    place: row.place,
    school: row.school,
    lifeSchool: row.life_school,
    bringIn: row.bring_in,
    phone: row.phone,
    breakInSchool: row.break_in_school,
    formats: { ...USUAL_FORMATS, ...row.formats },
    secondFactorRequired: row.second_factor_required,
    retention: row.retention,
    quietFrom: row.quiet_from,
    quietTo: row.quiet_to,
    digest: row.digest,
  };
});

export async function changeClinic(
  tenant: Tenant,
  change: z.infer<NonNullable<typeof api.changeClinic.body>>,
): Promise<ClinicRecord> {
  const set = {
    ...(change.school ? { school: change.school } : {}),
    ...(change.lifeSchool ? { life_school: change.lifeSchool } : {}),
    ...(change.bringIn ? { bring_in: change.bringIn } : {}),
    ...(change.phone === undefined ? {} : { phone: change.phone }),
    ...(change.quietFrom === undefined ? {} : { quiet_from: change.quietFrom }),
    ...(change.quietTo === undefined ? {} : { quiet_to: change.quietTo }),
    ...(change.digest === undefined ? {} : { digest: change.digest }),
    ...(change.breakInSchool ? { break_in_school: change.breakInSchool } : {}),
    ...(change.name ? { name: change.name } : {}),
    ...(change.place ? { place: change.place } : {}),
    ...(change.formats ? { formats: JSON.stringify(change.formats) } : {}),
    ...(change.retention ? { retention: JSON.stringify(change.retention) } : {}),
    ...(change.secondFactorRequired === undefined
      ? {}
      : { second_factor_required: change.secondFactorRequired }),
  };
  if (Object.keys(set).length > 0) await tenant.tx.updateTable('clinic').set(set).execute();
  readClinic.forget(tenant);
  if (change.lifeSchool) await lifeIsStale(tenant);
  if (change.lifeSchool || change.bringIn) await forecastsAreStale(tenant);
  await audit(tenant, 'write', `the clinic: ${Object.keys(change).join(', ')}`, null);
  return readClinic(tenant);
}
