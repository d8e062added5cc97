import { useCallback, useEffect, useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { LimbPage } from '@/contract/limb';
import type { LimbRecord } from '@/core/prosthesis/limb-record';
import { localNow } from '../local-now';

export interface Limb {
  page: LimbPage | null;
  problem: string;
  load: () => Promise<void>;
  /** Writes a part of the record; what was there is written with it. */
  save: (part: Partial<LimbRecord>) => Promise<Answer<unknown> | null>;
}

/** The prosthetic side of a patient, read for this moment and read again after each change. */
export function useLimb(patientId: string): Limb {
  const [page, setPage] = useState<LimbPage | null>(null);
  const [problem, setProblem] = useState('');
  const load = useCallback(async () => {
    const answer = await call('limb', { params: { id: patientId }, query: { now: localNow() } });
    setProblem(answer.ok ? '' : failureInWords(answer));
    if (answer.ok) setPage(answer.value);
  }, [patientId]);
  useEffect(() => {
    void load();
  }, [load]);
  const save = async (part: Partial<LimbRecord>) => {
    if (!page) return null;
    const answer = await call('saveLimb', {
      params: { id: patientId },
      body: { revision: page.revision, record: { ...page.record, ...part } },
    });
    setProblem(answer.ok ? '' : failureInWords(answer));
    if (answer.ok) await load();
    return answer;
  };
  return { page, problem, load, save };
}
