import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import type { SpotPlace } from '@/core/hot-spot/causes';
import { SPOT_FRAME, spotFoot } from '@/core/hot-spot/map';
import { keysOf } from '@/core/tables/keys-of';

const PLACES = FINDINGS.rubbedAt.options;

export interface Spot {
  side: Side;
  place: SpotPlace;
}

interface Props {
  /** Places that rub. */
  marked: readonly Spot[];
  /** The one that is looked into. */
  current: Spot | undefined;
  readOnly: boolean;
  /** Where nothing else stands beside it. */
  large?: boolean;
  onPress: (spot: Spot) => void;
}

/** Both feet as their owner sees them; a place that rubs is pressed where it is. */
export function SpotMap({ marked, current, readOnly, large = false, onPress }: Props) {
  const has = (spots: readonly Spot[], side: Side, place: SpotPlace) =>
    spots.some((spot) => spot.side === side && spot.place === place);
  return (
    <div className="flex gap-1">
      {SIDES.map((side) => {
        const { outline, spots } = spotFoot(side);
        return (
          <svg
            key={side}
            viewBox={`0 0 ${SPOT_FRAME.width} ${SPOT_FRAME.height}`}
            className={large ? 'h-96' : 'h-60'}
            role="group"
            aria-label={`${side} foot from above`}
          >
            <path d={outline} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth={1.2} />
            {keysOf(PLACES).map((place) => {
              const isMarked = has(marked, side, place);
              const isCurrent = current?.side === side && current.place === place;
              const press = () => !readOnly && onPress({ side, place });
              return (
                <g
                  key={place}
                  role="button"
                  tabIndex={0}
                  aria-label={`${side}: ${PLACES[place]}`}
                  aria-pressed={isMarked}
                  className="cursor-pointer"
                  onClick={press}
                  onKeyDown={(event) => {
                    if (event.key !== 'Enter' && event.key !== ' ') return;
                    event.preventDefault();
                    press();
                  }}
                >
                  <title>{PLACES[place]}</title>
                  <circle cx={spots[place][0]} cy={spots[place][1]} r={11} fill="transparent" />
                  <circle
                    cx={spots[place][0]}
                    cy={spots[place][1]}
                    r={isCurrent ? 9 : 6.5}
                    fill={isMarked ? 'var(--warn)' : 'var(--field)'}
                    stroke={isCurrent ? 'var(--accent)' : 'var(--draw-line)'}
                    strokeWidth={isCurrent ? 3 : 1}
                  />
                </g>
              );
            })}
            <text
              x={SPOT_FRAME.width / 2}
              y={SPOT_FRAME.height - 6}
              textAnchor="middle"
              fontSize={large ? 13 : 18}
              fill="var(--ink)"
            >
              {side}
            </text>
          </svg>
        );
      })}
    </div>
  );
}
