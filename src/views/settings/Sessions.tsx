import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { SessionRecord } from '@/contract/people-schema';
import { FormProblem } from '@/ui/fields/Field';
import { writtenMoment } from '@/ui/formats';
import { browserInWords } from './browser-in-words';

/** Browsers in which one is signed in at this clinic, each to be signed out from here. */
export function Sessions({ sessions }: { sessions: readonly SessionRecord[] }) {
  const [list, setList] = useState(sessions);
  const [problem, setProblem] = useState<string>();
  const end = async (id: string) => {
    const answer = await call('endSession', { params: { id } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    const fresh = await call('sessions', {});
    if (fresh.ok) setList(fresh.value);
  };
  return (
    <section aria-labelledby="sessions" className="border-t border-rule pt-2 mt-5">
      <h2 id="sessions">Signed in</h2>
      <p className="text-faint">
        Where you are signed in now. If you do not know one of them, sign it out and change your password.
      </p>
      <ul className="my-2">
        {list.map((session) => (
          <li
            key={session.id}
            className="grid md:grid-cols-[1fr_16rem_16rem_auto] gap-3 items-baseline border-b border-line py-1"
          >
            <strong>{browserInWords(session.browser)}</strong>
            <span className="text-faint">since {writtenMoment(session.since)}</span>
            <span className="text-faint">last used {writtenMoment(session.lastUsedAt)}</span>
            {session.here ? (
              <span>this browser</span>
            ) : (
              <button type="button" className="press" onClick={() => void end(session.id)}>
                Sign out
              </button>
            )}
          </li>
        ))}
      </ul>
      <FormProblem message={problem} />
    </section>
  );
}
