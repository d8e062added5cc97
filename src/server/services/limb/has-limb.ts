import { prostheticFootOf } from '@/core/prosthesis/on-this-foot';
import type { Tenant } from '../../database/tenant';
import { latestPicture } from './latest-picture';
import { limbRecordOf } from './limb-record';

/** Whether a person has a prosthetic side: a record of it, or a visit that found one. */
export const hasLimb = async (tenant: Tenant, patientId: string): Promise<boolean> =>
  (await limbRecordOf(tenant, patientId)) !== null ||
  prostheticFootOf(await latestPicture(tenant, patientId)) !== null;
