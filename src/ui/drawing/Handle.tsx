import { useDrag } from '@use-gesture/react';
import { type Spot, spotAt } from './spot';

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
  const bind = useDrag(
    ({ event, currentTarget, xy, delta: [across, down], first, last }) => {
      event.stopPropagation();
      if (!(currentTarget instanceof SVGGElement)) return;
      if (event.type.startsWith('key')) {
        event.preventDefault();
        if (!last) onMove({ x: at.x + across, y: at.y + down });
      } else {
        if (first) currentTarget.focus();
        onMove(spotAt(currentTarget, xy));
      }
      if (last) onEnd?.();
    },
    { keyboardDisplacement: step },
  );
  return (
    <g
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(at.x)}
      aria-valuetext={`${Math.round(at.x)} across, ${Math.round(at.y)} down`}
      className="cursor-move touch-none handle"
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
