import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { smoothClosed } from '@/core/shoe/drawing/curve';
import { soleOutline } from '@/core/shoe/drawing/sole-plan';
import { FEATURES } from '@/core/shoe/features';
import { onSole, readMarks, type SoleMark, type SolePlace } from '@/core/wear/sole-marks';
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
import { Handle } from '@/ui/drawing/Handle';
import type { Spot } from '@/ui/drawing/spot';

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
  marks: readonly SoleMark[];
  onMarks: (marks: SoleMark[] | undefined) => void;
}

/** Both soles from below in nine zones each; a press or a digit grades a zone. */
export function SoleMap({ map, readOnly, onChange, marks, onMarks }: Props) {
  const keep = (next: SoleMark[]) => onMarks(next.length > 0 ? next : undefined);
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-6 max-w-3xl">
        {(['left', 'right'] as const).map((side) => (
          <Sole
            key={side}
            side={side}
            sole={map[side] ?? {}}
            readOnly={readOnly}
            onChange={(sole) => onChange({ ...map, [side]: sole })}
            marks={marks.filter((mark) => mark.side === side)}
            onMark={(moved) => keep(marks.map((mark) => (mark.id === moved.id ? moved : mark)))}
          />
        ))}
      </div>
      <MarkList marks={marks} readOnly={readOnly} onMarks={keep} />
    </div>
  );
}

function Sole({
  side,
  sole,
  readOnly,
  onChange,
  marks,
  onMark,
}: {
  side: Side;
  sole: WornSole;
  readOnly: boolean;
  onChange: (sole: WornSole) => void;
  marks: readonly SoleMark[];
  onMark: (mark: SoleMark) => void;
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
        {marks.map((mark) => (
          <Mark key={mark.id} mark={mark} readOnly={readOnly} onMark={onMark} />
        ))}
      </svg>
    </figure>
  );
}

/** From below the inner side of a left sole lies to its left. */
const spotOf = ({ across, along }: SolePlace, side: Side) => ({
  x: across * HALF * (side === 'left' ? 1 : -1),
  y: -along * LENGTH,
});
const placeAt = ({ x, y }: Spot, side: Side): SolePlace =>
  onSole({ across: (x / HALF) * (side === 'left' ? 1 : -1), along: -y / LENGTH });

/** A spot or a line, moved by its ends. */
function Mark({
  mark,
  readOnly,
  onMark,
}: {
  mark: SoleMark;
  readOnly: boolean;
  onMark: (mark: SoleMark) => void;
}) {
  const at = spotOf(mark.at, mark.side);
  const to = mark.to && spotOf(mark.to, mark.side);
  const move = (part: Partial<SoleMark>) => {
    if (!readOnly) onMark({ ...mark, ...part });
  };
  return (
    <g>
      {to && <line x1={at.x} y1={at.y} x2={to.x} y2={to.y} stroke="var(--accent)" strokeWidth={3} />}
      <Handle
        at={at}
        unit={1}
        step={3}
        label={`${mark.side} sole, ${to ? 'line, first end' : 'spot'}`}
        onMove={(spot) => move({ at: placeAt(spot, mark.side) })}
      />
      {to && (
        <Handle
          at={to}
          unit={1}
          step={3}
          label={`${mark.side} sole, line, second end`}
          onMove={(spot) => move({ to: placeAt(spot, mark.side) })}
        />
      )}
    </g>
  );
}

/** Adding and taking away marks, and what they ask for. */
function MarkList({
  marks,
  readOnly,
  onMarks,
}: {
  marks: readonly SoleMark[];
  readOnly: boolean;
  onMarks: (marks: SoleMark[]) => void;
}) {
  const add = (side: Side, isLine: boolean) =>
    onMarks([
      ...marks,
      {
        id: crypto.randomUUID(),
        side,
        at: { across: 0, along: 0.5 },
        ...(isLine ? { to: { across: 0, along: 0.65 } } : {}),
      },
    ]);
  return (
    <div className="grid gap-1">
      {!readOnly && (
        <p className="flex flex-wrap gap-2">
          {SIDES.flatMap((side) =>
            ([false, true] as const).map((isLine) => (
              <button
                key={`${side} ${isLine}`}
                type="button"
                className="press press-quiet"
                onClick={() => add(side, isLine)}
              >
                Add a {isLine ? 'line' : 'spot'}, {side}
              </button>
            )),
          )}
          {marks.length > 0 && (
            <button type="button" className="press press-quiet" onClick={() => onMarks(marks.slice(0, -1))}>
              Take the last one away
            </button>
          )}
        </p>
      )}
      {readMarks(marks).map((line) => (
        <p key={line} className="text-hold">
          {line}
        </p>
      ))}
    </div>
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
