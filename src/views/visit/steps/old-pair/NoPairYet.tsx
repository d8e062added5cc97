import { FromThisClinic } from './FromThisClinic';
import type { Brought } from './use-old-pairs';

/** In place of a part that looks at a pair, before one is named: the clinic's own are a press away. */
export const NoPairYet = ({ brought }: { brought: Brought }) => (
  <div className="grid gap-3">
    <p className="text-faint">
      No pair is named yet: choose one here, or name another under “Pairs brought”.
    </p>
    <FromThisClinic brought={brought} isSmall={false} />
  </div>
);
