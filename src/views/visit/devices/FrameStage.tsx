import type { ReactNode } from 'react';
import type { GaitLine } from '@/core/examination/gait/heel-angle';
import { PictureStage } from '@/ui/drawing/PictureStage';
import type { Spot } from '@/ui/drawing/spot';
import type { Clip } from './load-frames';

interface Props {
  clip: Clip;
  frame: number;
  label: string;
  /** Lines and handles in the picture's own pixels. */
  children: ReactNode;
}

/** One frame of a clip with what is placed on it. */
export function FrameStage({ clip, frame, label, children }: Props) {
  return (
    <PictureStage
      picture={clip.frames[frame]}
      width={clip.width}
      height={clip.height}
      label={`Frame ${frame + 1} of ${clip.frames.length}, ${label}`}
      className="h-[23rem]"
    >
      {children}
    </PictureStage>
  );
}

/** A placed line, drawn a little past its ends. */
export function PlacedLine({
  line: [a, b],
  colour,
  width,
  past = 0.25,
}: {
  line: GaitLine;
  colour: string;
  width: number;
  past?: number;
}) {
  const [dx, dy] = [(b.x - a.x) * past, (b.y - a.y) * past];
  return <line x1={a.x - dx} y1={a.y - dy} x2={b.x + dx} y2={b.y + dy} stroke={colour} strokeWidth={width} />;
}

/** A line with one of its ends moved. */
export const withEnd = (line: GaitLine, end: 0 | 1, to: Spot): GaitLine =>
  end === 0 ? [to, line[1]] : [line[0], to];
