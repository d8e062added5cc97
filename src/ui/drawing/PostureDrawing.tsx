import type { POSTURE_ITEMS } from '@/core/examination/posture/six-items';
import { heelFromBehind, innerArch } from './foot-contours';

type Item = (typeof POSTURE_ITEMS)[number]['id'];

interface Props {
  item: Item;
  /** −2 … +2; null: drawn as 0, faint. */
  score: number | null;
  mirrored: boolean;
}

/** What an item of the foot posture looks like at a score: drawn for a right foot, moved by the score. */
export function PostureDrawing({ item, score, mirrored }: Props) {
  const v = score ?? 0;
  return (
    <svg
      viewBox="0 0 60 44"
      className="h-14 w-19 max-[1150px]:hidden"
      aria-hidden="true"
      opacity={score === null ? 0.45 : 1}
      fill="none"
      stroke="var(--draw-line)"
      strokeWidth="1.3"
      strokeLinecap="round"
    >
      <g transform={mirrored ? 'translate(60 0) scale(-1 1)' : undefined}>
        {DRAWN[item as keyof typeof DRAWN]?.(v)}
      </g>
    </svg>
  );
}

const skin = { fill: 'var(--draw-upper)' } as const;

const DRAWN = {
  // From the front: the knuckle of the talus felt inside (left) or outside.
  postureTalarHead: (v: number) => (
    <>
      <path d="M22 0C20 10 16 18 14 30C14 40 46 40 46 30C44 18 40 10 38 0" {...skin} />
      <circle cx="22" cy="22" r={3.4 + v * 1.2} fill="var(--accent)" stroke="none" />
      <circle cx="38" cy="22" r={3.4 - v * 1.2} fill="var(--accent)" stroke="none" />
    </>
  ),
  // From behind: the curve below the outer ankle (right) deepens.
  postureMalleolarCurves: (v: number) => (
    <>
      <path
        d={`M22 0C23 10 22 20 24 40L38 40C${39 - v * 3} 34 ${39 - v * 3} 28 40 22C42 19 41 15 39 12C36 8 37 4 37 0Z`}
        {...skin}
      />
      <path d={`M38 40C${39 - v * 3} 34 ${39 - v * 3} 28 40 22`} stroke="var(--accent)" strokeWidth="2.2" />
    </>
  ),
  postureHeel: heelFromBehind,
  // From the inner side: the region in front of the ankle bulges or is hollow.
  postureTalonavicular: (v: number) => (
    <>
      <path
        d="M44 0C44 10 46 18 52 26C56 34 54 40 46 40C40 40 36 36 28 36C20 36 16 40 8 40C3 38 4 32 10 28C20 24 26 18 28 0"
        {...skin}
      />
      <path d={`M22 28C26 ${27 + v * 4} 32 ${27 + v * 4} 37 27`} stroke="var(--accent)" strokeWidth="2.2" />
    </>
  ),
  // From the inner side: the arch.
  postureInnerArch: innerArch,
  // From behind: toes that show beyond the heel, outside (right) or inside.
  postureForefoot: (v: number) => (
    <>
      {[0, 1, 2].map((toe) => (
        <g key={toe}>
          <circle cx={39 + toe * 4} cy={35} r={toe < 1 + v ? 2.6 : 0} fill="var(--accent)" stroke="none" />
          <circle cx={21 - toe * 4} cy={35} r={toe < 1 - v ? 2.6 : 0} fill="var(--accent)" stroke="none" />
        </g>
      ))}
      {heelFromBehind(0)}
    </>
  ),
} as const;
