import { planBreakIn } from '@/core/break-in/plan';
import { type ConsentState, consentState } from '@/core/contact/consent';
import { type EmployerLetter, employerLetter } from '@/core/letters/employer-letter';
import { type ReferrerLetter, referrerLetter } from '@/core/letters/referrer-letter';
import { speechIn } from '@/core/texts/languages';
import { contentsOf } from '@/core/visit/held';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { readBreakIn } from '../pairs/break-in';
import { listConsents } from '../patients/consents';
import { readClinic } from '../people/clinic';
import { languagesOffered, wordsFor } from '../people/texts';
import { type Rationale, readRationale } from './rationales';
import { handOverOf } from './sheets';

/** The letter to an employer, in the language of the sheet or another; and which others there are. */
export async function readEmployerLetter(
  tenant: Tenant,
  visitId: string,
  specification: string | null,
  asked: string | null,
): Promise<{ letter: EmployerLetter; languages: { language: string; name: string }[] }> {
  const row = await handOverOf(tenant, visitId, specification);
  if (!row) throw notFound('This sheet');
  const languages = await languagesOffered(tenant);
  const { language, house } = await wordsFor(
    tenant,
    languages.find((offered) => offered.language === asked)?.language ?? row.sheet.language,
  );
  const input = await readBreakIn(tenant, row.pair_id);
  const speech = speechIn(language, house);
  await audit(tenant, 'read', 'letter to the employer', row.patient_id);
  return {
    letter: employerLetter(row.sheet, input && planBreakIn(input).doneOn, speech),
    languages,
  };
}

export interface Referral {
  rationale: Rationale;
  letter: ReferrerLetter;
  /** Whether the record may go to another practitioner. */
  share: ConsentState;
  /** What was handed over; null while nothing was. */
  provided: { shoe: string; size: string; startedOn: string; reviewOn: string; phone: string } | null;
}

/** A visit as a letter to the doctor who referred. */
export async function readReferrerLetter(
  tenant: Tenant,
  visitId: string,
  specification: string | null,
): Promise<Referral> {
  const rationale = await readRationale(tenant, visitId, null);
  const row = await handOverOf(tenant, visitId, specification);
  const { visit, board, picture } = rationale;
  await audit(tenant, 'read', 'letter to the referrer', visit.patient.id);
  return {
    rationale,
    letter: referrerLetter({
      board,
      picture,
      contents: contentsOf(visit.steps),
      modifications: row?.modifications ?? [],
      formats: (await readClinic(tenant)).formats,
    }),
    share: consentState(await listConsents(tenant, visit.patient.id), 'share'),
    provided: row ? row.sheet : null,
  };
}
