import type { ReactNode } from 'react';
import type { FindingId } from '@/core/findings/findings';
import type { Place } from '@/core/findings/with-values';
import { heelFromBehind, innerArch, Limb, tipToe } from './foot-contours';
import { LineDrawing } from './LineDrawing';

/** What each option of a finding looks like: drawn for a right foot, its inner side to the left, in a box of 60 by 48. */
export type OptionPictures = Readonly<Record<string, ReactNode>>;

const skin = { fill: 'var(--draw-upper)' } as const;
const sign = { stroke: 'var(--accent)', strokeWidth: 1.8 } as const;

const Ground = ({ y = 46 }: { y?: number }) => <path d={`M2 ${y}H58`} />;

/** From in front: the leg bent over the foot, and the plumb line from its kneecap. */
const kneeOverFoot = (knee: number) => (
  <>
    <Limb d={`M31 0L${knee} 20L31 36`} />
    <path d="M19 46C19 40 25 34 31 33C37 34 44 40 44 46Z" {...skin} />
    {[23, 29, 33.5, 37.5, 41].map((x, toe) => (
      <circle key={x} cx={x} cy={45} r={toe === 0 ? 3 : 1.9} {...skin} strokeWidth={1} />
    ))}
    <circle cx={knee} cy={20} r={2.2} fill="var(--accent)" stroke="none" />
    <path d={`M${knee} 20V46`} {...sign} strokeDasharray="3 2" />
  </>
);

/** From the side, toes to the left: both knees forward, the heel on the ground or off it. */
const heelOfBend = (lifted: boolean) => (
  <>
    <Limb d={lifted ? 'M40 31L20 14L46 2' : 'M40 38L22 16L48 3'} />
    <path
      d={
        lifted
          ? 'M8 45C8 42 13 41 18 41C27 38 33 30 39 27C45 29 46 36 43 38C35 42 26 45 8 45Z'
          : 'M8 45C8 42 13 41 18 40C26 38 32 34 38 33C45 34 46 42 43 45Z'
      }
      {...skin}
    />
    {lifted && <path d="M43 45V40M40.5 42L43 39.5L45.5 42" {...sign} />}
    <Ground />
  </>
);

/** From the inner side, up on the toes: what becomes of the arch. */
const onTipToe = (arch: ReactNode, under: string) => (
  <>
    {tipToe(under)}
    {arch}
    <Ground />
  </>
);

/** Left edge and width of each toe, big toe first. */
const TOES = [
  [12.5, 11],
  [24, 6.4],
  [30.8, 5.8],
  [36.9, 5.4],
  [42.6, 4.8],
] as const;
const WEB = 28;

/** From above: a toe up to its tip. */
const toeFromAbove = (toe: number, tip: number, turn = 0) => {
  const [x, wide] = TOES[toe]!;
  const round = wide / 2;
  return (
    <path
      key={toe}
      d={`M${x} ${WEB}V${tip + round}A${round} ${round} 0 0 1 ${x + wide} ${tip + round}V${WEB}`}
      {...skin}
      transform={`rotate(${turn} ${x + round} ${WEB})`}
    />
  );
};

/** From above: five toes, each to its own length. */
const toesFromAbove = (tips: readonly number[]) => (
  <>
    <path d="M13 48C10 40 10 32 12.5 25H47.5C51 32 50 41 46 48" {...skin} />
    {tips.map((tip, toe) => toeFromAbove(toe, tip))}
  </>
);

/** From above: the big toe turned towards the others, and the bump of its joint. */
const bigToeTurned = (degrees: number, bump: number) => (
  <>
    <path
      d={`M14 48C${12 - bump * 0.5} 41 ${11 - bump} 33 ${14 - bump} 26C17 23 22 23 25 25H47.5C51 32 50 41 46 48`}
      {...skin}
    />
    {[13, 15.5, 18, 20.5].map((tip, at) => toeFromAbove(at + 1, tip))}
    {toeFromAbove(0, 10, degrees)}
    {bump > 0 && <path d={`M${12 - bump} 35C${11 - bump} 31 ${12 - bump} 27 ${15 - bump} 25`} {...sign} />}
  </>
);

/** A small toe from its side, tip to the left. */
const STRAIGHT_TOE = 'M56 28L38 33L22 39L8 42';
const BENT_TOE = 'M56 26L38 21L26 32L16 42';

