import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';

/** Puts a record away: it asks for nothing and stands in no list, until it is taken out or its patient comes again. */
export function Archive({ patientId, archived }: { patientId: string; archived: boolean }) {
  const [problem, setProblem] = useState<string>();
  const move = async () => {
    const answer = await call('changePatient', { params: { id: patientId }, body: { archived: !archived } });
    if (answer.ok) location.reload();
    else setProblem(failureInWords(answer));
  };
  return (
    <p className="flex gap-3 items-baseline">
      <button type="button" className="press" onClick={() => void move()}>
        {archived ? 'Take out of the archive' : 'Put into the archive'}
      </button>
      <span className="text-faint">
        An archived record prompts nothing and appears in no list. A new visit brings it back.
      </span>
      {problem && (
        <span role="alert" className="problem">
          {problem}
        </span>
      )}
    </p>
  );
}
