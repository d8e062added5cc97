import { useEffect, useRef } from 'react';
import type { GaitLine, HeelLines } from '@/core/examination/gait/heel-angle';
import { Handle } from '@/ui/drawing/Handle';
import type { Spot } from '@/ui/drawing/spot';
import type { Edges } from './CameraCheck';
import type { Clip } from './load-frames';

interface Props {
  clip: Clip;
  frame: number;
  lines: HeelLines;
  edges: Edges | null;
  onLines: (lines: HeelLines) => void;
  onEdges: (edges: Edges) => void;
}

const ENDS = [
  ['leg', 0, 'Leg line, upper end'],
  ['leg', 1, 'Leg line, lower end'],
  ['heel', 0, 'Heel line, upper end'],
  ['heel', 1, 'Heel line, lower end'],
] as const;

const withEnd = (line: GaitLine, end: 0 | 1, to: Spot): GaitLine =>
  end === 0 ? [to, line[1]] : [line[0], to];

/** One frame with the lines on it; ends are dragged, or moved by arrow keys a fraction of a pixel at a time. */
export function GaitStage({ clip, frame, lines, edges, onLines, onEdges }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = clip;
  useEffect(() => {
    const picture = clip.frames[frame];
    if (picture) canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [clip, frame]);
  const unit = height / 480;
  const stroke = (line: GaitLine, colour: string, key: string, past = 0.25) => {
    const [a, b] = line;
    const [dx, dy] = [(b.x - a.x) * past, (b.y - a.y) * past];
    return (
      <line
        key={key}
        x1={a.x - dx}
        y1={a.y - dy}
        x2={b.x + dx}
        y2={b.y + dy}
        stroke={colour}
        strokeWidth={unit * 2}
      />
    );
  };
  return (
    <div className="relative h-[23rem] bg-desk border border-line">
      <canvas
        ref={canvas}
        width={width}
        height={height}
        className="absolute inset-0 w-full h-full object-contain"
      />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`Frame ${frame + 1} of ${clip.frames.length}, with leg and heel line`}
        className="absolute inset-0 w-full h-full touch-none"
      >
        {stroke(lines.leg, '#0b3d91', 'leg')}
        {stroke(lines.heel, '#8c1f13', 'heel')}
        {ENDS.map(([name, end, label]) => (
          <Handle
            key={label}
            at={lines[name][end]}
            label={label}
            unit={unit * 0.8}
            step={0.5}
            onMove={(to) => onLines({ ...lines, [name]: withEnd(lines[name], end, to) })}
          />
        ))}
        {edges &&
          (['left', 'right'] as const).flatMap((name) => [
            stroke(edges[name], '#6f4600', `edge-${name}`, 0),
            ...([0, 1] as const).map((end) => (
              <Handle
                key={`${name}-${end}`}
                at={edges[name][end]}
                label={`${name} edge of the walkway, ${end === 0 ? 'near' : 'far'} end`}
                unit={unit * 0.8}
                step={1}
                onMove={(to) => onEdges({ ...edges, [name]: withEnd(edges[name], end, to) })}
              />
            )),
          ])}
      </svg>
    </div>
  );
}
