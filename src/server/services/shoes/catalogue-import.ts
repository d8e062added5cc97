import type { ImportLine } from '@/contract/records';
import { IMPORT_LIMIT } from '@/contract/shoes';
import type { CatalogueEntry, CatalogueReport } from '@/core/catalogue/catalogue-entry';
import { readCatalogueJson } from '@/formats/catalogue/json';
import { readCatalogueCsv } from '@/formats/catalogue/read-csv';
import { type Spooled, spool } from '@/server/http/spool';
import { unkeepableText } from '@/server/http/text';
import { type Actor, asTenant, type Tenant } from '../../database/tenant';
import { log } from '../../http/log';
import { Refusal } from '../../http/problem';
import { today } from '../clock';
import { knownModels, storeEntries, tieForerunners } from './catalogue-store';
import { noteChange } from './models';

/** Entries written at a time. */
const BATCH = 400;

/** A catalogue over a slow line. Nothing is locked while it comes. */
const UPLOAD_DEADLINE_MS = 120_000;

/** Ends a transaction on purpose: everything that was written in it is taken back. */
class TakenBack extends Error {}

/** Entries stored as they are read; nothing of them is visible to anybody before the end. */
async function readInto(
  tenant: Tenant,
  file: Spooled,
  isJson: boolean,
  gone: AbortSignal,
  say: (line: ImportLine) => void,
): Promise<CatalogueReport & { added: number; changed: number }> {
  const counts = { added: 0, changed: 0 };
  const models = await knownModels(tenant);
  const replaced: Pick<CatalogueEntry, 'maker' | 'name' | 'version' | 'replaces'>[] = [];
  let waiting: CatalogueEntry[] = [];
  const store = async (least: number) => {
    while (waiting.length >= least && waiting.length > 0) {
      if (gone.aborted) throw new TakenBack();
      const batch = waiting.slice(0, BATCH);
      waiting = waiting.slice(BATCH);
      const stored = await storeEntries(tenant, batch, models);
      counts.added += stored.added;
      counts.changed += stored.changed;
    }
  };
  const take = (entries: readonly CatalogueEntry[]) => {
    if (unkeepableText([...entries]).length > 0)
      throw new Refusal(422, 'The file holds characters that cannot be stored.');
    waiting.push(...entries);
    for (const { maker, name, version, replaces } of entries)
      if (replaces !== null) replaced.push({ maker, name, version, replaces });
  };
  let report: CatalogueReport;
  if (isJson) {
    const read = readCatalogueJson(await file.text());
    report = read.report;
    take(read.entries);
  } else
    report = await readCatalogueCsv(file.chunks(), {
      today: today(),
      onEntries: async (entries) => {
        take(entries);
        await store(BATCH);
      },
      onProgress: ({ rows }) => say({ rows }),
    });
  if (report.errorCount === 0) {
    await store(1);
    const unknown = await tieForerunners(tenant, replaced);
    if (unknown.length > 0)
      report.notes.push(`Forerunners that nobody knows: ${unknown.slice(0, 5).join(', ')}.`);
  }
  return { ...report, ...counts };
}

/**
 * Reads a catalogue from a request's body, all or nothing: one transaction, taken back on any error, on a dry run, and when
 * the reader of the answer goes away. Memory stays flat: rows are stored as they are read.
 */
export function importCatalogue(actor: Actor, request: Request, dry: boolean): Response {
  const { body } = request;
  if (!body) throw new Refusal(400, 'Send the file as the body.');
  const gone = new AbortController();
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      let reported = 0;
      const say = (line: ImportLine) => {
        if (gone.signal.aborted) return;
        // Progress is worth a line every hundred rows.
        if ('rows' in line && line.rows - reported < 100) return;
        if ('rows' in line) reported = line.rows;
        controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      };
      let file: Spooled | null = null;
      let outcome: (CatalogueReport & { added: number; changed: number }) | null = null;
      try {
        // All of it first: whoever sends slowly keeps nobody else waiting.
        file = await spool(body, { limit: IMPORT_LIMIT, deadlineMs: UPLOAD_DEADLINE_MS });
        const spooled = file;
        const isJson = request.headers.get('content-type')?.includes('json') ?? false;
        await asTenant(actor, async (tenant) => {
          outcome = await readInto(tenant, spooled, isJson, gone.signal, say);
          if (dry || outcome.errorCount > 0) throw new TakenBack();
          await noteChange(
            tenant,
            'import',
            `Import: ${outcome.added} added, ${outcome.changed} changed`,
            null,
          );
        });
        say({ finished: { ...outcome!, imported: true } });
      } catch (error) {
        if (error instanceof TakenBack) {
          if (outcome)
            say({
              finished: {
                ...(outcome as CatalogueReport & { added: number; changed: number }),
                imported: false,
              },
            });
        } else {
          if (!(error instanceof Refusal)) log.error({ err: error }, 'catalogue import');
          const message =
            error instanceof Refusal ? error.message : 'The import broke off. Nothing was changed.';
          say({
            finished: {
              rows: 0,
              entries: 0,
              errors: [{ row: 1, column: '', message }],
              errorCount: 1,
              notes: [],
              added: 0,
              changed: 0,
              imported: false,
            },
          });
        }
      }
      await file?.drop();
      if (!gone.signal.aborted) controller.close();
    },
    cancel: () => gone.abort(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8', 'cache-control': 'no-store' },
  });
}
