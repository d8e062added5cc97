import type { Answer } from '@/contract/answer';
import type { ProblemDetails } from '@/contract/operation';

/** Posts to an address outside the API, for who has no account or is on the way in. Never throws. */
export async function postJson(path: string, body: unknown): Promise<Answer<unknown>> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    const answer: unknown = await response.json().catch(() => null);
    if (response.ok) return { ok: true, value: answer };
    if (response.status >= 502 && response.status <= 504) return { ok: false, kind: 'offline' };
    const said = answer as Partial<ProblemDetails> | null;
    const problem: ProblemDetails =
      said?.title && said.code
        ? (said as ProblemDetails)
        : { type: 'about:blank', title: 'This was refused.', status: response.status, code: 'failed' };
    return { ok: false, kind: 'refused', problem };
  } catch {
    return { ok: false, kind: 'offline' };
  }
}