/** From the side, toes to the left: what touches the ground first. */
const landing = (degrees: number, at: number, first: number) => (
  <>
    <g transform={`rotate(${degrees} ${at} 45)`}>
      <Limb d="M38 34L36 0" wide={8} />
      <path d="M8 45C8 41 14 41 19 39C26 37 30 32 32 28L43 28C47 34 48 41 45 45Z" {...skin} />
    </g>
    <path d={`M${first - 5} 46.5H${first + 5}`} stroke="var(--accent)" strokeWidth="3" />
    <Ground y={47} />
  </>
);

/** From the side: a squat without load. Shoulder, hip and knee as they stand over the foot. */
const squat = (shoulder: string, hip: string, lifted = false) => (
  <>
    <Limb d={`M${shoulder}L${hip}L16 29L27 ${lifted ? 39 : 42}`} wide={5} />
    <path
      d={lifted ? 'M12 45C15 42 22 40 28 37L32 41L24 45Z' : 'M10 45C12 42 20 42 26 40L32 42V45Z'}
      {...skin}
    />
    {lifted && <path d="M33 45V42" {...sign} />}
    <Ground />
  </>
);

const KNEE_LINE = { inside: kneeOverFoot(21), over: kneeOverFoot(29), outside: kneeOverFoot(40) };

/** Findings whose options are chosen by eye. */
export const OPTION_PICTURES: { readonly [F in FindingId]?: OptionPictures } = {
  kneeBend: KNEE_LINE,
  squatKnees: KNEE_LINE,
  heelsLiftEarly: { no: heelOfBend(false), yes: heelOfBend(true) },
  arch: { low: innerArch(2), medium: innerArch(0), high: innerArch(-2) },
  archMobility: {
    flexible: onTipToe(<path d="M42 22C36 24 30 31 25 42" {...sign} />, 'C36 24 30 31 25 42'),
    rigid: onTipToe(<path d="M42 22C40 32 32 40 24 43" {...sign} />, 'C40 32 32 40 24 43'),
  },
  toeShape: {
    square: toesFromAbove([13, 13, 13.5, 14.5, 16.5]),
    tapered: toesFromAbove([7, 12, 15.5, 18.5, 21.5]),
    pointed: toesFromAbove([13, 7.5, 12, 17, 21]),
  },
  bunion: {
    none: bigToeTurned(0, 0),
    mild: bigToeTurned(12, 1.5),
    moderate: bigToeTurned(24, 3.5),
    severe: bigToeTurned(36, 6),
  },
  lesserToes: {
    straight: (
      <>
        <Limb d={STRAIGHT_TOE} wide={8} />
        <Ground />
      </>
    ),
    flexible: (
      <>
        <path d={STRAIGHT_TOE} strokeDasharray="3 2" />
        <Limb d={BENT_TOE} wide={8} />
        <path d="M28 10C22 14 19 20 18 26M18 26L15.5 22M18 26L21.5 23" {...sign} />
        <Ground />
      </>
    ),
    rigid: (
      <>
        <Limb d={BENT_TOE} wide={8} />
        <path d="M33 10L38 17L43 10" {...sign} />
        <Ground />
      </>
    ),
  },
  roll: { in: heelFromBehind(2), neutral: heelFromBehind(0), out: heelFromBehind(-2) },
  strike: {
    heel: landing(20, 45, 44),
    midfoot: landing(0, 28, 28),
    forefoot: landing(-16, 14, 14),
  },
  squatDepth: {
    full: squat('28 8', '46 34'),
    level: squat('26 4', '46 27'),
    high: squat('30 1', '42 18'),
  },
  squatHeels: { down: squat('26 4', '46 27'), lift: squat('24 3', '44 25', true) },
  squatTrunk: { upright: squat('36 4', '46 27'), leans: squat('12 8', '46 27') },
};

/** One picture in its frame; a left foot is the mirror of a right one. */
function OptionPicture({ of, mirrored }: { of: ReactNode; mirrored: boolean }) {
  return (
    <LineDrawing box="0 0 60 48" className="h-13 w-16 bg-field">
      <g transform={mirrored ? 'translate(60 0) scale(-1 1)' : undefined}>{of}</g>
    </LineDrawing>
  );
}

/** Draws the options of a finding on one foot; undefined where they are words alone. */
export function drawOption(id: FindingId, place: Place): ((option: string) => ReactNode) | undefined {
  const pictures = OPTION_PICTURES[id];
  return pictures && ((option) => <OptionPicture of={pictures[option]} mirrored={place === 'left'} />);
}
