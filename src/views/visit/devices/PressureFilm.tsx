import { useEffect, useMemo, useRef, useState } from 'react';
import type { FootAxis } from '@/core/examination/footprint/orient';
import { PRESSURE_LINES, type StepReading } from '@/core/examination/pressure/analyse';
import type { FootMask } from '@/core/examination/pressure/masks';
import { type PressureRecording, peakPicture } from '@/core/examination/pressure/recording';
import { Handle } from '@/ui/drawing/Handle';
import type { Spot } from '@/ui/drawing/spot';

export type PressureLine = keyof typeof PRESSURE_LINES;

interface Props {
  recording: PressureRecording;
  mask: FootMask;
  reading: StepReading;
  line: PressureLine;
  onAxis: (axis: FootAxis) => void;
}

/** One hue from paper to ink, even in lightness, so that order is seen without colour vision. */
const RAMP: readonly [number, number, number][] = [
  [248, 243, 233],
  [205, 222, 205],
  [140, 190, 180],
  [64, 140, 142],
  [22, 82, 98],
  [16, 28, 58],
];

function tone(share: number): readonly [number, number, number] {
  const place = Math.min(0.9999, Math.max(0, share)) * (RAMP.length - 1);
  const at = Math.floor(place);
  const [a, b] = [RAMP[at]!, RAMP[at + 1]!];
  return [0, 1, 2].map((channel) => a[channel]! + (b[channel]! - a[channel]!) * (place - at)) as unknown as [
    number,
    number,
    number,
  ];
}

const PEAK = -1;

/** The step as it rolls off, or its peak picture: regions outlined, course of the centre of pressure, cells over the line. */
export function PressureFilm({ recording, mask, reading, line, onAxis }: Props) {
  const { rows, columns, frames, times } = recording;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [frame, setFrame] = useState(PEAK);
  const [playing, setPlaying] = useState(false);
  const peak = useMemo(() => peakPicture(recording), [recording]);
  const threshold = PRESSURE_LINES[line].kpa;

  useEffect(() => {
    if (!playing) return;
    const span = (times[times.length - 1]! - times[0]!) / Math.max(1, times.length - 1) || 0.01;
    // A quarter of the speed: a step lasts less than a second.
    const timer = setInterval(() => setFrame((now) => (now + 1) % frames.length), span * 4000);
    return () => clearInterval(timer);
  }, [playing, frames, times]);

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const shown = frame === PEAK ? peak : frames[frame]!;
    const image = new ImageData(columns, rows);
    for (let at = 0; at < shown.length; at += 1) {
      const [red, green, blue] = tone(shown[at]! / Math.max(1, reading.peakKpa));
      image.data.set([red, green, blue, 255], at * 4);
    }
    context.putImageData(image, 0, 0);
  }, [frame, frames, peak, rows, columns, reading.peakKpa]);

  const now = frame === PEAK ? null : reading.path[Math.min(frame, reading.path.length - 1)];
  const middle = ({ x, y }: Spot) => ({ x: x + 0.5, y: y + 0.5 });
  const axis = { heel: middle(mask.axis.heel), toe: middle(mask.axis.toe) };
  const unit = Math.max(rows, columns) / 400;
  const move = (end: 'heel' | 'toe') => (to: Spot) =>
    onAxis({ ...mask.axis, [end]: { x: to.x - 0.5, y: to.y - 0.5 } });
  return (
    <div className="grid gap-1">
      <div className="relative h-68 border border-line bg-desk">
        <canvas
          ref={canvas}
          width={columns}
          height={rows}
          className="absolute inset-0 w-full h-full object-contain [image-rendering:pixelated]"
        />
        <svg
          viewBox={`0 0 ${columns} ${rows}`}
          role="group"
          aria-label={`Pressure, ${mask.side}: ${frame === PEAK ? 'peak of each sensor' : `frame ${frame + 1} of ${frames.length}`}`}
          className="absolute inset-0 w-full h-full touch-none"
        >
          <path
            d={borders((at) => mask.region[at]!, rows, columns)}
            stroke="#5d5343"
            strokeWidth={unit * 1.2}
            fill="none"
          />
          <path
            d={borders((at) => (peak[at]! >= threshold ? 1 : 0), rows, columns)}
            stroke="#8c1f13"
            strokeWidth={unit * 2.4}
            fill="none"
          />
          <polyline
            points={reading.path.map((point) => `${point.x + 0.5},${point.y + 0.5}`).join(' ')}
            fill="none"
            stroke="#c2410c"
            strokeWidth={unit * 2.4}
          />
          {reading.path.length > 1 && (
            <line
              x1={reading.path[0]!.x + 0.5}
              y1={reading.path[0]!.y + 0.5}
              x2={reading.path.at(-1)!.x + 0.5}
              y2={reading.path.at(-1)!.y + 0.5}
              stroke="#6f4600"
              strokeDasharray={`${unit * 6} ${unit * 4}`}
              strokeWidth={unit * 1.4}
            />
          )}
          {reading.excursion && (
            <line
              x1={reading.excursion.from.x + 0.5}
              y1={reading.excursion.from.y + 0.5}
              x2={reading.excursion.to.x + 0.5}
              y2={reading.excursion.to.y + 0.5}
              stroke="#6f4600"
              strokeWidth={unit * 3}
            />
          )}
          {now && <circle cx={now.x + 0.5} cy={now.y + 0.5} r={unit * 7} fill="#c2410c" />}
          <Handle
            at={axis.heel}
            label={`Heel end of the axis, ${mask.side}`}
            unit={unit}
            step={0.25}
            onMove={move('heel')}
          />
          <Handle
            at={axis.toe}
            label={`Toe end of the axis, ${mask.side}`}
            unit={unit}
            step={0.25}
            onMove={move('toe')}
          />
        </svg>
      </div>
      <p className="flex items-center gap-1">
        <button
          type="button"
          className="press"
          onClick={() => {
            if (!playing && frame === PEAK) setFrame(0);
            setPlaying(!playing);
          }}
        >
          {playing ? 'Stop' : 'Roll'}
        </button>
        <button
          type="button"
          className="press"
          aria-pressed={frame === PEAK}
          onClick={() => {
            setPlaying(false);
            setFrame(PEAK);
          }}
        >
          Peak
        </button>
        <input
          type="range"
          aria-label={`Frame of the step, ${mask.side}`}
          min={0}
          max={frames.length - 1}
          value={frame === PEAK ? 0 : frame}
          onChange={(event) => {
            setPlaying(false);
            setFrame(Number(event.target.value));
          }}
          className="grow min-w-0"
        />
      </p>
    </div>
  );
}

/** Lines between neighbouring cells of different kinds. */
function borders(kindOf: (at: number) => number, rows: number, columns: number): string {
  const parts: string[] = [];
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < columns; x += 1) {
      const here = kindOf(y * columns + x);
      if (x + 1 < columns && kindOf(y * columns + x + 1) !== here) parts.push(`M${x + 1} ${y}v1`);
      if (y + 1 < rows && kindOf((y + 1) * columns + x) !== here) parts.push(`M${x} ${y + 1}h1`);
    }
  return parts.join('');
}
