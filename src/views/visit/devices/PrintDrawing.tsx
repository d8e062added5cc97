import { useEffect, useMemo, useRef, useState } from 'react';
import type { PrintIndices, Segment } from '@/core/examination/footprint/indices';
import type { FootAxis, Point } from '@/core/examination/footprint/orient';
import type { Mask } from '@/core/examination/footprint/picture';
import { type FoundPrint, paint } from '@/core/examination/footprint/read-print';
import { Handle } from '@/ui/drawing/Handle';
import { type Spot, spotOf } from '@/ui/drawing/spot';

/** Which way each arrow key moves the brush: across, down. */
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

export const PRINT_TOOLS = {
  axis: 'axis',
  add: 'add to the print',
  wipe: 'wipe',
  toe: 'make it a toe',
} as const;
export type PrintTool = keyof typeof PRINT_TOOLS;

interface Props {
  print: FoundPrint;
  indices: PrintIndices | null;
  tool: PrintTool;
  brush: number;
  scale: Segment | null;
  onMask: (sole: Mask, toes: Mask) => void;
  onAxis: (axis: FootAxis) => void;
  onScale: (line: Segment) => void;
  /** A correction is complete: measure again. */
  onEnd: () => void;
}

/** The picture, and the print tinted over it: sole in one tone, toes in another. */
function Tinted({ print: { picture, sole, toes } }: { print: FoundPrint }) {
  return (
    <>
      <Pixels width={picture.width} height={picture.height} pixels={picture.data} />
      <Pixels
        width={sole.width}
        height={sole.height}
        pixels={useMemo(() => tintOf(sole, toes), [sole, toes])}
        className="opacity-55"
      />
    </>
  );
}

/** Red, green, blue and opaque, as one number of a machine that keeps the lowest byte first: every one that runs a browser. */
const pixelOf = (red: number, green: number, blue: number) => (255 << 24) | (blue << 16) | (green << 8) | red;
const SOLE = pixelOf(40, 150, 150);
const TOES = pixelOf(190, 140, 60);

/** Pixels of both masks in their tones; clear where neither lies. */
function tintOf(sole: Mask, toes: Mask): Uint8ClampedArray {
  const tint = new Int32Array(sole.data.length);
  for (let at = 0; at < tint.length; at += 1)
    tint[at] = sole.data[at] === 1 ? SOLE : toes.data[at] === 1 ? TOES : 0;
  return new Uint8ClampedArray(tint.buffer);
}

interface PixelsProps {
  width: number;
  height: number;
  pixels: FoundPrint['picture']['data'];
  className?: string;
}

function Pixels({ width, height, pixels, className = '' }: PixelsProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const image = new ImageData(width, height);
    image.data.set(pixels);
    canvas.current?.getContext('2d')?.putImageData(image, 0, 0);
  }, [width, height, pixels]);
  return (
    <canvas
      ref={canvas}
      width={width}
      height={height}
      className={`absolute inset-0 w-full h-full object-contain ${className}`}
    />
  );
}

