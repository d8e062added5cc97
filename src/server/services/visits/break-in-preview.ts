import type { z } from 'zod';
import type { BreakInPreview } from '@/contract/answers/break-in';
import { breakInWords } from '@/core/aftercare/break-in-words';
import { addDays } from '@/core/calendar/days';
import { RETURN_DAYS } from '@/core/orders/order';
import { ENGLISH } from '@/core/texts/english';
import type { handOverSchema } from '@/core/visit/contents';
import { chosenTryOn } from '@/core/visit/examined';
import { contentsOf } from '@/core/visit/held';
import { readVisit } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { today } from '../clock';
import { breakInOf } from '../pairs/new-break-in';
import { modelInCatalogue } from './issue';
import { loadVisit } from './visits';

/** How the pair that was chosen would be broken in, as the sheet will say it; nothing is kept. */
export async function previewBreakIn(
  tenant: Tenant,
  visitId: string,
  input: z.infer<typeof handOverSchema>,
): Promise<BreakInPreview> {
  const visit = await loadVisit(tenant, visitId);
  const contents = { ...contentsOf(visit.steps), 'hand-over': input };
  const tryOn = chosenTryOn(contents);
  const model = tryOn && (await modelInCatalogue(tenant, tryOn.model));
  if (!tryOn || !model) throw new Refusal(422, 'Choose a pair at the try-on first.');
  const startedOn = input.startedOn ?? today();
  const { picture } = readVisit(visit, contents, model);
  const breakIn = await breakInOf(tenant, {
    patientId: visit.patient.id,
    contents,
    picture,
    startedOn,
    features: model.features,
    tryOn,
    input,
    school: visit.clinic.breakInSchool,
  });
  const { weeks, lines } = breakInWords(breakIn.plan, breakIn.input, ENGLISH, {
    returnBy: addDays(startedOn, RETURN_DAYS),
    isMuchSofter: breakIn.isMuchSofter,
  });
  return {
    plan: breakIn.input.plan,
    changeWeeks: breakIn.input.changeWeeks,
    restsOnWeek: breakIn.input.outings.length > 0,
    doneOn: breakIn.plan.doneOn,
    weeks,
    lines,
  };
}
