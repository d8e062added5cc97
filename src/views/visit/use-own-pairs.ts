import { useEffect, useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { PairRecord, PatientRecord } from '@/contract/records';

const asked = new Map<string, Promise<Answer<PatientRecord>>>();

/** The pairs that this clinic handed over to a patient, fetched once a page; `null` while they are on their way. */
export function useOwnPairs(patientId: string): {
  pairs: readonly PairRecord[] | null;
  problem: string | null;
} {
  const [answer, setAnswer] = useState<Answer<PatientRecord> | null>(null);
  useEffect(() => {
    let isGone = false;
    const waiting = asked.get(patientId) ?? call('patient', { params: { id: patientId } });
    asked.set(patientId, waiting);
    void waiting.then((next) => {
      if (!next.ok) asked.delete(patientId);
      if (!isGone) setAnswer(next);
    });
    return () => {
      isGone = true;
    };
  }, [patientId]);
  return {
    pairs: answer?.ok ? answer.value.pairs : null,
    problem: answer && !answer.ok ? failureInWords(answer) : null,
  };
}
