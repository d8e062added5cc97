import { create } from 'qrcode';

/** A link as a square code, crisp at any size; dark on light in both modes, as readers expect it. */
export function QrCode({ text, label, className = '' }: { text: string; label: string; className?: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const dark = Array.from({ length: size * size }, (_, at) => at).filter((at) =>
    modules.get(Math.floor(at / size), at % size),
  );
  // Four modules of quiet ground around (ISO/IEC 18004, from memory).
  const quiet = 4;
  return (
    <svg
      viewBox={`${-quiet} ${-quiet} ${size + 2 * quiet} ${size + 2 * quiet}`}
      className={className}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect x={-quiet} y={-quiet} width={size + 2 * quiet} height={size + 2 * quiet} fill="#fff" />
      <path d={dark.map((at) => `M${at % size} ${Math.floor(at / size)}h1v1h-1z`).join('')} fill="#000" />
    </svg>
  );
}
