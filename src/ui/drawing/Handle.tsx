import { arrowMove, type Spot, spotOf } from './use-drag';

interface Props {
  at: Spot;
  label: string;
  /** Size of a stroke in the drawing's units. */
  unit: number;
  /** Distance of one arrow press. */
  step?: number;
  onMove: (to: Spot) => void;
  /** The move is over: pointer up, or a key released. */
  onEnd?: () => void;
}

/** A point on a drawing that is moved by pointer, finger or arrow keys (Shift: ten steps). */
export function Handle({ at, label, unit, step = 1, onMove, onEnd }: Props) {
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(at.x)}
      aria-valuetext={`${Math.round(at.x)} across, ${Math.round(at.y)} down`}
      className="cursor-move touch-none handle"
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) onMove(spotOf(event));
      }}
      onPointerUp={() => onEnd?.()}
      onKeyDown={(event) => {
        const move = arrowMove(event, step);
        if (move) onMove({ x: at.x + move.x, y: at.y + move.y });
      }}
      onKeyUp={(event) => event.key.startsWith('Arrow') && onEnd?.()}
    >
      <circle cx={at.x} cy={at.y} r={unit * 11} fill="transparent" />
      <circle
        cx={at.x}
        cy={at.y}
        r={unit * 4.5}
        fill="var(--paper)"
        stroke="var(--accent)"
        strokeWidth={unit * 2}
      />
    </g>
  );
}
