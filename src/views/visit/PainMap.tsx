import type { KeyboardEvent } from 'react';
import { SIDES, type Side } from '@/core/picture/finding-kinds';
import { FINDINGS } from '@/core/picture/findings';
import { useFinding } from './FindingField';

type Site = keyof typeof FINDINGS.pain.options;

/** Where each site lies on the drawing of a right leg (outer side), and of a right sole. */
const ON_LEG: Record<string, readonly [number, number]> = {
  hip: [60, 14],
  'knee-front': [82, 88],
  'knee-inner': [62, 96],
  shin: [76, 138],
  calf: [46, 136],
  'achilles-mid': [46, 180],
  'achilles-insertion': [43, 204],
  'ankle-outer': [64, 200],
  'ankle-inner': [76, 190],
  midfoot: [100, 204],
};
const ON_SOLE: Record<string, readonly [number, number]> = {
  'plantar-heel': [176, 196],
  'heel-growth-plate': [176, 214],
  arch: [164, 156],
  forefoot: [178, 112],
  'between-toes': [192, 92],
  'big-toe': [158, 98],
};
const LEG =
  'M48 0 C46 30 48 60 52 84 C44 104 38 126 42 152 C45 170 44 186 40 198 C38 208 42 214 50 215 L128 215 C134 214 134 207 128 204 C112 198 94 192 84 180 C80 160 84 130 86 104 C92 92 90 80 86 70 C90 46 92 20 92 0';
const SOLE =
  'M176 222 C160 222 156 206 158 190 C160 170 150 156 148 132 C145 106 146 92 152 84 C156 78 164 78 166 86 C170 80 178 80 179 88 C184 84 190 86 190 93 C195 91 199 95 198 100 C204 100 206 106 205 112 C206 134 200 160 195 184 C193 208 190 222 176 222 Z';

function Leg({ side }: { side: Side }) {
  const field = useFinding('pain', side);
  const chosen = (field.value as Site[] | undefined) ?? undefined;
  const toggle = (site: Site) => {
    const rest = (chosen ?? []).filter((entry) => entry !== site);
    field.set(chosen?.includes(site) ? (rest.length > 0 ? rest : undefined) : [...rest, site]);
  };
  const onKey = (event: KeyboardEvent, site: Site) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    toggle(site);
  };
  const flip = side === 'left' ? 'matrix(-1 0 0 1 240 0)' : undefined;
  return (
    <svg
      viewBox="20 -4 200 232"
      className={`h-[22rem] max-w-full ${field.lit ? 'lit' : ''}`}
      role="group"
      aria-label={`Aches, ${side} leg and foot`}
    >
      <g transform={flip} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth="1.2">
        <path d={LEG} />
        <path d={SOLE} />
      </g>
      {Object.entries({ ...ON_LEG, ...ON_SOLE }).map(([site, [x, y]]) => {
        const on = chosen?.includes(site as Site) ?? false;
        const name = FINDINGS.pain.options[site as Site];
        const cx = side === 'left' ? 240 - x : x;
        return (
          <g
            key={site}
            role="checkbox"
            aria-checked={on}
            aria-label={`${name}, ${side}`}
            tabIndex={0}
            className="cursor-pointer"
            onClick={() => toggle(site as Site)}
            onKeyDown={(event) => onKey(event, site as Site)}
          >
            <title>{name}</title>
            <circle cx={cx} cy={y} r={9} fill="transparent" />
            <circle
              cx={cx}
              cy={y}
              r={on ? 6 : 3.6}
              fill={on ? 'var(--warn)' : 'var(--paper)'}
              stroke={on ? 'var(--warn)' : 'var(--rule)'}
              strokeWidth={1.4}
            />
            {on && (
              <path
                d={`M${cx - 3} ${y} H${cx + 3} M${cx} ${y - 3} V${y + 3}`}
                stroke="var(--paper)"
                strokeWidth={1.6}
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** Aches marked on drawings of both legs and soles, by pointer or keyboard. */
export function PainMap() {
  return (
    <div className="grid grid-cols-2 gap-4">
      {SIDES.map((side) => (
        <PainOfSide key={side} side={side} />
      ))}
    </div>
  );
}

function PainOfSide({ side }: { side: Side }) {
  const field = useFinding('pain', side);
  const chosen = field.value as Site[] | undefined;
  return (
    <section aria-label={`Aches, ${side}`} className="text-center">
      <h2 className="capitalize text-base">{side}</h2>
      <Leg side={side} />
      <p className="min-h-10">
        {chosen === undefined ? (
          <span className="text-faint">not asked</span>
        ) : chosen.length === 0 ? (
          'no aches'
        ) : (
          chosen.map((site) => FINDINGS.pain.options[site]).join(', ')
        )}
        {(chosen === undefined || chosen.length === 0) && (
          <button
            type="button"
            className="press press-quiet ml-2"
            onClick={() => field.set(chosen === undefined ? [] : undefined)}
          >
            {chosen === undefined ? `No aches ${side}` : 'Not asked'}
          </button>
        )}
      </p>
    </section>
  );
}
