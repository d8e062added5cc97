import { sql } from 'kysely';
import type { z } from 'zod';
import type { HomeRecord, HomeReportRecord, seenSchema } from '@/contract/home';
import { stopsAtFirst } from '@/core/break-in/schools';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import {
  type HomeReport,
  isHomeWarning,
  type KeptContent,
  type StoredReport,
  storedInWords,
} from '@/core/home/report';
import { girthAlarm } from '@/core/recall/trends';
import { CLOCK_OF_USE, CLOCKS, madeForUse } from '@/core/wear/clocks';
import type { HomeCaller } from '../../auth/home-link';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { keepSocks, limbAlarm } from '../limb/socks';
import { answerOuting, readBreakIn } from '../pairs/break-in';
import { addToOutcome } from '../pairs/outcomes';
import { logPair } from '../pairs/pair-log';
import { withFolded } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';
import { listHomeLinks } from './links';
import { patientOfLink } from './page';

/** Reports that one link takes in a day; more is no person. Ours. */
const MOST_A_DAY = 200;
/** Earlier reports that a girth is held against; of both legs and three places, so some more. */
const BEFORE = 30;
/** Reports that a record shows, the newest. */
const SHOWN = 60;

/** A pair of this patient with what its use is counted in; null where it is none of theirs. */
async function pairOf({ tx }: Tenant, patientId: string, pairId: string | null) {
  if (pairId === null) return null;
  const row = await tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .select(['pair.id', 'features'])
    .where('pair.id', '=', pairId)
    .where('patient_id', '=', patientId)
    .executeTakeFirst();
  return row ? { id: row.id, clock: CLOCK_OF_USE[madeForUse(row.features)] } : null;
}

/** Feet at which the first mark or soreness counts: as the plan of the pair says, or by the latest picture of the person. */
async function isFirstEnough(tenant: Tenant, patientId: string, pairId: string | null): Promise<boolean> {
  const plan = pairId && (await readBreakIn(tenant, pairId));
  if (plan && stopsAtFirst(plan.plan)) return true;
  const row = await tenant.tx
    .selectFrom('specification')
    .select('picture')
    .where('patient_id', '=', patientId)
    .orderBy('issued_at', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row ? (categoryOfPerson(clinicalPicture(row.picture)) ?? 0) >= 1 : false;
}

/** What a report adds to the record of its pair. */
async function intoRecord(
  tenant: Tenant,
  pair: NonNullable<Awaited<ReturnType<typeof pairOf>>>,
  on: string,
  content: KeptContent,
): Promise<void> {
  switch (content.kind) {
    case 'outing': {
      const { felt, gaitChanged, marks } = content;
      if (await readBreakIn(tenant, pair.id))
        await answerOuting(tenant, pair.id, { on, felt, gaitChanged, marks });
      return;
    }
    case 'use':
      await logPair(tenant, pair.id, {
        on,
        ...(pair.clock === 'km' ? { distanceKm: content.amount } : { amount: content.amount }),
        note: 'from home',
      });
      return;
    case 'comfort': {
      const { comfort, pain } = content;
      return addToOutcome(tenant, pair.id, on, { comfort, ...(pain === undefined ? {} : { pain }) });
    }
    case 'ache':
      return addToOutcome(tenant, pair.id, on, { pain: content.pain });
    case 'blister':
      return addToOutcome(tenant, pair.id, on, {
        skinAt: [{ ...content.spot, sign: content.isOpen ? 'ulcer' : 'blister' }],
      });
    case 'warning':
      if (content.signs.includes('fall')) await addToOutcome(tenant, pair.id, on, { falls: 1 });
      return;
    default:
      return;
  }
}

/**
 * Keeps what was said from home, once however often it arrives. It stands in the patient’s record as unverified in any case; where the
 * record of the pair cannot take it (retired since, a day ahead), why not stands beside it.
 */
export async function receiveReport(
  tenant: Tenant,
  { linkId, patientId: linked }: Pick<HomeCaller, 'linkId' | 'patientId'>,
  report: HomeReport,
): Promise<{ isWarning: boolean }> {
  const { tx, actor } = tenant;
  const patientId = await patientOfLink(tenant, linked);
  await patientRow(tenant, patientId);
  const { many } = await tx
    .selectFrom('home_report')
    .select((eb) => eb.fn.countAll<string>().as('many'))
    .where('link_id', '=', linkId)
    .where('patient_id', '=', patientId)
    .where('received_at', '>', new Date(Date.now() - 86_400_000))
    .executeTakeFirstOrThrow();
  if (Number(many) >= MOST_A_DAY) throw new Refusal(429, 'That is very much for one day. Call the clinic.');
  const pair = await pairOf(tenant, patientId, report.pair);
  const { content, image, frames } = apart(report.content);
  const against =
    content.kind === 'socks'
      ? await limbAlarm(tenant, patientId, { ...content, at: report.at })
      : await girthAgainstBefore(tenant, patientId, report.at, content);
  const isWarning =
    against !== null || isHomeWarning(content, await isFirstEnough(tenant, patientId, pair?.id ?? null));
  const stored: StoredReport = { at: report.at, content, ...(against === null ? {} : { against }) };
  const kept = await tx
    .insertInto('home_report')
    .values({
      clinic_id: actor.clinicId,
      id: report.id,
      patient_id: patientId,
      pair_id: pair?.id ?? null,
      link_id: linkId,
      said_on: report.on,
      content: JSON.stringify(stored),
      image,
      frames,
      is_warning: isWarning,
      aside: null,
      seen_at: null,
      seen_by: null,
    })
    .onConflict((conflict) => conflict.columns(['clinic_id', 'id']).doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!kept) return { isWarning };
  if (content.kind === 'socks') await keepSocks(tenant, patientId, { ...content, at: report.at }, 'home');
  await audit(tenant, 'write', 'said from home', patientId);
  if (pair) await noteAside(tenant, report.id, () => intoRecord(tenant, pair, report.on, content));
  return { isWarning };
}

/** What a girth is against those said before; null where it asks for nobody. */
async function girthAgainstBefore(
  { tx }: Tenant,
  patientId: string,
  at: string,
  content: KeptContent,
): Promise<string | null> {
  if (content.kind !== 'girth') return null;
  const rows = await tx
    .selectFrom('home_report')
    .select('content')
    .where('patient_id', '=', patientId)
    .where(sql`content #>> '{content,kind}'`, '=', content.kind)
    .orderBy('said_on', 'desc')
    .orderBy('received_at', 'desc')
    .limit(BEFORE)
    .execute();
  const before = rows.map((row) => row.content).toReversed();
  return girthAlarm(
    before.flatMap(({ at: when, content: one }) =>
      one.kind === 'girth' && one.side === content.side && one.measure === content.measure
        ? [{ at: when, mm: one.mm }]
        : [],
    ),
    { at, mm: content.mm },
  );
}

/** Where a record refuses what was said, that is no reason to lose it. */
async function noteAside({ tx }: Tenant, id: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const aside = error.extra.errors?.[0]?.message ?? error.message;
    await tx.updateTable('home_report').set({ aside }).where('id', '=', id).execute();
  }
}

