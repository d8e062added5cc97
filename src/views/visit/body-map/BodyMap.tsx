import { type KeyboardEvent, useState } from 'react';
import { type BodyMark, LAYERS, type Layer } from '@/core/body-map/mark';
import { nearestSite, sitesOn, VIEWS, type View } from '@/core/body-map/sites';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { keysOf } from '@/core/tables/keys-of';
import { BODY_VIEWS } from '@/ui/drawing/body-views';
import { spotOf } from '@/ui/drawing/spot';
import { MarkEditor } from './MarkEditor';
import { useMarks } from './use-marks';

const TALL: readonly View[] = ['front', 'back', 'top', 'sole'];
const LOW: readonly View[] = ['outer', 'inner', 'heel'];
const FEET_TALL: readonly View[] = ['top', 'sole'];

interface Props {
  layer: Layer;
  /** Drawings of the foot only. */
  feetOnly?: boolean;
}

/** Both sides in several drawings; a press marks a place, the marked place is described below. */
export function BodyMap({ layer, feetOnly = false }: Props) {
  const all = {
    ache: useMarks('ache'),
    injury: useMarks('injury'),
    skin: useMarks('skin'),
  };
  const marks = all[layer];
  const [chosen, setChosen] = useState<string | null>(null);
  const mark = marks.marks.find((entry) => entry.id === chosen) ?? null;
  const others = keysOf(LAYERS)
    .filter((name) => name !== layer)
    .flatMap((name) => all[name].marks);
  return (
    <div className="grid gap-1">
      <div className="grid grid-cols-2 gap-4">
        {SIDES.map((side) => (
          <section key={side} aria-label={`${LAYERS[layer]}, ${side}`} className="min-w-0">
            <h2 className="capitalize text-base text-center">{side}</h2>
            {[feetOnly ? FEET_TALL : TALL, LOW].map((views, row) => (
              <div key={row} className={`flex justify-center gap-1 ${row === 0 ? '' : 'max-w-80 mx-auto'}`}>
                {(side === 'left' ? views : views.toReversed()).map((view) => (
                  <Drawing
                    key={view}
                    view={view}
                    side={side}
                    layer={layer}
                    marks={marks}
                    others={others}
                    chosen={chosen}
                    onChoose={setChosen}
                  />
                ))}
              </div>
            ))}
          </section>
        ))}
      </div>
      <MarkEditor layer={layer} mark={mark} marks={marks} onChoose={setChosen} />
    </div>
  );
}

interface DrawingProps {
  view: View;
  side: Side;
  layer: Layer;
  marks: ReturnType<typeof useMarks>;
  others: readonly BodyMark[];
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

function Drawing({ view, side, layer, marks, others, chosen, onChoose }: DrawingProps) {
  const { box, outline, lines } = BODY_VIEWS[view];
  const [x, , width] = box;
  const mirrored = side === 'left';
  const place = (px: number) => (mirrored ? 2 * x + width - px : px);
  const here = (list: readonly BodyMark[]) => list.filter((mark) => mark.side === side && mark.view === view);
  const toggle = (id: string) => {
    const site = sitesOn(view).find((entry) => entry.id === id)!;
    if (marks.isOn(site, side)) {
      marks.clear(site, side);
      onChoose(null);
    } else onChoose(marks.add(site, side).id);
  };
  const onKey = (event: KeyboardEvent, id: string) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    toggle(id);
  };
  return (
    <figure className="text-center min-w-0 max-w-28" style={{ flex: `${width} 1 0` }}>
      <svg
        viewBox={box.join(' ')}
        className="w-full h-auto"
        role="group"
        aria-label={`${VIEWS[view]}, ${side}`}
        onPointerDown={(event) => {
          if (event.target instanceof Element && event.target.closest('[data-mark],[role=checkbox]')) return;
          const spot = spotOf(event);
          const at = { x: place(spot.x), y: spot.y };
          onChoose(marks.add(nearestSite(view, at.x, at.y), side, at).id);
        }}
      >
        <g transform={mirrored ? `translate(${2 * x + width} 0) scale(-1 1)` : undefined}>
          <path d={outline} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth="1" />
          <path d={lines} fill="none" stroke="var(--draw-line)" strokeWidth="0.6" opacity="0.7" />
        </g>
        {here(others).map((mark) => (
          <MarkGlyph key={mark.id} mark={mark} x={place(mark.x)} y={mark.y} faint />
        ))}
        {sitesOn(view).map((site) => {
          const on = marks.isOn(site, side);
          const marked = here(marks.marks).some((mark) => mark.site === site.id);
          return (
            <g
              key={site.id}
              role="checkbox"
              aria-checked={on}
              aria-label={`${site.label}, ${side}${layer === 'ache' ? '' : `, ${LAYERS[layer].toLowerCase()}`}`}
              tabIndex={0}
              onClick={() => toggle(site.id)}
              onKeyDown={(event) => onKey(event, site.id)}
              className="cursor-pointer"
            >
              <title>{site.label}</title>
              <circle cx={place(site.x)} cy={site.y} r="7" fill="transparent" />
              <circle
                cx={place(site.x)}
                cy={site.y}
                r={on && !marked ? 4 : 2.2}
                fill={on && !marked ? 'var(--warn)' : 'none'}
                stroke={on && !marked ? 'var(--warn)' : 'var(--rule)'}
                strokeWidth="0.9"
              />
            </g>
          );
        })}
        {here(marks.marks).map((mark) => (
          <g
            key={mark.id}
            data-mark=""
            className="cursor-pointer"
            onPointerDown={(event) => {
              event.stopPropagation();
              onChoose(mark.id);
            }}
          >
            <MarkGlyph mark={mark} x={place(mark.x)} y={mark.y} lit={mark.id === chosen} />
          </g>
        ))}
      </svg>
      <figcaption className="text-faint text-xs leading-none">{VIEWS[view]}</figcaption>
    </figure>
  );
}

/** A mark by layer: disc for an ache, cross for an injury, square for skin. Shape says it, colour only helps. */
function MarkGlyph({
  mark,
  x,
  y,
  faint = false,
  lit = false,
}: {
  mark: BodyMark;
  x: number;
  y: number;
  faint?: boolean;
  lit?: boolean;
}) {
  const ring = lit ? (
    <circle cx={x} cy={y} r="7.5" fill="none" stroke="var(--accent)" strokeWidth="1.6" />
  ) : null;
  const opacity = faint ? 0.4 : 1;
  if (mark.layer === 'injury')
    return (
      <g opacity={opacity}>
        {ring}
        <path
          d={`M${x - 4} ${y - 4}l8 8M${x + 4} ${y - 4}l-8 8`}
          stroke="var(--ink)"
          strokeWidth="2.2"
          fill="none"
        />
      </g>
    );
  if (mark.layer === 'skin')
    return (
      <g opacity={opacity}>
        {ring}
        <rect
          x={x - 4}
          y={y - 4}
          width="8"
          height="8"
          fill="var(--hold)"
          stroke="var(--paper)"
          strokeWidth="0.8"
        />
      </g>
    );
  return (
    <g opacity={opacity}>
      {ring}
      <circle cx={x} cy={y} r="5" fill="var(--warn)" stroke="var(--paper)" strokeWidth="0.8" />
      {mark.score !== undefined && (
        <text x={x} y={y + 2.4} textAnchor="middle" fontSize="6.6" fontWeight="600" fill="var(--paper)">
          {mark.score}
        </text>
      )}
    </g>
  );
}
