import type { OutcomeChange } from '@/core/outcomes/outcome';
import { ChangeBand } from '@/ui/drawing/ChangeBand';

/** Each measure then and now with the band in which a difference means nothing, and in words what it is. */
export function ChangeList({
  changes,
  isNarrow = false,
}: {
  changes: readonly OutcomeChange[];
  /** Name and words above and below the band. */
  isNarrow?: boolean;
}) {
  return (
    <ul className="grid gap-1.5">
      {changes.map((change) => (
        <li
          key={change.measure}
          className={isNarrow ? '' : 'grid grid-cols-[9rem_14rem_minmax(0,1fr)] gap-3 items-center'}
        >
          <span>{change.measure}</span>
          <ChangeBand change={change} />
          <span title={change.mark}>
            <strong className={change.reading === 'worse' ? 'text-warn' : ''}>{change.reading}</strong>,{' '}
            {change.baseline} then {change.now}
          </span>
        </li>
      ))}
    </ul>
  );
}