/** Pictures lie beside what was said. */
function apart(content: HomeReport['content']): {
  content: KeptContent;
  image: Buffer | null;
  frames: Buffer[] | null;
} {
  if (content.kind === 'picture') {
    const { image, ...rest } = content;
    return { content: rest, image: Buffer.from(image, 'base64'), frames: null };
  }
  if (content.kind === 'clip') {
    const { frames, ...rest } = content;
    return {
      content: { ...rest, count: frames.length },
      image: null,
      frames: frames.map((frame) => Buffer.from(frame, 'base64')),
    };
  }
  return { content, image: null, frames: null };
}

/** Which reader of a visit can take it: a wet print or a film; null for all else. */
const readsOf = (content: KeptContent): HomeReportRecord['reads'] =>
  content.kind === 'clip'
    ? { kind: 'clip', frames: content.count, perSecond: content.perSecond }
    : content.kind === 'picture' && content.of === 'print'
      ? { kind: 'print' }
      : null;

/** Links and reports of one patient. */
export async function readHomeRecord(tenant: Tenant, patientId: string): Promise<HomeRecord> {
  const rows = await tenant.tx
    .selectFrom('home_report')
    .leftJoin('auth.user as seer', 'seer.id', 'seen_by')
    .leftJoin('pair', (join) =>
      join.onRef('pair.id', '=', 'home_report.pair_id').onRef('pair.clinic_id', '=', 'home_report.clinic_id'),
    )
    .leftJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .select([
      'home_report.id',
      'content',
      'is_warning',
      'received_at',
      'home_report.seen_at',
      'found',
      'aside',
    ])
    .select(['seer.name as seen_by', 'shoe_model.name as pair', 'features'])
    .select(sql<boolean>`home_report.image is not null or home_report.frames is not null`.as('has_picture'))
    .where('home_report.patient_id', 'in', await withFolded(tenant, patientId))
    .orderBy((eb) => eb.and([eb('is_warning', 'is', true), eb('home_report.seen_at', 'is', null)]), 'desc')
    .orderBy('said_on', 'desc')
    .orderBy('received_at', 'desc')
    .limit(SHOWN)
    .execute();
  return {
    links: await listHomeLinks(tenant, patientId),
    reports: rows.map((row) => ({
      id: row.id,
      pair: row.pair,
      at: row.content.at,
      receivedAt: row.received_at.toISOString(),
      words: storedInWords(
        row.content,
        row.features ? CLOCKS[CLOCK_OF_USE[madeForUse(row.features)]].unit : '',
      ),
      isWarning: row.is_warning,
      hasPicture: Boolean(row.has_picture),
      reads: readsOf(row.content.content),
      aside: row.aside,
      seenAt: row.seen_at?.toISOString() ?? null,
      seenBy: row.seen_by,
      found: row.found,
    })),
  };
}

/** Somebody has dealt with what was said. */
export async function seeReport(
  tenant: Tenant,
  id: string,
  { found }: z.infer<typeof seenSchema>,
): Promise<null> {
  const row = await tenant.tx
    .updateTable('home_report')
    .set({ seen_at: new Date(), seen_by: tenant.actor.userId, found })
    .where('id', '=', id)
    .returning('patient_id')
    .executeTakeFirst();
  if (!row) throw notFound('This report');
  await audit(tenant, 'write', 'dealt with what was said from home', row.patient_id);
  return null;
}

/** A photograph from home as a file, or one still picture of a film. */
export async function homePictureFile(tenant: Tenant, id: string, frame?: number): Promise<Response> {
  const row = await tenant.tx
    .selectFrom('home_report')
    .innerJoin('patient', (join) =>
      join
        .onRef('patient.id', '=', 'home_report.patient_id')
        .onRef('patient.clinic_id', '=', 'home_report.clinic_id'),
    )
    // Counted from 1 there.
    .select(
      sql<Buffer | null>`coalesce(frames[${(frame ?? 0) + 1}::int], case when frames is null then image end)`.as(
        'picture',
      ),
    )
    .select('patient_id')
    .where('home_report.id', '=', id)
    .executeTakeFirst();
  if (!row?.picture) throw notFound('This photograph');
  // A film is looked at once, however many pictures it is made of.
  if (!frame) await audit(tenant, 'read', 'photograph from home', row.patient_id);
  return new Response(new Uint8Array(row.picture), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'no-store' },
  });
}
