import { SIDES } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { readWear, type Strike, zoneInWords } from '@/core/wear/wear-map';
import { useVisit } from '../../visit-context';
import { useOldPairs } from './PairsBrought';
import { SoleMap } from './SoleMap';

const READS = { in: 'read as rolling in', out: 'read as rolling out', even: 'read as neutral' } as const;

/** Where the soles of the pair under the hands are worn, and three readings of it that do not agree. */
export function Soles() {
  const { pair, readOnly, put } = useOldPairs();
  const { picture } = useVisit();
  if (!pair) return <p className="text-faint">Name the pair first, under “Pairs brought”.</p>;
  const strikes = SIDES.map((side) => picture[side].strike).filter((strike) => strike !== NOT_EXAMINED);
  const strike: Strike | null = strikes[0] ?? null;
  const { roll, expected, look } = readWear(pair.wear ?? {}, strike);
  return (
    <div className="grid grid-cols-[1fr_18rem] gap-6">
      <div>
        <p className="text-faint">
          {pair.title}, from below. Press a zone, or its digit: 0 not worn, 1 a little, 2 much, 3 through.
        </p>
        <SoleMap map={pair.wear ?? {}} readOnly={readOnly} onChange={(wear) => put(pair.id, { wear })} />
      </div>
      <section aria-label="Readings of the soles" className="grid gap-3 content-start">
        <div>
          <h2 className="text-base">Worth a look now</h2>
          {look.length === 0 ? (
            <p>Nothing that asks for one.</p>
          ) : (
            look.map((line) => <p key={line}>{line}</p>)
          )}
        </div>
        <div>
          <h2 className="text-base">Expected or not</h2>
          {expected.length === 0 && (
            <p className="text-faint">
              {strike ? 'Grade some zones.' : 'Needs the strike, under Move: where a landing wears a sole.'}
            </p>
          )}
          {expected.map(({ side, zone, isExpected }) => (
            <p key={side}>
              <span className="capitalize">{side}</span>: {zoneInWords(zone)},{' '}
              {isExpected ? 'as this landing wears it' : 'not as this landing wears it'}
            </p>
          ))}
        </div>
        <div>
          <h2 className="text-base">Shape-led, weak evidence</h2>
          {roll.map(({ side, reads }) => (
            <p key={side}>
              <span className="capitalize">{side}</span>: {READS[reads]}
            </p>
          ))}
        </div>
        <p className="text-faint text-xs">
          Wear shows where friction was greatest over many kilometres. The outer back of the heel is the usual
          landing place and means nothing by itself. It diagnoses no roll and predicts no injury.
        </p>
      </section>
    </div>
  );
}
