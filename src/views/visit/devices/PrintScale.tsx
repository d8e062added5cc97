import { useState } from 'react';
import type { PrintIndices, Segment } from '@/core/examination/footprint/indices';
import { mmPerPixel, PRINT_AGAINST_TAPE_MM } from '@/core/examination/footprint/scale';
import type { Side } from '@/core/findings/finding-kinds';
import { parseLength } from '@/core/units/length';

interface Props {
  side: Side;
  lengthPx: number;
  indices: PrintIndices;
  size: { width: number; height: number };
  line: Segment | null;
  onLine: (line: Segment | null) => void;
  footLengthMm: number | null;
}

/** Millimetres for a print: by a ruler in the picture, or by the foot length that was measured. */
export function PrintScale({ side, lengthPx, indices, size, line, onLine, footLengthMm }: Props) {
  const [typed, setTyped] = useState('100');
  const length = parseLength(typed);
  const perPixel = mmPerPixel(lengthPx, footLengthMm, line, length.ok ? length.value : null);
  const mm = (pixels: number) => (perPixel === null ? null : Math.round(pixels * perPixel));
  const printMm = mm(lengthPx);
  const apart = line && printMm !== null && footLengthMm !== null ? Math.abs(printMm - footLengthMm) : 0;
  return (
    <div className="text-sm grid gap-1 border-t border-line pt-1">
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          checked={line !== null}
          onChange={(event) =>
            onLine(
              event.target.checked
                ? [
                    { x: size.width * 0.1, y: size.height * 0.92 },
                    { x: size.width * 0.5, y: size.height * 0.92 },
                  ]
                : null,
            )
          }
        />
        a ruler lies in the picture
        {line && (
          <>
            : the line is
            <input
              aria-label={`Length of the scale line, ${side}`}
              className="figure w-16 text-right"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
            mm
          </>
        )}
      </label>
      {!length.ok && line && <p className="problem">{length.problem.message}</p>}
      <p className="text-faint">
        {perPixel === null
          ? 'Indices are ratios and need no scale. With a ruler, or the foot length measured, widths are shown in mm.'
          : `${line ? 'By the ruler' : 'By the measured foot length'}: print ${printMm} mm, forefoot ${mm(indices.forefootWidth)} mm, midfoot ${mm(indices.midfootWidth)} mm, heel ${mm(indices.heelWidth)} mm.`}
      </p>
      {apart > PRINT_AGAINST_TAPE_MM && (
        <p role="status" className="text-hold">
          The print is {Math.round(apart)} mm apart from the measured foot length: check scale and side.
        </p>
      )}
    </div>
  );
}
