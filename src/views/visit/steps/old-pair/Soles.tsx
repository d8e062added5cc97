import { SIDES } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import type { Strike } from '@/core/wear/wear-map';
import { SoleMap } from '../../../worn/SoleMap';
import { SoleReadings } from '../../../worn/SoleReadings';
import { useExamined } from '../../visit-context';
import { NoPairYet } from './NoPairYet';
import { useOldPairs } from './use-old-pairs';

/** Where the soles of the pair under the hands are worn, and three readings of it that do not agree. */
export function Soles() {
  const brought = useOldPairs();
  const { pair, readOnly, put } = brought;
  const { picture } = useExamined();
  if (!pair) return <NoPairYet brought={brought} />;
  const strikes = SIDES.map((side) => picture[side].strike).filter((strike) => strike !== NOT_EXAMINED);
  const strike: Strike | null = strikes[0] ?? null;
  return (
    <div className="grid grid-cols-[1fr_18rem] gap-6">
      <div>
        <p className="text-faint">
          {pair.title}, from below. Press a zone, or its digit: 0 not worn, 1 a little, 2 much, 3 through.
        </p>
        <SoleMap
          map={pair.wear ?? {}}
          readOnly={readOnly}
          onChange={(wear) => put(pair.id, { wear })}
          marks={pair.soleMarks ?? []}
          onMarks={(soleMarks) => put(pair.id, { soleMarks })}
        />
      </div>
      <SoleReadings
        map={pair.wear ?? {}}
        strike={strike}
        needs="Needs the strike, under Move: where a landing wears a sole."
      />
    </div>
  );
}
