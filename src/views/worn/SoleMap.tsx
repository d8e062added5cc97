import type { Side } from '@/core/findings/finding-kinds';
import { smoothClosed } from '@/core/shoe/drawing/curve';
import { soleOutline } from '@/core/shoe/drawing/sole-plan';
import { FEATURES } from '@/core/shoe/features';
import {
  gradeFrom,
  PLACE_OF,
  SEVERITIES,
  type Severity,
  type WearMap,
  type WornSole,
  ZONES,
  type Zone,
  zoneInWords,
} from '@/core/wear/wear-map';

const LENGTH = 285;
const { heelBase, forefootBase } = FEATURES;
const OUTLINE = smoothClosed(soleOutline(LENGTH, heelBase.usual, forefootBase.usual, 'round', 0.27));
const HALF = forefootBase.usual / 2 + 4;
/** Ends of the thirds along the sole, as shares of its length: the waist is short. */
const ALONG = { heel: [0, 0.33], mid: [0.33, 0.58], fore: [0.58, 1] } as const;
/** A right sole lies with its inner side up. */
const ACROSS = { inner: [-1, -1 / 3], centre: [-1 / 3, 1 / 3], outer: [1 / 3, 1] } as const;
/** Hatching that gets closer the more a zone is worn: grade is seen without colour. */
const SPACING: Readonly<Record<Severity, number>> = { 0: 0, 1: 9, 2: 5, 3: 2.5 };

interface Props {
  map: WearMap;
  readOnly: boolean;
  onChange: (map: WearMap) => void;
}

/** Both soles from below in nine zones each; a press or a digit grades a zone. */
export function SoleMap({ map, readOnly, onChange }: Props) {
  return (
    <div className="grid grid-cols-2 gap-6 max-w-3xl">
      {(['left', 'right'] as const).map((side) => (
        <Sole
          key={side}
          side={side}
          sole={map[side] ?? {}}
          readOnly={readOnly}
          onChange={(sole) => onChange({ ...map, [side]: sole })}
        />
      ))}
    </div>
  );
}

function Sole({
  side,
  sole,
  readOnly,
  onChange,
}: {
  side: Side;
  sole: WornSole;
  readOnly: boolean;
  onChange: (sole: WornSole) => void;
}) {
  const clip = `sole-${side}`;
  const grade = (zone: Zone, to: Severity) => {
    if (!readOnly) onChange({ ...sole, [zone]: to });
  };
  return (
    <figure>
      <figcaption className="text-center capitalize">{side}</figcaption>
      <svg
        viewBox={`-${HALF + 14} -${LENGTH + 6} ${2 * HALF + 28} ${LENGTH + 12}`}
        className="h-[25rem] mx-auto block"
        role="group"
        aria-label={`Wear of the ${side} sole, toe up`}
      >
        <defs>
          {([1, 2, 3] as const).map((level) => (
            <pattern
              key={level}
              id={`worn-${side}-${level}`}
              width={SPACING[level]}
              height={SPACING[level]}
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1={0} y1={0} x2={0} y2={SPACING[level]} stroke="var(--ink)" strokeWidth={1.6} />
            </pattern>
          ))}
          <clipPath id={clip}>
            {/* Seen from below a left sole mirrors a right one; the toe points up. */}
            <path d={OUTLINE} transform={`${side === 'left' ? '' : 'scale(-1 1) '}rotate(-90)`} />
          </clipPath>
        </defs>
        <path
          d={OUTLINE}
          transform={`${side === 'left' ? '' : 'scale(-1 1) '}rotate(-90)`}
          fill="var(--draw-sole, var(--paper))"
          stroke="var(--rule)"
          strokeWidth={1.4}
        />
        {(['inner', 'outer'] as const).map((edge) => (
          <text
            key={edge}
            x={(edge === 'inner') === (side === 'left') ? -HALF - 12 : HALF + 12}
            y={-LENGTH * 0.42}
            textAnchor={(edge === 'inner') === (side === 'left') ? 'start' : 'end'}
            fontSize={12}
            fill="var(--faint)"
          >
            {edge}
          </text>
        ))}
        <g clipPath={`url(#${clip})`}>
          {ZONES.map((zone) => (
            <ZoneButton
              key={zone}
              zone={zone}
              side={side}
              grade={sole[zone]}
              onGrade={(to) => grade(zone, to)}
            />
          ))}
        </g>
      </svg>
    </figure>
  );
}

function ZoneButton({
  zone,
  side,
  grade,
  onGrade,
}: {
  zone: Zone;
  side: Side;
  grade: Severity | undefined;
  onGrade: (to: Severity) => void;
}) {
  const { along, across } = PLACE_OF[zone];
  const [from, to] = ALONG[along];
  const [near, far] = ACROSS[across];
  // Toe up and seen from below: the inner side of a left sole lies to its left.
  const inward = side === 'left' ? 1 : -1;
  const [a, b] = [near * HALF * inward, far * HALF * inward];
  const box = {
    x: Math.min(a, b),
    y: -to * LENGTH,
    width: Math.abs(b - a),
    height: (to - from) * LENGTH,
  };
  const next = () => onGrade(gradeFrom((grade ?? 0) + 1) ?? 0);
  const said = grade === undefined ? 'not looked at' : SEVERITIES[grade];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${side} ${zoneInWords(zone)}: ${said}`}
      className="cursor-pointer handle"
      onClick={next}
      onKeyDown={(event) => {
        const digit = /^\d$/.test(event.key) ? gradeFrom(Number(event.key)) : undefined;
        if (event.key === 'Enter' || event.key === ' ') next();
        else if (digit !== undefined) onGrade(digit);
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      <rect {...box} fill="transparent" stroke="var(--line)" strokeDasharray="3 3" />
      {grade !== undefined && grade > 0 && <rect {...box} fill={`url(#worn-${side}-${grade})`} />}
      {grade !== undefined && (
        <text
          // The sole is narrower than its nine boxes: figures stay on it.
          x={(box.x + box.width / 2) * 0.84}
          y={box.y + box.height / 2 + 5}
          textAnchor="middle"
          fontSize={14}
          fontWeight={600}
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {grade}
        </text>
      )}
    </g>
  );
}
