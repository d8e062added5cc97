import { useState } from 'react';
import { cameraWarning, offAxis } from '@/core/examination/gait/camera';
import type { GaitLine } from '@/core/examination/gait/heel-angle';
import { EXAMINATION_SOURCES, markInWords } from '@/core/examination/sources';
import type { Spot } from '@/ui/drawing/spot';

export interface Edges {
  left: GaitLine;
  right: GaitLine;
}

/** Where the edges of a walkway usually lie in a rear view. */
const firstEdges = (width: number, height: number): Edges => ({
  left: [
    { x: width * 0.06, y: height * 0.98 },
    { x: width * 0.3, y: height * 0.55 },
  ],
  right: [
    { x: width * 0.94, y: height * 0.98 },
    { x: width * 0.7, y: height * 0.55 },
  ],
});

interface Props {
  size: { width: number; height: number };
  foot: Spot;
  edges: Edges | null;
  onEdges: (edges: Edges | null) => void;
}

/** Whether the camera looks along the line of walking, from the edges of the walkway. */
export function CameraCheck({ size, foot, edges, onEdges }: Props) {
  const [fieldOfView, setFieldOfView] = useState(62);
  const angle =
    edges && offAxis(edges.left, edges.right, foot, { widthPx: size.width, fieldOfViewDeg: fieldOfView });
  const warning = angle === null ? null : cameraWarning(angle);
  return (
    <div className="text-sm grid gap-1 justify-items-start">
      <button
        type="button"
        className="press press-quiet"
        aria-expanded={edges !== null}
        onClick={() => onEdges(edges ? null : firstEdges(size.width, size.height))}
      >
        {edges ? 'Close the camera check' : 'Is the camera straight behind?'}
      </button>
      {edges && (
        <>
          <p className="text-faint">
            Lay the two lines on the edges of the walkway or belt. {EXAMINATION_SOURCES['areblad-1990'].says}{' '}
            {markInWords('areblad-1990')}.
          </p>
          <label className="flex gap-2 items-center">
            field of view
            <input
              type="number"
              min={20}
              max={120}
              className="figure w-16"
              value={fieldOfView}
              onChange={(event) => setFieldOfView(Number(event.target.value) || 62)}
            />
            °
          </label>
          <p role="status" className={warning ? 'text-hold' : ''}>
            {angle === null
              ? 'The edges do not meet ahead: lay them again.'
              : (warning ?? `${Math.abs(Math.round(angle))}° off the line of walking: straight enough.`)}
          </p>
        </>
      )}
    </div>
  );
}
