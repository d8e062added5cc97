import { useRef, useState } from 'react';
import type { PairPage } from '@/contract/records';
import { PHOTOGRAPH_KINDS, type TiltLines } from '@/core/photograph/photograph-schema';
import { type Line, tiltInWords, tiltOf } from '@/core/photograph/tilt';
import { Handle } from '@/ui/drawing/Handle';
import { PictureStage } from '@/ui/drawing/PictureStage';
import type { Spot } from '@/ui/drawing/spot';
import { Select } from '@/ui/fields/Select';
import { ComparePhotographs } from './ComparePhotographs';
import { type Crop, WHOLE } from './photograph-file';
import { usePhotograph } from './use-photograph';

const SIDES = ['left', 'right'] as const;

/** Photographs of a pair: taken or loaded, turned, cut, with the tilt of each shoe on a table; kept and compared. */
export function Photographs({
  pairId,
  photographs,
  today,
  readOnly,
}: {
  pairId: string;
  photographs: PairPage['photographs'];
  today: string;
  readOnly: boolean;
}) {
  const taking = usePhotograph(pairId, today);
  const { picture, kind, lines, problem, state } = taking;
  const [crop, setCrop] = useState<Crop | null>(null);
  const file = useRef<HTMLInputElement>(null);
  return (
    <div className="grid gap-4">
      {!readOnly && (
        <div className="flex flex-wrap gap-3 items-end">
          <label>
            <span className="block text-faint">Picture file, or the camera of this device</span>
            <input
              ref={file}
              type="file"
              accept="image/*"
              capture="environment"
              disabled={state !== 'idle'}
              onChange={({ target }) => {
                const [chosen] = target.files ?? [];
                if (chosen) void taking.open(chosen);
                target.value = '';
              }}
            />
          </label>
          <button
            type="button"
            className="press"
            disabled={state !== 'idle'}
            onClick={() => taking.simulate({ seed: 1, leftDeg: 6, rightDeg: -1, rollDeg: 2 })}
          >
            From the simulated camera
          </button>
          {problem && (
            <p role="alert" className="problem">
              {problem}
            </p>
          )}
          <span role="status" className="text-faint">
            {state === 'opening' ? 'Opening the picture …' : state === 'keeping' ? 'Keeping it …' : ''}
          </span>
        </div>
      )}
      {picture && lines && (
        <div className="grid grid-cols-[minmax(0,1fr)_18rem] gap-6">
          <Stage
            picture={picture}
            kind={kind}
            lines={lines}
            crop={crop}
            onLines={taking.place}
            onCrop={setCrop}
          />
          <div className="grid gap-3 content-start">
            <Select
              label="What it shows"
              options={PHOTOGRAPH_KINDS}
              value={kind}
              onChange={(chosen) => chosen && taking.setKind(chosen)}
            />
            {kind === 'rear' && (
              <TiltAnswers lines={lines} isPlaced={taking.isPlaced} width={picture.width} />
            )}
            <p className="flex flex-wrap gap-2">
              <button type="button" className="press" onClick={taking.turn}>
                Turn
              </button>
              {crop ? (
                <>
                  <button
                    type="button"
                    className="press"
                    onClick={() => {
                      void taking.crop(crop);
                      setCrop(null);
                    }}
                  >
                    Cut here
                  </button>
                  <button type="button" className="press press-quiet" onClick={() => setCrop(null)}>
                    Do not cut
                  </button>
                </>
              ) : (
                <button
                  type="button"
                  className="press"
                  onClick={() => setCrop({ ...WHOLE, left: 0.1, right: 0.9 })}
                >
                  Crop …
                </button>
              )}
            </p>
            <p className="flex gap-2">
              <button
                type="button"
                className="press press-main"
                disabled={state !== 'idle' || crop !== null}
                onClick={taking.keep}
              >
                Keep the photograph
              </button>
              <button type="button" className="press press-quiet" onClick={taking.drop}>
                Discard
              </button>
            </p>
            <p className="text-faint text-xs">
              Kept without the place and the time that a camera writes into its files, up to 1600 pixels.
            </p>
          </div>
        </div>
      )}
      <ComparePhotographs photographs={photographs} />
    </div>
  );
}

function TiltAnswers({ lines, isPlaced, width }: { lines: TiltLines; isPlaced: boolean; width: number }) {
  return (
    <div role="status" aria-label="Tilt on the table">
      {!isPlaced && <p>The lines are not placed yet.</p>}
      {(isPlaced ? SIDES : []).map((side) => {
        const heel = lines[side];
        const tilt = heel && tiltOf(lines.table, heel, width);
        return (
          <p key={side}>
            <span className="capitalize">{side}</span>: {tilt ? tiltInWords(tilt, side) : 'no line'}
          </p>
        );
      })}
      <p className="text-faint text-xs">
        Lay one line along the table’s edge, one along the middle of each heel. The error is what placing them
        is worth.
      </p>
    </div>
  );
}

/** The picture with its lines, or with what is cut out of it. */
function Stage({
  picture,
  kind,
  lines,
  crop,
  onLines,
  onCrop,
}: {
  picture: ImageBitmap;
  kind: string;
  lines: TiltLines;
  crop: Crop | null;
  onLines: (lines: TiltLines) => void;
  onCrop: (crop: Crop) => void;
}) {
  const { width, height } = picture;
  const unit = width / 480;
  const drawn = [
    { id: 'table' as const, label: 'table’s edge', colour: 'var(--accent)', line: lines.table },
    ...SIDES.flatMap((side) => {
      const line = lines[side];
      return line ? [{ id: side, label: `${side} heel`, colour: 'var(--hold)', line }] : [];
    }),
  ];
  const moved = (line: Line, end: 0 | 1, to: Spot): Line => (end === 0 ? [to, line[1]] : [line[0], to]);
  return (
    <PictureStage
      picture={picture}
      width={width}
      height={height}
      label="The photograph"
      className="h-[25rem]"
    >
      {kind === 'rear' &&
        !crop &&
        drawn.map(({ id, label, colour, line }) => (
          <g key={id}>
            <line
              x1={line[0].x}
              y1={line[0].y}
              x2={line[1].x}
              y2={line[1].y}
              stroke={colour}
              strokeWidth={2 * unit}
            />
            {([0, 1] as const).map((end) => (
              <Handle
                key={end}
                at={line[end]}
                unit={unit}
                label={`${label}, ${end === 0 ? 'first' : 'second'} end`}
                onMove={(to) => onLines({ ...lines, [id]: moved(line, end, to) })}
              />
            ))}
          </g>
        ))}
      {crop && (
        <>
          <rect
            x={crop.left * width}
            y={crop.top * height}
            width={(crop.right - crop.left) * width}
            height={(crop.bottom - crop.top) * height}
            fill="none"
            stroke="var(--accent)"
            strokeWidth={2 * unit}
          />
          <Handle
            at={{ x: crop.left * width, y: crop.top * height }}
            unit={unit}
            label="upper left corner"
            onMove={({ x, y }) =>
              onCrop({
                ...crop,
                left: Math.min(crop.right - 0.05, Math.max(0, x / width)),
                top: Math.min(crop.bottom - 0.05, Math.max(0, y / height)),
              })
            }
          />
          <Handle
            at={{ x: crop.right * width, y: crop.bottom * height }}
            unit={unit}
            label="lower right corner"
            onMove={({ x, y }) =>
              onCrop({
                ...crop,
                right: Math.max(crop.left + 0.05, Math.min(1, x / width)),
                bottom: Math.max(crop.top + 0.05, Math.min(1, y / height)),
              })
            }
          />
        </>
      )}
    </PictureStage>
  );
}
