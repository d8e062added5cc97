import type { InspectionRecord, PairRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { SIDES } from '@/core/findings/finding-kinds';
import { sideReading, wearPer100Km } from '@/core/wear/wear-map';
import { writtenDay } from '@/ui/formats';
import { SmallSoles } from '../worn/SmallSoles';
import { SoleReadings } from '../worn/SoleReadings';
import { amountInWords } from './pair-words';

/** Soles of a pair over time, and those of its forerunners beside them. */
export function SoleHistory({ pair, forerunners }: { pair: PairRecord; forerunners: readonly PairRecord[] }) {
  const rows = [pair, ...forerunners].map((entry) => ({
    entry,
    seen: entry.inspections.filter(({ content }) => content.wear),
  }));
  const latest = rows[0]?.seen.at(-1);
  if (rows.every(({ seen }) => seen.length === 0))
    return <p className="text-faint">No soles have been drawn yet. Grade them under “Inspect”.</p>;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_18rem] gap-6">
      <div className="grid gap-4 content-start min-w-0">
        {rows.map(({ entry, seen }) =>
          seen.length === 0 ? null : (
            <section
              key={entry.id}
              aria-label={`Soles of ${modelTitle(entry.model)} since ${writtenDay(entry.startedOn)}`}
            >
              <h2 className="text-base">
                {modelTitle(entry.model)}, {writtenDay(entry.startedOn)}
                {entry.endedOn && ` to ${writtenDay(entry.endedOn)}`}
              </h2>
              <div className="flex gap-6 overflow-x-auto">
                {seen.map((inspection, at) => (
                  <figure key={inspection.id} className="text-sm">
                    <SmallSoles
                      map={inspection.content.wear ?? {}}
                      marks={inspection.content.soleMarks ?? []}
                    />
                    <figcaption>
                      {writtenDay(inspection.on)}, {amountInWords(entry.forecast.life.clock, inspection.used)}
                      {entry.forecast.life.clock === 'km' && (
                        <Change before={seen[at - 1]} after={inspection} />
                      )}
                    </figcaption>
                  </figure>
                ))}
              </div>
            </section>
          ),
        )}
      </div>
      {latest && (
        <SoleReadings
          map={latest.content.wear ?? {}}
          strike={pair.conditions.landing ?? null}
          needs="The landing was not looked at before this pair."
        />
      )}
    </div>
  );
}

/** Grades more for each 100 km since the look before; one grade either way is what two people differ by. */
function Change({ before, after }: { before: InspectionRecord | undefined; after: InspectionRecord }) {
  const km = after.used - (before?.used ?? 0);
  const lines = SIDES.flatMap((side) => {
    const sole = after.content.wear?.[side];
    const rate = sole && wearPer100Km(before?.content.wear?.[side] ?? {}, sole, km);
    const reading = sole && sideReading(sole);
    if (rate === null || rate === undefined || !reading) return [];
    return [
      `${side} ${rate >= 0 ? '+' : '−'}${Math.abs(rate).toFixed(1)} ± ${(100 / km).toFixed(1)} grades a 100 km`,
    ];
  });
  return (
    <>
      {lines.map((line) => (
        <span key={line} className="block text-faint">
          {line}
        </span>
      ))}
    </>
  );
}
