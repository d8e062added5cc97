import { useState } from 'react';
import type { Deadlock, Push } from '@/core/prescribe/engine/specification';
import { useVisit } from '../../visit-context';
import { useChoices } from './use-choices';

/** Limits that cannot all hold: every smallest set, and which of them to set aside with a reason. */
export function Deadlocks() {
  const { specification } = useVisit();
  const pushOf = (rule: string): Push | undefined =>
    [...specification.targets, ...specification.feet.left, ...specification.feet.right]
      .flatMap((target) => target.pushes)
      .find((push) => push.rule === rule && push.strength === 'limit');
  if (specification.deadlocks.length === 0) return null;
  return (
    <div role="alert" className="border-2 border-warn px-3 py-2 grid gap-2">
      {specification.deadlocks.map((deadlock) => (
        <section key={deadlock.feature + (deadlock.side ?? '')}>
          <p className="problem">Deadlock. {deadlock.message}</p>
          <ul className="grid gap-1">
            {deadlock.sets.map((set) => (
              <li key={set.join()}>
                These cannot hold together; one of them gives way:
                <ul className="pl-4 grid gap-1">
                  {set.map((rule) => (
                    <Waive key={rule} rule={rule} push={pushOf(rule)} deadlock={deadlock} />
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function Waive({ rule, push, deadlock }: { rule: string; push: Push | undefined; deadlock: Deadlock }) {
  const { setAside, readOnly } = useChoices();
  const [reason, setReason] = useState<string | null>(null);
  return (
    <li>
      <strong>{push?.finding ?? rule}</strong>: {push?.because}{' '}
      {!readOnly &&
        (reason === null ? (
          <button type="button" className="press press-quiet" onClick={() => setReason('')}>
            Set this one aside
          </button>
        ) : (
          <form
            className="flex gap-2 items-end"
            onSubmit={(event) => {
              event.preventDefault();
              setAside(rule, deadlock.feature, reason.trim());
            }}
          >
            <label className="grow">
              <span className="block text-faint text-xs">Reason (kept with the specification)</span>
              <input
                className="w-full"
                required
                minLength={3}
                maxLength={600}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
              />
            </label>
            <button type="submit" className="press">
              Set aside
            </button>
          </form>
        ))}
    </li>
  );
}
