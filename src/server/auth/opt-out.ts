import { createHmac, timingSafeEqual } from 'node:crypto';
import { siteOrigin } from '../http/site-origin';

const UUID = '[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}';
const TOKEN = new RegExp(`^(${UUID})\\.(${UUID})\\.([\\w-]{22})$`);

const seal = (clinicId: string, patientId: string): string =>
  createHmac('sha256', process.env.SOVET_SECRET ?? '')
    .update(`no more ${clinicId} ${patientId}`)
    .digest('base64url')
    .slice(0, 22);

/** Where somebody says that they want no more notes; the secret stands behind the #. */
export const optOutAddress = (clinicId: string, patientId: string): string =>
  `${siteOrigin()}/no-more#${clinicId}.${patientId}.${seal(clinicId, patientId)}`;

/** Whom such an address is of; null where it was made up. */
export function whoOptsOut(token: string): { clinicId: string; patientId: string } | null {
  const [, clinicId, patientId, sealed] = TOKEN.exec(token) ?? [];
  if (!clinicId || !patientId || !sealed) return null;
  const right = Buffer.from(seal(clinicId, patientId));
  return timingSafeEqual(right, Buffer.from(sealed)) ? { clinicId, patientId } : null;
}
