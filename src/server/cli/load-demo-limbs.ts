import { sql } from 'kysely';
import { addDays } from '@/core/calendar/days';
import { SIDES } from '@/core/findings/finding-kinds';
import { type ProstheticFoot, prostheticFootOf, readerOnFoot } from '@/core/prosthesis/on-this-foot';
import { DEMO_CHARTS, demoLimbs } from '@/demo/limbs';
import type { Tenant } from '../database/tenant';
import { latestPicture } from '../services/limb/latest-picture';
import { saveLimb, saveSockChart } from '../services/limb/limb';
import { keepSocks } from '../services/limb/socks';
import { keepTableCheck } from '../services/limb/table-checks';
import { listModels } from '../services/shoes/models';

/** Who wears a prosthesis, by what their visits found. */
async function wearers(tenant: Tenant): Promise<{ patientId: string; foot: ProstheticFoot }[]> {
  const rows = await tenant.tx
    .selectFrom('visit_step')
    .innerJoin('visit', 'visit.id', 'visit_step.visit_id')
    .select('visit.patient_id')
    .distinct()
    .where('step', '=', 'ask')
    .where(sql`content #>> '{findings,body,prosthesisSide}'`, 'in', SIDES)
    .execute();
  const found = [];
  for (const { patient_id: patientId } of rows) {
    const foot = prostheticFootOf(await latestPicture(tenant, patientId));
    if (foot) found.push({ patientId, foot });
  }
  // Whose foot is measured comes first.
  return found.toSorted((a, b) => Number(b.foot.setRiseMm !== null) - Number(a.foot.setRiseMm !== null));
}

/** Months of socks, a drawer and shoes on the table for those who wear a prosthesis. */
export async function addLimbs(tenant: Tenant, today: string): Promise<void> {
  for (const chart of DEMO_CHARTS) await saveSockChart(tenant, chart);
  const people = await wearers(tenant);
  const limbs = demoLimbs(today);
  for (const [at, { patientId, foot }] of people.entries()) {
    const limb = limbs[at];
    if (!limb) break;
    await saveLimb(tenant, patientId, { revision: 0, record: limb.record });
    for (const entry of limb.entries) await keepSocks(tenant, patientId, entry, 'home');
    if (foot.setRiseMm !== null) await checkShoes(tenant, patientId, foot, today);
  }
}

/** A shoe that stands, in a version that has a successor where there is one, and one that does not. */
async function checkShoes(
  tenant: Tenant,
  patientId: string,
  foot: ProstheticFoot,
  today: string,
): Promise<void> {
  const models = await listModels(tenant);
  const read = readerOnFoot(foot);
  const replaced = new Set(models.flatMap(({ replaces }) => replaces ?? []));
  const stands = models.filter((model) => read(model).refusals.length === 0);
  const upright = stands.find(({ id }) => replaced.has(id)) ?? stands[0];
  const dress = models.find((model) => read(model).shank?.verdict === 'do-not-walk');
  for (const [model, daysAgo] of [
    [upright, 120],
    [dress, 64],
  ] as const) {
    const on = model && read(model);
    if (!model || !on?.shank || on.riseMm === null) continue;
    const { shank, riseMm } = on;
    await keepTableCheck(tenant, patientId, {
      model: model.id,
      on: addDays(today, -daysAgo),
      decision: shank.refused ? 'refused' : 'approved',
      riseMm: Math.round(riseMm * 10) / 10,
      wedgeMm: shank.wedgeMm ?? 0,
      leanDeg: shank.wedgeMm === null ? shank.angleDeg : 0.1,
      leanError: 0.2,
      ...(shank.wedgeMm === null ? {} : { leanBeforeDeg: shank.angleDeg }),
      note: shank.refused ? 'for a wedding; looks for another' : '',
    });
  }
}
