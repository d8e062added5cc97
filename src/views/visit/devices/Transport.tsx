import type { LoadedClip } from './use-clip';

const SPEEDS = [
  [1, 'full'],
  [0.25, 'quarter'],
  [0.1, 'tenth'],
] as const;

/** Frame by frame, slow, in a loop. */
export function Transport({ loaded }: { loaded: LoadedClip }) {
  const { clip, frame, show, speed, setSpeed } = loaded;
  if (!clip) return null;
  return (
    <div className="grid gap-1">
      <input
        type="range"
        aria-label="Frame"
        aria-valuetext={`frame ${frame + 1} of ${clip.frames.length}`}
        min={0}
        max={clip.frames.length - 1}
        value={frame}
        onChange={(event) => show(Number(event.target.value))}
        className="w-full"
      />
      <p className="flex gap-1 items-center [&_.press]:px-2">
        <button type="button" className="press" aria-label="Frame back" onClick={() => show(frame - 1)}>
          ‹
        </button>
        <button type="button" className="press" aria-label="Frame on" onClick={() => show(frame + 1)}>
          ›
        </button>
        {SPEEDS.map(([value, label]) => (
          <button
            key={value}
            type="button"
            className="press"
            aria-pressed={speed === value}
            onClick={() => setSpeed(speed === value ? null : value)}
          >
            {speed === value ? 'stop' : label}
          </button>
        ))}
        <span className="figure text-faint">
          {frame + 1}/{clip.frames.length}
        </span>
      </p>
    </div>
  );
}
