import { Limb, tipToe } from './foot-contours';
import { LineDrawing } from './LineDrawing';

/** Small drawings that show how a measure is taken. */
const GUIDES = {
  heelRise: {
    caption: null,
    box: '0 0 150 100',
    body: (
      <>
        <path d="M4 94H146" strokeWidth="2" />
        <g transform="translate(8 4) scale(2)" strokeWidth="0.65">
          {tipToe('C36 24 30 31 25 42')}
        </g>
        <path d="M86 50H144" stroke="var(--accent)" strokeDasharray="4 3" />
        <path d="M128 92V54M123 60L128 53L133 60" stroke="var(--accent)" strokeWidth="1.8" />
      </>
    ),
  },
  oneLeg: {
    caption: null,
    box: '0 0 150 100',
    body: (
      <>
        <path d="M30 96H120" strokeWidth="2" />
        <Limb d="M79 52L92 66L81 79" wide={6} />
        <Limb d="M71 52L70 92" wide={6} />
        <path d="M68 26H82L80 50H70Z" fill="var(--draw-upper)" />
        <path d="M66 95C66 91 74 91 77 95Z" fill="var(--draw-upper)" />
        <Limb d="M69 29L63 40L84 36" wide={4} />
        <Limb d="M81 29L87 40L66 36" wide={4} />
        <circle cx="75" cy="14" r="8" fill="var(--draw-upper)" />
        <path d="M82 84V93M78.5 89L82 94L85.5 89" stroke="var(--accent)" strokeWidth="1.8" />
      </>
    ),
  },
  lunge: {
    caption:
      'Knee to the wall over the second toe, heel down. Toe to wall in cm; shin from upright in degrees.',
    box: '0 0 150 100',
    body: (
      <>
        <path d="M132 4V92M4 92H146" strokeWidth="2" />
        <path d="M44 92L40 84L56 62C70 44 92 38 128 40" />
        <path d="M44 92H96C98 86 90 84 82 84L62 78" />
        <path d="M4 50C26 48 46 50 60 58" />
        <path d="M96 97H132M96 94V100M132 94V100" stroke="var(--accent)" />
        <path d="M54 84V48M54 66A22 22 0 0 1 70 70" stroke="var(--accent)" strokeDasharray="3 2" />
      </>
    ),
  },
  bigToe: {
    caption: 'Big toe lifted against the first metatarsal, standing. Say it when the foot hangs free.',
    box: '0 0 150 100',
    body: (
      <>
        <path d="M4 80H146" strokeWidth="2" />
        <path d="M18 80C14 60 30 44 60 38L64 10M86 10L88 44C96 52 104 60 110 68" />
        <path d="M18 80H104" />
        <path d="M104 80C112 72 118 60 128 46C134 48 132 58 126 68C120 76 112 80 104 80" />
        <path d="M108 72L134 36M108 72L136 68" stroke="var(--accent)" strokeDasharray="3 2" />
      </>
    ),
  },
  navicular: {
    caption: 'Floor to the mark on the navicular: joint neutral, then relaxed. The difference is the drop.',
    box: '0 0 150 100',
    body: (
      <>
        <path d="M4 88H146" strokeWidth="2" />
        <path d="M98 4C98 24 102 38 116 54C126 66 124 84 112 86C98 88 96 74 76 74C58 74 50 86 26 86C10 84 14 70 28 62C48 54 62 40 66 4" />
        <circle cx="80" cy="52" r="3.5" fill="var(--accent)" stroke="none" />
        <path d="M80 52V88M74 88H86" stroke="var(--accent)" />
      </>
    ),
  },
  dorsum: {
    caption:
      'Height of the dorsum and width of the midfoot at half the whole foot length: free, seated, standing.',
    box: '0 0 150 100',
    body: (
      <>
        <path d="M4 88H146" strokeWidth="2" />
        <path d="M98 4C98 24 102 38 116 54C126 66 124 84 112 86C98 88 96 74 76 74C58 74 50 86 26 86C10 84 14 70 28 62C48 54 62 40 66 4" />
        <path d="M68 47V88M60 47H76" stroke="var(--accent)" />
        <path d="M14 95H122M14 92V98M122 92V98M68 92V98" stroke="var(--accent)" />
      </>
    ),
  },
} as const;

export type Guide = keyof typeof GUIDES;

export function GuideDrawing({ of }: { of: Guide }) {
  const { caption, box, body } = GUIDES[of];
  return (
    <figure className="max-w-44">
      <LineDrawing box={box} className="w-full h-auto">
        {body}
      </LineDrawing>
      {caption && <figcaption className="text-faint text-xs leading-snug">{caption}</figcaption>}
    </figure>
  );
}
