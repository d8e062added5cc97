import { z } from 'zod';
import { AGREEMENT_EDITION } from '@/core/home/home-words';
import type { HomeReport } from '@/core/home/report';
import { type HomePage, homePageSchema } from '@/core/home/view-schema';
import { localNow } from '../local-now';

/** How a call went. `closed`: the link opens nothing any more; `away`: no connection, or nobody answers just now. */
export type Went<T> = { as: 'done'; value: T } | { as: 'closed' | 'away' | 'refused' | 'busy' };

async function call<T>(path: string, schema: z.ZodType<T>, body?: unknown): Promise<Went<T>> {
  const said = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
  try {
    const answer = await fetch(`/api/home/${path}`, {
      ...said,
      headers: { 'content-type': 'application/json' },
      // A phone whose connection hangs is told so.
      signal: AbortSignal.timeout(20_000),
    });
    if (answer.status === 404) return { as: 'closed' };
    if (answer.status === 429) return { as: 'busy' };
    if (answer.status >= 400 && answer.status < 500) return { as: 'refused' };
    const read = answer.ok ? schema.safeParse(await answer.json()) : null;
    return read?.success ? { as: 'done', value: read.data } : { as: 'away' };
  } catch {
    return { as: 'away' };
  }
}

const openedSchema = z.union([z.object({ link: z.string() }), z.object({ left: z.number() })]);

export const openLink = (token: string, bornOn: string): Promise<Went<z.infer<typeof openedSchema>>> =>
  call('open', openedSchema, { token, bornOn, agreed: AGREEMENT_EDITION });

export const fetchPage = (link: string): Promise<Went<HomePage>> =>
  call(`${link}?now=${localNow()}`, homePageSchema);

export const sendReport = (link: string, report: HomeReport): Promise<Went<unknown>> =>
  call(`${link}/reports`, z.unknown(), report);

export const leave = (link: string): Promise<Went<unknown>> => call(`${link}/leave`, z.unknown(), {});
