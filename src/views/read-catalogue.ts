import type { Answer } from '@/contract/answer';
import { call } from '@/contract/client';
import type { ProblemDetails } from '@/contract/operation';
import { type CatalogueColumns, type CatalogueRead, openingCatalogue } from '@/core/catalogue/columns';
import type { ShoeModel } from '@/core/catalogue/model';
import type { CatalogueParts } from '@/core/catalogue/parts';

/** A catalogue as it came, for a worker, and as models. */
export interface OpenCatalogue {
  read: CatalogueRead;
  models: ShoeModel[];
}

/** Parts asked for at once. */
const AT_ONCE = 6;
/** How often it is begun anew where somebody changes the catalogue while it is read. */
const TRIES = 3;

async function partsOf(
  { bits, parts }: CatalogueParts,
  onPart: (share: number) => void,
): Promise<Answer<CatalogueColumns[]>> {
  const read: CatalogueColumns[] = [];
  let failed: Exclude<Answer<CatalogueColumns>, { ok: true }> | null = null;
  let next = 0;
  let done = 0;
  const readOn = async (): Promise<void> => {
    for (let at = next++; at < parts.length && !failed; at = next++) {
      const answer = await call('cataloguePart', { params: { bits, ...parts[at]! } });
      if (!answer.ok) failed = answer;
      else read[at] = answer.value;
      done += 1;
      onPart(done / parts.length);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, readOn));
  return failed ?? { ok: true, value: read };
}

/** What was learned is told in the order of the parts: of other models than theirs it would be another shoe's. */
const CHANGING: ProblemDetails = {
  type: 'about:blank',
  title: 'The catalogue is being changed. Try again in a moment.',
  status: 409,
  code: 'conflict',
};

/** A frame's share of work at one go, ms. */
const PIECE_MS = 8;

/** Work in pieces, between which the page answers to keys and draws. */
async function inPieces<T>(work: Generator<void, T>): Promise<T> {
  for (;;) {
    const until = performance.now() + PIECE_MS;
    do {
      const step = work.next();
      if (step.done) return step.value;
    } while (performance.now() < until);
    await new Promise((resolve) => setTimeout(resolve, 0));
  }
}

/**
 * The clinic's catalogue in its parts: the browser keeps each under its version, so that only what changed is fetched again.
 *
 * @param onPart is told which share has come
 */
export async function readCatalogue(onPart: (share: number) => void): Promise<Answer<OpenCatalogue>> {
  for (let tries = 1; ; tries += 1) {
    const list = await call('catalogueParts', {});
    if (!list.ok) return list;
    const [parts, learned] = await Promise.all([
      partsOf(list.value, onPart),
      call('learnedFits', { params: { version: list.value.learned } }),
    ]);
    const isWhole =
      parts.ok &&
      learned.ok &&
      parts.value.reduce((sum, { ids }) => sum + ids.length, 0) === learned.value.length.at.length;
    if (isWhole) {
      const read = { parts: parts.value, learned: learned.value };
      return { ok: true, value: { read, models: await inPieces(openingCatalogue(read)) } };
    }
    const failed = parts.ok ? learned : parts;
    const hasChanged = failed.ok || (failed.kind === 'refused' && failed.problem.status === 409);
    if (!hasChanged && !failed.ok) return failed;
    if (tries === TRIES) return failed.ok ? { ok: false, kind: 'refused', problem: CHANGING } : failed;
  }
}
