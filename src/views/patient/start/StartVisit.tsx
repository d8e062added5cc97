/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';

/** Begins a visit or goes on with the open one. */
export function StartVisit({ patientId, open }: { patientId: string; open: boolean }) {
  const [problem, setProblem] = useState<string | null>(null);
  const start = async () => {
    const answer = await call('startVisit', { params: { id: patientId } });
    if (answer.ok) location.assign(`/visits/${answer.value.id}`);
    else setProblem(failureInWords(answer));
  };
  return (
    <>
      <button type="button" class="press press-main" onClick={start}>
        {open ? 'Go on with the visit' : 'New visit'}
      </button>
      {problem && (
        <p role="alert" class="problem">
          {problem}
        </p>
      )}
    </>
  );
}
