import { SIDES } from '@/core/findings/finding-kinds';
import { keysOf } from '@/core/tables/keys-of';
import { EDGES, type Midsole, readCreases, withCrease } from '@/core/wear/midsole';
import { LENGTHS } from '@/core/wear/wear-map';

/** From the heel to the toe, as shares of the length. */
const PLACES = { heel: [0, 0.36], mid: [0.36, 0.62], fore: [0.62, 1] } as const;
const WIDTH = 220;

/** Each midsole from its inner and its outer side; a press marks where it is creased or buckled. */
export function MidsoleMap({
  midsole,
  readOnly,
  onChange,
}: {
  midsole: Midsole;
  readOnly: boolean;
  onChange: (midsole: Midsole) => void;
}) {
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 max-w-2xl">
        {SIDES.flatMap((side) =>
          keysOf(EDGES).map((edge) => (
            <figure key={`${side} ${edge}`}>
              <figcaption className="text-sm text-faint">
                {side}, {EDGES[edge]}
              </figcaption>
              <svg
                viewBox={`0 0 ${WIDTH} 44`}
                className="w-full"
                role="group"
                aria-label={`Midsole, ${side}, ${EDGES[edge]}, heel on the left`}
              >
                <path
                  d="M6 40 Q2 22 8 12 L60 16 Q120 22 200 24 Q216 26 214 34 L206 40 Z"
                  fill="var(--draw-foam)"
                  stroke="var(--rule)"
                />
                {keysOf(PLACES).map((along) => {
                  const [from, to] = PLACES[along];
                  const isCreased = midsole[side]?.[edge]?.includes(along) ?? false;
                  const x = 6 + from * (WIDTH - 14);
                  const width = (to - from) * (WIDTH - 14);
                  const press = () => {
                    if (!readOnly) onChange(withCrease(midsole, side, edge, along));
                  };
                  return (
                    <g
                      key={along}
                      role="button"
                      tabIndex={0}
                      aria-pressed={isCreased}
                      aria-label={`${side}, ${EDGES[edge]}, ${LENGTHS[along]}: ${isCreased ? 'creased' : 'not creased'}`}
                      className="cursor-pointer handle"
                      onClick={press}
                      onKeyDown={(event) => {
                        if (event.key !== 'Enter' && event.key !== ' ') return;
                        event.preventDefault();
                        event.stopPropagation();
                        press();
                      }}
                    >
                      <rect
                        x={x}
                        y={4}
                        width={width}
                        height={38}
                        fill="transparent"
                        stroke="var(--line)"
                        strokeDasharray="3 3"
                      />
                      {isCreased &&
                        [0.3, 0.5, 0.7].map((share) => (
                          <path
                            key={share}
                            d={`M${x + width * share - 7} 22 q4 8 7 2 t7 8`}
                            fill="none"
                            stroke="var(--ink)"
                            strokeWidth={1.8}
                          />
                        ))}
                    </g>
                  );
                })}
              </svg>
            </figure>
          )),
        )}
      </div>
      {readCreases(midsole).map((line) => (
        <p key={line} className="text-hold">
          {line}
        </p>
      ))}
    </div>
  );
}
