import { get, set, update } from 'idb-keyval';
import type { HomeReport } from '@/core/home/report';
import { type HomePage, homePageSchema } from '@/core/home/view-schema';

/** Something that waits to be sent, and through which link. */
export interface Waiting {
  link: string;
  report: HomeReport;
}

const PAGES = 'pages';
const WAITING = 'waiting';
type Pages = Record<string, unknown>;

/** Pages that this phone has opened, each as it was last seen; one that no longer reads is left out. */
export async function keptPages(): Promise<HomePage[]> {
  const pages = (await get<Pages>(PAGES)) ?? {};
  return Object.values(pages).flatMap((page) => {
    const read = homePageSchema.safeParse(page);
    return read.success ? [read.data] : [];
  });
}

export const keepPage = (page: HomePage): Promise<void> =>
  update<Pages>(PAGES, (pages = {}) => ({ ...pages, [page.view.link]: page }));

export const waitingOnes = async (): Promise<Waiting[]> => (await get<Waiting[]>(WAITING)) ?? [];

export const putInLine = (one: Waiting): Promise<void> =>
  update<Waiting[]>(WAITING, (line = []) => [...line, one]);

export const takeOut = (id: string): Promise<void> =>
  update<Waiting[]>(WAITING, (line = []) => line.filter(({ report }) => report.id !== id));

/** Removes all of one link from this phone. */
export async function forgetLink(link: string): Promise<void> {
  await update<Pages>(PAGES, ({ [link]: _, ...others } = {}) => others);
  await set(
    WAITING,
    (await waitingOnes()).filter((one) => one.link !== link),
  );
}
