import type { HeelLines } from '@/core/examination/gait/heel-angle';
import { Handle } from '@/ui/drawing/Handle';
import type { Edges } from './CameraCheck';
import { FrameStage, PlacedLine, withEnd } from './FrameStage';
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

/** One frame with the lines on it; ends are dragged, or moved by arrow keys a fraction of a pixel at a time. */
export function GaitStage({ clip, frame, lines, edges, onLines, onEdges }: Props) {
  const unit = clip.height / 480;
  return (
    <FrameStage clip={clip} frame={frame} label="with leg and heel line">
      <PlacedLine line={lines.leg} colour="#0b3d91" width={unit * 2} />
      <PlacedLine line={lines.heel} colour="#8c1f13" width={unit * 2} />
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
          <PlacedLine key={`edge-${name}`} line={edges[name]} colour="#6f4600" width={unit * 2} past={0} />,
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
    </FrameStage>
  );
}
