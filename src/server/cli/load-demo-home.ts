import { randomUUID } from 'node:crypto';
import { addDays, daysBetween } from '@/core/calendar/days';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { DEMO_HOME, type DemoSaid } from '@/demo/from-home';
import type { Tenant } from '../database/tenant';
import { makeHomeLink } from '../services/home/links';
import { receiveReport } from '../services/home/reports';

/** A pair that was handed over so many days ago is being broken in. */
const NEW_DAYS = 16;
const LINK_DAYS = 180;

/** Pages of a few patients' own, and what they said on them: a limb, legs that swell, a new pair. */
export async function addHome(tenant: Tenant, today: string): Promise<void> {
  const rows = await tenant.tx
    .selectFrom('hand_over')
    .innerJoin('pair', 'pair.id', 'hand_over.pair_id')
    .innerJoin('specification', 'specification.id', 'hand_over.specification_id')
    .select(['hand_over.patient_id', 'pair.id as pair', 'pair.started_on', 'specification.picture'])
    .where('pair.ended_on', 'is', null)
    .orderBy('pair.started_on', 'desc')
    .execute();
  const worn = rows.map((row) => ({ ...row, picture: clinicalPicture(row.picture) }));
  const swells = ({ picture }: (typeof worn)[number]) =>
    picture.right.swelling !== NOT_EXAMINED && picture.right.swelling !== 'none';
  const chosen: [(typeof worn)[number] | undefined, DemoSaid][] = [
    [
      worn.find(({ picture }) => ['left', 'right'].includes(String(picture.body.prosthesisSide))),
      DEMO_HOME.limb,
    ],
    [worn.find(swells), DEMO_HOME.swelling],
    [
      worn.find(({ started_on }) => {
        const age = daysBetween(started_on, today);
        return age > 6 && age < NEW_DAYS;
      }),
      DEMO_HOME.breakIn,
    ],
  ];
  for (const [somebody, said] of chosen) if (somebody) await saidBy(tenant, somebody, said, today);
}

async function saidBy(
  tenant: Tenant,
  { patient_id: patientId, pair }: { patient_id: string; pair: string },
  said: DemoSaid,
  today: string,
): Promise<void> {
  const linkId = await makeHomeLink(tenant, patientId, LINK_DAYS);
  for (const [daysAgo, content, hour = '18:20'] of said) {
    const on = addDays(today, -daysAgo);
    await receiveReport(
      tenant,
      { linkId, patientId },
      { id: randomUUID(), pair, on, at: `${on}T${hour}`, content },
    );
  }
}
