/** @jsxImportSource preact */
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { HOME_PLACES, type HomeView } from '@/core/home/view-schema';
import { SPOT_FRAME, spotFoot } from '@/core/hot-spot/map';

export type HomePlace = (typeof HOME_PLACES)[number];
export interface Spot {
  side: Side;
  place: HomePlace;
}

const WORD = {
  'toe-tips': 'placeToeTips',
  'between-toes': 'placeBetweenToes',
  knuckles: 'placeKnuckles',
  ball: 'placeBall',
  arch: 'placeArch',
  instep: 'placeInstep',
  'heel-back': 'placeHeelBack',
  'outer-edge': 'placeOuterEdge',
  'inner-edge': 'placeInnerEdge',
  ankle: 'placeAnkle',
} as const satisfies Record<HomePlace, keyof HomeView['words']>;

/** Both feet as one looks down on one's own; each place is pressed on the drawing. */
export function Feet({
  words,
  marked,
  onPress,
}: {
  words: HomeView['words'];
  marked: readonly Spot[];
  onPress: (spot: Spot) => void;
}) {
  const nameOf = ({ side, place }: Spot) =>
    `${side === 'left' ? words.leftFoot : words.rightFoot}: ${words[WORD[place]]}`;
  const isOn = ({ side, place }: Spot) => marked.some((one) => one.side === side && one.place === place);
  return (
    <div>
      <div class="grid grid-cols-2 gap-2" dir="ltr">
        {SIDES.map((side) => {
          const foot = spotFoot(side);
          return (
            <figure key={side}>
              <svg
                viewBox={`0 0 ${SPOT_FRAME.width} ${SPOT_FRAME.height}`}
                class="w-full touch-manipulation"
                role="group"
                aria-label={side === 'left' ? words.leftFoot : words.rightFoot}
              >
                <path d={foot.outline} fill="var(--field)" stroke="var(--draw-line)" stroke-width={1.4} />
                {HOME_PLACES.map((place) => {
                  const [x, y] = foot.spots[place];
                  const on = isOn({ side, place });
                  return (
                    <g
                      key={place}
                      role="button"
                      tabIndex={0}
                      aria-pressed={on}
                      aria-label={nameOf({ side, place })}
                      onClick={() => onPress({ side, place })}
                      onKeyDown={(event) => {
                        if (event.key !== 'Enter' && event.key !== ' ') return;
                        event.preventDefault();
                        onPress({ side, place });
                      }}
                    >
                      <circle cx={x} cy={y} r={15} fill="transparent" />
                      <circle
                        cx={x}
                        cy={y}
                        r={on ? 10 : 6}
                        fill={on ? 'var(--warn)' : 'var(--paper)'}
                        stroke="var(--warn)"
                        stroke-width={2}
                      />
                    </g>
                  );
                })}
              </svg>
              <figcaption class="text-center text-faint">
                {side === 'left' ? words.leftFoot : words.rightFoot}
              </figcaption>
            </figure>
          );
        })}
      </div>
      <p aria-live="polite" class="mt-1">
        {marked.map(nameOf).join('; ')}
      </p>
    </div>
  );
}
