import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { useExamined } from '../../visit-context';

/** A review or a referral ends without a pair. */
export function CloseWithout() {
  const { visit, store } = useExamined();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const close = async () => {
    await store.flush();
    const answer = await call('closeVisit', { params: { id: visit.id }, body: { reason } });
    if (answer.ok) location.assign(`/patients/${visit.patient.id}`);
    else setProblem(failureInWords(answer));
  };
  return (
    <details>
      <summary className="cursor-pointer">End without a hand-over</summary>
      <label className="block mt-1">
        <span className="block text-faint">Why (review, referred, nothing fits …)</span>
        <input
          className="w-96"
          maxLength={600}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      <button type="button" className="press mt-2" onClick={close}>
        End the visit
      </button>
    </details>
  );
}
