import type { Crop } from '@/core/photograph/crop';
import type { PhotographKind, PictureScale, TiltLines } from '@/core/photograph/photograph-schema';
import { Handle } from '@/ui/drawing/Handle';
import { PictureStage } from '@/ui/drawing/PictureStage';
import type { Spot } from '@/ui/drawing/spot';

type PlacedLine = TiltLines['table'];
interface Drawn {
  label: string;
  colour: string;
  line: PlacedLine;
  /** Lengths are broken and named, so that nobody takes them for a tilt. */
  dash?: string;
  onMove: (to: PlacedLine) => void;
}

const tiltLines = (lines: TiltLines, onLines: (lines: TiltLines) => void): Drawn[] => [
  {
    label: 'table’s edge',
    colour: 'var(--accent)',
    line: lines.table,
    onMove: (table) => onLines({ ...lines, table }),
  },
  ...(['left', 'right'] as const).flatMap((side) => {
    const line = lines[side];
    return line
      ? [
          {
            label: `${side} heel`,
            colour: 'var(--hold)',
            line,
            onMove: (to: PlacedLine) => onLines({ ...lines, [side]: to }),
          },
        ]
      : [];
  }),
];

const scaleLines = (scale: PictureScale, onScale: (scale: PictureScale) => void): Drawn[] => [
  {
    label: 'known length',
    colour: 'var(--accent)',
    line: scale.known,
    dash: '2%',
    onMove: (known) => onScale({ ...scale, known }),
  },
  ...(scale.measured
    ? [
        {
          label: 'measured length',
          colour: 'var(--warn)',
          line: scale.measured,
          dash: '2%',
          onMove: (measured: PlacedLine) => onScale({ ...scale, measured }),
        },
      ]
    : []),
];

/** The picture with its lines, or with what is cut out of it. */
export function PhotographStage({
  picture,
  kind,
  lines,
  scale,
  crop,
  onLines,
  onScale,
  onCrop,
}: {
  picture: ImageBitmap;
  kind: PhotographKind;
  lines: TiltLines;
  scale: PictureScale | null;
  crop: Crop | null;
  onLines: (lines: TiltLines) => void;
  onScale: (scale: PictureScale) => void;
  onCrop: (crop: Crop) => void;
}) {
  const { width, height } = picture;
  const unit = width / 480;
  const drawn = crop
    ? []
    : [...(kind === 'rear' ? tiltLines(lines, onLines) : []), ...(scale ? scaleLines(scale, onScale) : [])];
  const moved = (line: PlacedLine, end: 0 | 1, to: Spot): PlacedLine =>
    end === 0 ? [to, line[1]] : [line[0], to];
  return (
    <PictureStage
      picture={picture}
      width={width}
      height={height}
      label="The photograph"
      className="h-[25rem]"
    >
      {drawn.map(({ label, colour, line, dash, onMove }) => (
        <g key={label}>
          <line
            x1={line[0].x}
            y1={line[0].y}
            x2={line[1].x}
            y2={line[1].y}
            stroke={colour}
            strokeWidth={2 * unit}
            strokeDasharray={dash}
          />
          {dash !== undefined && (
            <text
              x={line[0].x}
              y={line[0].y - 9 * unit}
              fontSize={12 * unit}
              fill={colour}
              stroke="var(--paper)"
              strokeWidth={3 * unit}
              paintOrder="stroke"
            >
              {label}
            </text>
          )}
          {([0, 1] as const).map((end) => (
            <Handle
              key={end}
              at={line[end]}
              unit={unit}
              label={`${label}, ${end === 0 ? 'first' : 'second'} end`}
              onMove={(to) => onMove(moved(line, end, to))}
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
