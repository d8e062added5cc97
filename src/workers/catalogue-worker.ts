import type { CatalogueReport } from '@/core/catalogue/catalogue-entry';
import { ok } from '@/core/result/result';
import { readCatalogueJson } from '@/formats/catalogue/json';
import { readCatalogueCsv } from '@/formats/catalogue/read-csv';
import { serve } from './task';

export interface CatalogueCheckQuestion {
  file: File;
  today: string;
}
export interface CatalogueCheck {
  report: CatalogueReport;
  /** The first entries, to look at. */
  first: { title: string; features: number; sizes: string }[];
}

const LOOKED_AT = 12;

async function* chunksOf(file: File): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

/** Reads a catalogue file on this computer and says what is in it and what is wrong, before anything is sent. */
serve<CatalogueCheckQuestion, CatalogueCheck>(async ({ file, today }, report) => {
  const first: CatalogueCheck['first'] = [];
  const look = (entries: Parameters<Parameters<typeof readCatalogueCsv>[1]['onEntries']>[0]) => {
    for (const entry of entries.slice(0, LOOKED_AT - first.length))
      first.push({
        title: `${entry.maker} ${entry.name} ${entry.version}`,
        features: Object.keys(entry.readings).length,
        sizes: `${entry.sizing.system} ${entry.sizing.sizes[0]}–${entry.sizing.sizes.at(-1)} ${entry.sizing.widths.join(' ')}`,
      });
  };
  if (file.name.toLowerCase().endsWith('.json')) {
    const { report: read, entries } = readCatalogueJson(await file.text());
    look(entries);
    return ok({ report: read, first });
  }
  const read = await readCatalogueCsv(chunksOf(file), {
    today,
    onEntries: look,
    onProgress: ({ rows, bytes }) => report(`${rows} rows read`, file.size === 0 ? 1 : bytes / file.size),
  });
  return ok({ report: read, first });
});
