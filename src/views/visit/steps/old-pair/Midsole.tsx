import { MidsoleMap } from '../../../worn/MidsoleMap';
import { NoPairYet } from './NoPairYet';
import { useOldPairs } from './use-old-pairs';

/** Where the midsoles of the pair under the hands are creased, seen from both sides. */
export function Midsole() {
  const brought = useOldPairs();
  const { pair, readOnly, put } = brought;
  if (!pair) return <NoPairYet brought={brought} />;
  return (
    <div className="grid gap-2">
      <p className="text-faint">
        {pair.title}, each shoe from both sides, heel on the left. Press where the foam is creased or buckled.
      </p>
      <MidsoleMap
        midsole={pair.midsole ?? {}}
        readOnly={readOnly}
        onChange={(midsole) => put(pair.id, { midsole })}
      />
    </div>
  );
}
