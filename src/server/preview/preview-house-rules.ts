import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { sql } from 'kysely';
import type { PreviewLine } from '@/contract/records';
import type { HouseRules } from '@/core/knowledge/house-rules';
import { type Actor, asTenant, audit } from '../database/tenant';
import { processBeside } from '../heavy/process-beside';
import { log } from '../http/log';
import { Refusal } from '../http/problem';
import { readHouseRules } from '../services/knowledge/in-force';
import { houseRulesErrors } from '../services/knowledge/knowledge';
import type { PreviewAsked, PreviewSaid } from './preview-process';

/** Pictures read and resolved at a time: memory stays flat however many there are. */
const PAGE = 200;

/** Each takes a core of the machine. */
const PREVIEWS_AT_ONCE = 2;
let underWay = 0;

/** One page of issued specifications, newest first, each in a short transaction of its own. */
const readPage = (actor: Actor, after: { at: Date; id: string } | null) =>
  asTenant(actor, async ({ tx }) => {
    const query = tx
      .selectFrom('specification')
      .innerJoin('patient', 'patient.id', 'specification.patient_id')
      .select([
        'specification.id',
        'specification.visit_id',
        // No rule reads how a finding was taken, and it is four fifths of a picture.
        sql<string>`(specification.picture - 'taken')::text`.as('picture'),
        sql<string>`specification.choices::text`.as('choices'),
        'specification.issued_at',
        'patient.given_name',
        'patient.family_name',
      ])
      .orderBy('specification.issued_at', 'desc')
      .orderBy('specification.id', 'desc')
      .limit(PAGE);
    return (
      after
        ? query.where((is) =>
            is.or([
              is('specification.issued_at', '<', after.at),
              is.and([is('specification.issued_at', '=', after.at), is('specification.id', '<', after.id)]),
            ]),
          )
        : query
    ).execute();
  });

function startProcess(): ChildProcess {
  const child = processBeside('preview/preview-process');
  // A process that cannot be started or reached ends this preview, not the server.
  child.on('error', (error) => log.error({ err: error }, 'preview process'));
  return child;
}

/** The next answer of the process; an error if it ends instead. */
async function answerOf(child: ChildProcess): Promise<PreviewSaid> {
  const settled = new AbortController();
  const { signal } = settled;
  try {
    return await Promise.race([
      once(child, 'message', { signal }).then(([said]) => said as PreviewSaid),
      once(child, 'exit', { signal }).then(() => {
        throw new Error('The preview process ended.');
      }),
    ]);
  } finally {
    settled.abort();
  }
}

/**
 * Which issued specifications would change under new house rules, a line of JSON each as it is found, with
 * progress between. Ends early, and ends its process, when the reader goes away.
 */
export async function previewHouseRules(
  actor: Actor,
  proposed: Omit<HouseRules, 'version'>,
): Promise<Response> {
  const errors = houseRulesErrors(proposed.changes);
  if (errors.length > 0) throw new Refusal(422, 'These house rules cannot be put in force.', { errors });
  const { before, of } = await asTenant(actor, async (tenant) => {
    const { count } = await tenant.tx
      .selectFrom('specification')
      .select((is) => is.fn.countAll().as('count'))
      .executeTakeFirstOrThrow();
    await audit(tenant, 'read', 'specifications, for a preview of house rules', null);
    return { before: await readHouseRules(tenant), of: Number(count) };
  });
  if (underWay >= PREVIEWS_AT_ONCE)
    throw new Refusal(503, 'Another preview is being worked out. Try again when it has ended.');
  underWay += 1;
  const after: HouseRules = { version: before.version + 1, ...proposed };
  const child = startProcess();
  child.once('exit', () => {
    underWay -= 1;
  });
  child.send({ before, after } satisfies PreviewAsked);
  const encoder = new TextEncoder();
  // The next page is read while the process works on this one; its failure is told where it is awaited, if it still is.
  const readAhead = (after: Parameters<typeof readPage>[1]) => {
    const page = readPage(actor, after);
    page.catch(() => null);
    return page;
  };
  let next = readAhead(null);
  let looked = 0;
  let changed = 0;
  const stop = () => {
    if (child.connected) child.disconnect();
  };
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const say = (line: PreviewLine) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      const rows = await next;
      if (rows.length === 0) {
        say({ finished: { looked, changed } });
        stop();
        controller.close();
        return;
      }
      child.send({
        page: rows.map(({ picture, choices }) => ({ picture, choices })),
      } satisfies PreviewAsked);
      const last = rows.at(-1)!;
      next = readAhead({ at: last.issued_at, id: last.id });
      const answers = await answerOf(child);
      for (const [at, row] of rows.entries()) {
        const change = answers[at];
        if (!change) continue;
        changed += 1;
        say({
          change: {
            specificationId: row.id,
            visitId: row.visit_id,
            patient: `${row.given_name} ${row.family_name}`,
            issuedAt: row.issued_at.toISOString(),
            ...change,
          },
        });
      }
      looked += rows.length;
      say({ done: looked, of });
    },
    cancel: stop,
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8', 'cache-control': 'no-store' },
  });
}