/** A print with the construction of its indices drawn over it, and the tools to correct what was found. */
export function PrintDrawing(props: Props) {
  const { print, indices, tool, brush, scale, onMask, onAxis, onScale, onEnd } = props;
  const { width, height } = print.picture;
  const unit = Math.max(width, height) / 400;
  const radius = brush * unit;
  const [cursor, setCursor] = useState<Spot>({ x: width / 2, y: height / 2 });
  const painting = useRef(false);
  const masks = useRef({ sole: print.sole, toes: print.toes });
  masks.current = { sole: print.sole, toes: print.toes };

  const dab = (at: Point) => {
    const { sole, toes } = masks.current;
    masks.current = {
      sole: paint(sole, at, radius, tool === 'add' ? 1 : 0),
      toes: paint(toes, at, radius, tool === 'toe' ? 1 : 0),
    };
    onMask(masks.current.sole, masks.current.toes);
  };
  const paints = tool !== 'axis';
  const move = (end: 'heel' | 'toe') => (to: Spot) => onAxis({ ...print.axis, [end]: to });
  return (
    <div className="relative h-[21rem] w-full bg-desk border border-line">
      <Tinted print={print} />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className={`absolute inset-0 w-full h-full touch-none ${paints ? 'cursor-crosshair' : ''}`}
        role={paints ? 'application' : 'group'}
        tabIndex={paints ? 0 : undefined}
        aria-label={
          paints
            ? `Print, ${print.side}: arrow keys move the brush, space uses it`
            : `Print, ${print.side}, with its construction`
        }
        onPointerDown={(event) => {
          if (!paints) return;
          painting.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          dab(spotOf(event));
        }}
        onPointerMove={(event) => {
          if (!paints) return;
          const at = spotOf(event);
          setCursor(at);
          if (painting.current) dab(at);
        }}
        onPointerUp={() => {
          if (painting.current) onEnd();
          painting.current = false;
        }}
        onKeyDown={(event) => {
          if (!paints) return;
          const by = Math.max(1, radius / 2) * (event.shiftKey ? 10 : 1);
          const [across, down] = ARROWS[event.key] ?? [0, 0];
          if (event.key in ARROWS || event.key === ' ') event.preventDefault();
          setCursor({ x: cursor.x + across * by, y: cursor.y + down * by });
          if (event.key !== ' ') return;
          dab(cursor);
          onEnd();
        }}
      >
        {indices && <Construction indices={indices} unit={unit} />}
        {paints && (
          <circle
            cx={cursor.x}
            cy={cursor.y}
            r={radius}
            fill="none"
            stroke="var(--accent)"
            strokeWidth={unit * 1.5}
          />
        )}
        {!paints && (
          <>
            <Handle
              at={print.axis.heel}
              label="Heel end of the axis"
              unit={unit}
              step={unit}
              onMove={move('heel')}
              onEnd={onEnd}
            />
            <Handle
              at={print.axis.toe}
              label="Toe end of the axis"
              unit={unit}
              step={unit}
              onMove={move('toe')}
              onEnd={onEnd}
            />
          </>
        )}
        {scale && (
          <>
            <Line of={scale} unit={unit} width={2} colour="var(--hold)" />
            {([0, 1] as const).map((end) => (
              <Handle
                key={end}
                at={scale[end]}
                label={`${end === 0 ? 'First' : 'Second'} end of the scale line`}
                unit={unit}
                step={unit}
                onMove={(to) => onScale(end === 0 ? [to, scale[1]] : [scale[0], to])}
              />
            ))}
          </>
        )}
      </svg>
    </div>
  );
}

interface LineProps {
  of: Segment;
  unit: number;
  width?: number;
  colour?: string;
  dashed?: boolean;
}

function Line({ of: [a, b], unit, width = 1.4, colour = '#1d1710', dashed = false }: LineProps) {
  return (
    <line
      x1={a.x}
      y1={a.y}
      x2={b.x}
      y2={b.y}
      stroke={colour}
      strokeWidth={unit * width}
      strokeDasharray={dashed ? `${unit * 5} ${unit * 4}` : undefined}
    />
  );
}

/** Thirds, widths, inner tangent and both lines of Clarke’s angle. Dark on the picture in both colour schemes. */
function Construction({ indices, unit }: { indices: PrintIndices; unit: number }) {
  const { construction: lines } = indices;
  return (
    <g>
      <Line of={lines.axis} unit={unit} width={1.8} colour="#0c5960" />
      {lines.thirds.map((line, at) => (
        <Line key={at} of={line} unit={unit} dashed={at === 1 || at === 2} />
      ))}
      <Line of={lines.forefootWidth} unit={unit} width={2.4} colour="#8c1f13" />
      {lines.midfootWidth && <Line of={lines.midfootWidth} unit={unit} width={2.4} colour="#8c1f13" />}
      <Line of={lines.heelWidth} unit={unit} width={2.4} colour="#8c1f13" />
      <Line of={lines.innerTangent} unit={unit} colour="#6f4600" />
      {lines.clarkeDeepest && <Line of={lines.clarkeDeepest} unit={unit} colour="#6f4600" />}
      {lines.clarkeTangent && <Line of={lines.clarkeTangent} unit={unit} colour="#6f4600" dashed />}
    </g>
  );
}
