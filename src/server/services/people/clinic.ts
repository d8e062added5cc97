import type { z } from 'zod';
import type { api } from '@/contract/contract';
import type { ClinicRecord } from '@/contract/records';
import { audit, type Tenant } from '../../database/tenant';

export async function readClinic({ tx }: Tenant): Promise<ClinicRecord> {
  const row = await tx.selectFrom('clinic').selectAll().executeTakeFirstOrThrow();
  return {
    id: row.clinic_id,
    name: row.name,
    place: row.place,
    school: row.school,
    lifeSchool: row.life_school,
  };
}

export async function changeClinic(
  tenant: Tenant,
  change: z.infer<NonNullable<typeof api.changeClinic.body>>,
): Promise<ClinicRecord> {
  const set = {
    ...(change.school ? { school: change.school } : {}),
    ...(change.lifeSchool ? { life_school: change.lifeSchool } : {}),
  };
  if (Object.keys(set).length > 0) await tenant.tx.updateTable('clinic').set(set).execute();
  await audit(tenant, 'write', 'clinic defaults', null);
  return readClinic(tenant);
}
