import type { TodayItem } from '@/contract/records';
import { writtenDay } from '@/ui/formats';

/** Who needs what, a line each; an open visit leads straight to its table. */
export function TodayList({ items }: { items: readonly TodayItem[] }) {
  return (
    <ul>
      {items.map((item) => (
        <li
          key={`${item.kind} ${item.patient.id} ${item.what} ${item.on}`}
          className="grid grid-cols-[14rem_1fr_15rem_6.5rem] gap-3 border-b border-line py-1"
        >
          <a
            href={item.visitId ? `/visits/${item.visitId}` : `/patients/${item.patient.id}`}
            className="font-medium"
          >
            {item.patient.name}, {item.patient.age}
          </a>
          <span>{item.what}</span>
          <span className="text-faint">{item.reach}</span>
          <time dateTime={item.on} className="text-right">
            {writtenDay(item.on)}
          </time>
        </li>
      ))}
    </ul>
  );
}
