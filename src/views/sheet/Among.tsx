import type { AmongKinds } from '@/core/aftercare/among';
import { AMONG, amongDrawing } from '@/core/aftercare/among-drawing';
import type { SheetWords } from '@/core/aftercare/headings';

/** This pair among others that are made for the same: soft to firm across, bending to stiff upwards. */
export function Among({ among, words }: { among: AmongKinds; words: SheetWords }) {
  const { others, pair, label } = amongDrawing(among);
  const { left, right, top, bottom } = AMONG;
  const text = { fontSize: 9, fill: 'var(--ink)' } as const;
  return (
    <figure className="break-inside-avoid">
      <svg
        viewBox={AMONG.viewBox}
        direction="ltr"
        className="w-72 max-w-full"
        role="img"
        aria-label={words.among}
      >
        <rect x={left} y={top} width={right - left} height={bottom - top} fill="none" stroke="var(--rule)" />
        {others.map(([x, y]) => (
          <circle key={`${x} ${y}`} cx={x} cy={y} r={2.4} fill="var(--faint)" />
        ))}
        <circle cx={pair[0]} cy={pair[1]} r={5} fill="var(--accent)" />
        <text
          x={label.x}
          y={label.y}
          textAnchor={label.anchor}
          stroke="var(--paper)"
          strokeWidth={3}
          paintOrder="stroke"
          {...text}
        >
          {words.thisPair}
        </text>
        <text x={left} y={bottom + 11} {...text}>
          {words.soft}
        </text>
        <text x={right} y={bottom + 11} textAnchor="end" {...text}>
          {words.firm}
        </text>
        <text x={left + 3} y={top + 9} {...text}>
          {words.stiff}
        </text>
        <text x={left + 3} y={bottom - 4} {...text}>
          {words.bends}
        </text>
      </svg>
      <figcaption className="text-faint text-sm">{words.among}</figcaption>
    </figure>
  );
}
