import type { Drawing } from '@/core/shoe/drawing/part';

/** Lines that tell up to four shoes apart without colour. */
const DASHES = ['', '7 3', '2 3', '10 3 2 3'] as const;
const SHOWN = new Set(['upper', 'midsole', 'outsole']);

interface Props {
  profiles: readonly { label: string; drawing: Drawing }[];
}

/** Several side profiles over each other, to one scale, heel and ground in the same place. */
export function OverlaidProfiles({ profiles }: Props) {
  const boxes = profiles.map(({ drawing }) => drawing.viewBox);
  const left = Math.min(...boxes.map(([x]) => x));
  const top = Math.min(...boxes.map(([, y]) => y));
  const right = Math.max(...boxes.map(([x, , width]) => x + width));
  const bottom = Math.max(...boxes.map(([, y, , height]) => y + height));
  return (
    <figure>
      <svg
        className="overlaid w-full"
        viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
        role="img"
        aria-label={`Side profiles over each other: ${profiles.map(({ label, drawing }) => `${label}, ${drawing.summary}`).join(' ')}`}
      >
        <line x1={left} x2={right} y1={0} y2={0} className="overlaid-ground" />
        {profiles.map(({ label, drawing }, at) => (
          <g key={label} strokeDasharray={DASHES[at]} data-shoe={at}>
            {drawing.parts
              .filter(({ id }) => SHOWN.has(id))
              .map((part) => (
                <path key={part.id} d={part.d} />
              ))}
          </g>
        ))}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 text-sm">
        {profiles.map(({ label }, at) => (
          <span key={label}>
            <svg viewBox="0 0 40 8" width="40" height="8" aria-hidden="true" className="inline mr-1 overlaid">
              <line x1="0" x2="40" y1="4" y2="4" strokeDasharray={DASHES[at]} data-shoe={at} />
            </svg>
            {label}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
