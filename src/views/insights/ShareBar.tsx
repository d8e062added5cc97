import type { Proportion } from '@/core/statistics/wilson';
import { inWords } from './words';

const WIDTH = 96;

/** A share from 0 to 100 % as a tick in the band in which it lies, with its figures underneath: a wide band knows little. */
export function ShareBar({ share, isApart = false }: { share: Proportion; isApart?: boolean }) {
  if (share.share === null) return <span className="text-faint">{inWords(share)}</span>;
  const at = (part: number) => 1 + part * (WIDTH - 2);
  return (
    <span className={`inline-grid ${isApart ? 'font-semibold' : ''}`}>
      <svg viewBox={`0 0 ${WIDTH} 12`} width={WIDTH} height={12} aria-hidden>
        <line x1={1} x2={WIDTH - 1} y1={6} y2={6} stroke="var(--line)" />
        {[0, 0.5, 1].map((tick) => (
          <line key={tick} x1={at(tick)} x2={at(tick)} y1={4} y2={8} stroke="var(--line)" />
        ))}
        <rect
          x={at(share.from)}
          width={at(share.to) - at(share.from)}
          y={3}
          height={6}
          fill={isApart ? 'var(--accent)' : 'var(--draw-foam)'}
          stroke="var(--rule)"
        />
        <line x1={at(share.share)} x2={at(share.share)} y1={0} y2={12} stroke="var(--ink)" strokeWidth={2} />
      </svg>
      <span className="whitespace-nowrap">{inWords(share)}</span>
    </span>
  );
}
