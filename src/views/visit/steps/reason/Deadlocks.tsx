import { useState } from 'react';
import type { Deadlock, Push } from '@/core/prescribe/engine/specification';
import { useVisit } from '../../visit-context';
import { ReasonForm } from './ReasonForm';
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
                These contradict each other; one of them has to give way:
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
  const [asking, setAsking] = useState(false);
  return (
    <li>
      <strong>{push?.finding ?? rule}</strong>: {push?.because}{' '}
      {!readOnly &&
        (!asking ? (
          <button type="button" className="press press-quiet" onClick={() => setAsking(true)}>
            Set this one aside
          </button>
        ) : (
          <ReasonForm onReason={(reason) => setAside(rule, deadlock.feature, reason)} />
        ))}
    </li>
  );
}
