import { useState } from 'react';
import type { PhotographRecord } from '@/contract/records';
import { PHOTOGRAPH_KINDS } from '@/core/photograph/photograph-schema';
import { lengthInWords } from '@/core/photograph/scale';
import { tiltInWords, tiltOf } from '@/core/photograph/tilt';
import { writtenDay } from '@/ui/formats';

const source = ({ id }: PhotographRecord, size: 'whole' | 'thumbnail') =>
  `/api/v1/photographs/${id}?size=${size}`;

/** What a kept photograph says of tilt and of a length. */
function saidBy({ lines, scale, width }: PhotographRecord): string {
  const length = scale && lengthInWords(scale, width);
  const tilts = (['left', 'right'] as const).flatMap((side) => {
    const heel = lines?.[side];
    const tilt = heel && tiltOf(lines.table, heel, width);
    return tilt ? [`${side} ${tiltInWords(tilt, side)}`] : [];
  });
  return [...tilts, ...(length ? [`measured ${length}`] : [])].join('; ');
}

/** Photographs that are kept; two of them over one another, with a slider between. */
export function ComparePhotographs({ photographs }: { photographs: readonly PhotographRecord[] }) {
  const [picked, pick] = useState<readonly string[]>([]);
  const [share, setShare] = useState(50);
  if (photographs.length === 0) return <p className="text-faint">No photograph is kept of this pair yet.</p>;
  const chosen = picked.flatMap((id) => photographs.find((entry) => entry.id === id) ?? []);
  const [first, second] = chosen;
  return (
    <div className="grid gap-3">
      <ul className="flex flex-wrap gap-3">
        {photographs.map((entry) => (
          <li key={entry.id}>
            <button
              type="button"
              aria-pressed={picked.includes(entry.id)}
              className={`press grid gap-1 p-1 text-left ${picked.includes(entry.id) ? 'press-main' : ''}`}
              onClick={() =>
                pick(
                  picked.includes(entry.id)
                    ? picked.filter((id) => id !== entry.id)
                    : [...picked, entry.id].slice(-2),
                )
              }
            >
              <img src={source(entry, 'thumbnail')} alt="" className="h-24 object-contain" loading="lazy" />
              <span className="text-xs">
                {writtenDay(entry.takenOn)}, {PHOTOGRAPH_KINDS[entry.kind]}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {first && !second && (
        <figure>
          <img
            src={source(first, 'whole')}
            alt={`${PHOTOGRAPH_KINDS[first.kind]}, ${writtenDay(first.takenOn)}`}
            className="max-h-[28rem]"
          />
          <figcaption>{saidBy(first)}</figcaption>
        </figure>
      )}
      {first && second && (
        <figure className="grid gap-2 max-w-3xl">
          <svg
            viewBox="0 0 800 600"
            className="w-full bg-desk"
            role="img"
            aria-label={`${writtenDay(first.takenOn)} left of the line, ${writtenDay(second.takenOn)} right of it`}
          >
            <defs>
              <clipPath id="compare-left">
                <rect x={0} y={0} width={share * 8} height={600} />
              </clipPath>
            </defs>
            <image href={source(second, 'whole')} width={800} height={600} />
            <image href={source(first, 'whole')} width={800} height={600} clipPath="url(#compare-left)" />
            <line x1={share * 8} x2={share * 8} y1={0} y2={600} stroke="var(--accent)" strokeWidth={3} />
          </svg>
          <input
            type="range"
            min={0}
            max={100}
            value={share}
            aria-label="How much of the first photograph is shown"
            onChange={({ target }) => setShare(Number(target.value))}
          />
          <figcaption className="grid gap-1">
            {[first, second].map((entry) => (
              <span key={entry.id}>
                {writtenDay(entry.takenOn)}: {saidBy(entry) || PHOTOGRAPH_KINDS[entry.kind]}
              </span>
            ))}
          </figcaption>
        </figure>
      )}
    </div>
  );
}
