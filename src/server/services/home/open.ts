import { z } from 'zod';
import { isoDay } from '@/core/calendar/iso-day';
import { AGREEMENT_EDITION } from '@/core/home/home-words';
import { homeDigest, homeLinkOpened, newPhoneSecret, tryHomeLink } from '../../auth/home-link';
import { asTenant, audit } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { patientRow } from '../patients/patient-row';
import { patientOfLink } from './page';

export const openHomeSchema = z.strictObject({
  token: z.string().length(22),
  bornOn: isoDay,
  /** Edition of the words that were agreed to. */
  agreed: z.literal(AGREEMENT_EDITION),
});

/** Opened, with a secret for a cookie that no script reads; or another date of birth, with how many tries are left. */
export type OpenedHome = { link: string; secret: string; until: Date } | { left: number };

export const linkGone = () => new Refusal(404, 'This link no longer works.');

/**
 * Opens a link on a phone. A link that is not known, was closed, is too old or was tried too often answers alike; how many tries are
 * left is said only to who has a good one.
 */
export async function openHome({ token, bornOn }: z.infer<typeof openHomeSchema>): Promise<OpenedHome> {
  const caller = await tryHomeLink(token);
  if (!caller) throw linkGone();
  const secret = newPhoneSecret();
  const isRight = await asTenant(caller.actor, async (tenant) => {
    const patientId = await patientOfLink(tenant, caller.patientId);
    const patient = await patientRow(tenant, patientId).catch(() => null);
    if (!patient) throw linkGone();
    if (patient.born_on !== bornOn) {
      await audit(tenant, 'refused', 'own page: another date of birth', patientId);
      return false;
    }
    await tenant.tx
      .insertInto('home_phone')
      .values({
        clinic_id: caller.actor.clinicId,
        link_id: caller.linkId,
        hash: homeDigest(secret),
        agreed_to: AGREEMENT_EDITION,
      })
      .execute();
    await audit(tenant, 'sign-in', 'own page opened on a phone', patientId);
    return true;
  });
  if (!isRight) return { left: caller.triesLeft };
  await homeLinkOpened(caller);
  return { link: caller.linkId, secret, until: caller.expiresAt };
}
