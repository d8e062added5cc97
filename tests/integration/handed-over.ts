import { patientSheetSchema } from '@/core/aftercare/sheet-schema';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { handOver } from '@/server/services/visits/hand-over';
import { readSheet } from '@/server/services/visits/sheets';
import { saveStep, startVisit } from '@/server/services/visits/visits';
import { somebodyCalled, wornModel, wornPair } from './worn-pair';

interface Steps {
  /** Somebody who is known; else one is made up. */
  patientId?: string;
  ask?: object;
  feet?: object;
  input?: object;
  before?: string;
}

let names = 0;
/** Somebody who is handed a pair today: the pair, the visit and the sheet. */
export async function handedOver(me: Actor, steps: Steps = {}) {
  names += 1;
  const familyName = `Wears${names}`;
  const patientId = steps.patientId ?? (await somebodyCalled(me, familyName, '1980-01-01'));
  if (steps.before)
    await wornPair(me, patientId, steps.before, addDays(today(), -200), { expected_weekly_km: 18 });
  const model = await wornModel(me, { name: `New ${names}` });
  const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
  const contents = {
    ask: { findings: { body: { activities: ['walking'], bodyMass: 70, weeklyDistance: 18 } }, ...steps.ask },
    feet: { findings: { left: { footLength: 244 }, right: { footLength: 245 } }, ...steps.feet },
    warnings: { checked: true, present: [] },
    'try-on': {
      tryOns: [{ model, sizeLeft: 39, sizeRight: 39, width: 'D', comfort: 71, verdict: 'chosen' }],
    },
  } as const;
  for (const step of ['ask', 'feet', 'warnings', 'try-on'] as const)
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, step, { revision: 0, state: 'done', content: contents[step] }),
    );
  const { pairId } = await asTenant(me, (tenant) => handOver(tenant, visitId, steps.input ?? {}));
  const sheet = await readSheet(me, visitId, null);
  return { patientId, familyName, visitId, pairId, sheet: patientSheetSchema.parse(sheet) };
}
