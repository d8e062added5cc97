import { readWear, type Strike, type WearMap, zoneInWords } from '@/core/wear/wear-map';

const READS = { in: 'read as rolling in', out: 'read as rolling out', even: 'read as neutral' } as const;

/** Three readings of worn soles that do not agree, each with its weight. */
export function SoleReadings({
  map,
  strike,
  needs,
}: {
  map: WearMap;
  strike: Strike | null;
  /** What is missing where nobody knows the landing. */
  needs: string;
}) {
  const { roll, expected, look } = readWear(map, strike);
  return (
    <section aria-label="Readings of the soles" className="grid gap-3 content-start">
      <div>
        <h2 className="text-base">Worth a look now</h2>
        {look.length === 0 ? <p>Nothing that asks for one.</p> : look.map((line) => <p key={line}>{line}</p>)}
      </div>
      <div>
        <h2 className="text-base">Expected or not</h2>
        {expected.length === 0 && <p className="text-faint">{strike ? 'Grade some zones.' : needs}</p>}
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
  );
}
