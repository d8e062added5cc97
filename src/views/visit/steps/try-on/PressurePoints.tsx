import { type KeyboardEvent, useState } from 'react';
import { nearestSite, siteOf, sitesOn, type View } from '@/core/body-map/sites';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { POINT_KINDS, type PointKind, type PressurePoint } from '@/core/fitting/try-on';
import { BODY_VIEWS } from '@/ui/drawing/body-views';
import { spotOf } from '@/ui/drawing/spot';
import { Choice } from '@/ui/fields/Choice';
import type { FittedPair, FittingView } from './use-fitting';

const PLACES: readonly View[] = ['top', 'sole', 'outer', 'inner', 'heel'];
const SHAPE: Record<PointKind, string> = {
  presses: 'M-4-4H4V4H-4Z',
  rubs: 'M0-5L5 4H-5Z',
  gapes: 'M-5 0A5 5 0 1 1 5 0A5 5 0 1 1-5 0Z',
};

/** Where the shoe makes itself felt, marked on the foot: choose what, then press the place. */
export function PressurePoints({ pair, fitting }: { pair: FittedPair; fitting: FittingView }) {
  const { tryOn, model, letter } = pair;
  const [kind, setKind] = useState<PointKind>('presses');
  const points = tryOn.points ?? [];
  const keep = (next: readonly PressurePoint[]) =>
    fitting.change(model.id, { points: next.length > 0 ? [...next] : undefined });
  const add = (side: Side, view: View, site: string, x: number, y: number) =>
    keep([...points, { id: crypto.randomUUID(), side, view, site, x, y, kind }]);
  return (
    <div className="grid gap-1">
      <Choice
        label={`What pair ${letter} does at the place you press`}
        options={POINT_KINDS}
        value={kind}
        onChange={(value) => value && setKind(value)}
      />
      <div className="grid grid-cols-2 gap-4">
        {SIDES.map((side) => (
          <section key={side} aria-label={`Places, ${side}`} className="flex justify-center gap-1 min-w-0">
            {(side === 'left' ? PLACES : PLACES.toReversed()).map((view) => (
              <Foot
                key={view}
                view={view}
                side={side}
                points={points.filter((point) => point.side === side && point.view === view)}
                onAdd={(site, x, y) => add(side, view, site, x, y)}
                onRemove={(id) => keep(points.filter((point) => point.id !== id))}
              />
            ))}
          </section>
        ))}
      </div>
      <ul className="text-sm columns-2" aria-label="Marked places">
        {points.map((point) => (
          <li key={point.id}>
            {point.side}, {siteOf(point.site)?.label}: {POINT_KINDS[point.kind]}{' '}
            <button
              type="button"
              className="press press-quiet"
              aria-label={`Remove ${siteOf(point.site)?.label}, ${point.side}`}
              onClick={() => keep(points.filter((entry) => entry.id !== point.id))}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface FootProps {
  view: View;
  side: Side;
  points: readonly PressurePoint[];
  onAdd: (site: string, x: number, y: number) => void;
  onRemove: (id: string) => void;
}

function Foot({ view, side, points, onAdd, onRemove }: FootProps) {
  const { box, outline, lines } = BODY_VIEWS[view];
  const [x, , width] = box;
  const mirrored = side === 'left';
  const place = (px: number) => (mirrored ? 2 * x + width - px : px);
  const onKey = (event: KeyboardEvent, id: string) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    const there = points.find((point) => point.site === id);
    const site = siteOf(id)!;
    if (there) onRemove(there.id);
    else onAdd(id, site.x, site.y);
  };
  return (
    <svg
      viewBox={box.join(' ')}
      className="h-40 w-auto min-w-0"
      role="group"
      aria-label={`${view}, ${side}`}
      onPointerDown={(event) => {
        const spot = spotOf(event);
        const at = { x: place(spot.x), y: spot.y };
        onAdd(
          nearestSite(view, at.x, at.y).id,
          Math.min(100, Math.max(0, at.x)),
          Math.min(220, Math.max(0, at.y)),
        );
      }}
    >
      <g transform={mirrored ? `translate(${2 * x + width} 0) scale(-1 1)` : undefined}>
        <path d={outline} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth="1" />
        <path d={lines} fill="none" stroke="var(--draw-line)" strokeWidth="0.6" opacity="0.7" />
      </g>
      {sitesOn(view).map((site) => (
        <circle
          key={site.id}
          role="checkbox"
          aria-checked={points.some((point) => point.site === site.id)}
          aria-label={`${site.label}, ${side}`}
          tabIndex={0}
          cx={place(site.x)}
          cy={site.y}
          r="4"
          fill="transparent"
          stroke="var(--draw-line)"
          strokeWidth="0.5"
          strokeDasharray="1.5 1.5"
          onKeyDown={(event) => onKey(event, site.id)}
        />
      ))}
      {points.map((point) => (
        <path
          key={point.id}
          d={SHAPE[point.kind]}
          transform={`translate(${place(point.x)} ${point.y})`}
          fill="var(--warn)"
          stroke="var(--paper)"
          strokeWidth="1"
          pointerEvents="none"
        />
      ))}
    </svg>
  );
}
