import type { StripWeek } from '@/core/aftercare/break-in-words';
import { ShareBar } from './ShareBar';

/** A break-in week by week: how much of each is in the new pair, what to do, and what else there is to know. */
export function WeekStrip({ weeks, lines }: { weeks: readonly StripWeek[]; lines: readonly string[] }) {
  return (
    <>
      <ol className="grid gap-1">
        {weeks.map((week) => (
          <li key={week.from} className="grid grid-cols-[13rem_8rem_minmax(0,1fr)] gap-3 items-baseline">
            <span>
              {week.label} <span className="text-faint text-sm">{week.fromInWords}</span>
            </span>
            <ShareBar share={week.share} />
            <span>{week.text}</span>
          </li>
        ))}
      </ol>
      <ul className="list-disc ps-5">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  );
}
