import type { ReactNode } from 'react';

/** A shoe from the side, heel left, and hands as arrows: what each test does. */
const SHOE = (
  <>
    <path d="M14 62C10 48 12 36 18 28C24 34 34 36 42 30L54 34C66 44 82 50 100 54C112 57 118 62 118 70H16Z" />
    <path d="M14 70H120C122 76 116 82 104 82H22C15 82 12 76 14 70Z" />
  </>
);
const arrow = (d: string, head: string): ReactNode => (
  <g stroke="var(--accent)" strokeWidth="2.2" key={d}>
    <path d={d} />
    <path d={head} fill="var(--accent)" strokeWidth="1" />
  </g>
);

const DRAWINGS: Record<string, ReactNode> = {
  bend: (
    <>
      <path d="M14 60C10 46 12 34 18 26C24 32 34 34 42 28L54 32C64 40 74 46 86 50C94 46 102 38 110 26C116 26 120 30 118 36C112 52 104 64 92 70H16Z" />
      <path d="M14 70H88C98 66 108 56 116 42L122 46C114 64 102 78 88 80H22C15 80 12 75 14 70Z" />
      <path d="M86 84V44" stroke="var(--accent)" strokeDasharray="3 3" />
      {arrow('M128 60C130 48 128 36 122 26', 'M122 22l-4 7h8Z')}
    </>
  ),
  wring: (
    <>
      {SHOE}
      {arrow('M30 92C20 88 20 60 30 18', 'M30 12l-5 7h9Z')}
      {arrow('M106 14C116 40 116 70 106 92', 'M106 98l-5-7h9Z')}
    </>
  ),
  squeeze: (
    <>
      <path d="M44 86C36 60 36 36 48 22H84C96 36 96 60 88 86Z" />
      <path d="M40 86H92V94H40Z" />
      {arrow('M14 56H34', 'M38 56l-7-4v8Z')}
      {arrow('M118 56H98', 'M94 56l7-4v8Z')}
      {arrow('M66 2V16', 'M66 20l-4-7h8Z')}
    </>
  ),
  'counter-reach': (
    <>
      {SHOE}
      <path
        d="M14 62C10 48 12 36 18 30C26 36 34 46 46 66L50 70H16Z"
        fill="var(--draw-counter)"
        stroke="none"
        opacity="0.8"
      />
      {arrow('M16 92H46', 'M50 92l-7-4v8Z')}
    </>
  ),
  'two-density': (
    <>
      {SHOE}
      <path d="M44 71H72V81H46Z" fill="var(--draw-support)" stroke="none" />
      {arrow('M28 100V88', 'M28 84l-4 7h8Z')}
      {arrow('M58 100V88', 'M58 84l-4 7h8Z')}
    </>
  ),
  'lace-pull': (
    <>
      {SHOE}
      <path d="M48 34L40 68M60 40L54 69M72 46L68 69" strokeDasharray="2 2" />
      {arrow('M54 34C58 22 66 14 76 10', 'M80 8l-8 0l4 7Z')}
    </>
  ),
  'insole-out': (
    <>
      <path d="M8 66C8 52 24 50 44 54C64 58 84 50 104 50C120 50 126 58 124 68C122 80 104 82 84 80C64 78 44 82 26 82C14 82 8 76 8 66Z" />
      <path
        d="M16 66C17 58 28 57 46 60C66 63 84 56 100 57C112 58 117 62 116 68C114 75 100 76 84 74C64 73 46 76 30 76C20 76 16 72 16 66Z"
        stroke="var(--accent)"
        strokeDasharray="3 2"
      />
      {arrow('M66 44V18', 'M66 14l-4 7h8Z')}
    </>
  ),
  'toe-box': (
    <>
      {SHOE}
      {arrow('M92 22L98 44', 'M99 49l-6-5l7-2Z')}
      {arrow('M124 30L114 52', 'M112 56l0-8l7 3Z')}
    </>
  ),
  collar: (
    <>
      {SHOE}
      <circle cx="32" cy="22" r="7" />
      <path d="M18 28C24 34 34 36 42 30L54 34" stroke="var(--accent)" strokeWidth="3" />
    </>
  ),
  scale: (
    <>
      {SHOE}
      <path
        d="M24 70V82M20 70H28M20 82H28M92 68V82M88 68H96M88 82H96"
        stroke="var(--accent)"
        strokeWidth="2"
      />
      <path d="M10 90H126V98H10Z" />
    </>
  ),
  'old-pair': (
    <>
      <path d="M14 62C10 48 12 36 18 28C24 34 34 36 42 30L54 34C66 44 82 50 100 54C112 57 118 62 118 70H16Z" />
      <path d="M14 70H120C122 76 116 82 104 82L22 78C15 78 12 74 14 70Z" />
      <path d="M34 74L44 80M46 73L56 81M58 73L66 81" />
      <path d="M6 86H130" strokeWidth="2" />
      {arrow('M24 100V90', 'M24 86l-4 7h8Z')}
    </>
  ),
};

/** What the hands do in one bench test. */
export function BenchDrawing({ test }: { test: string }) {
  return (
    <svg
      viewBox="0 0 136 104"
      className="w-full h-auto max-h-40"
      aria-hidden="true"
      fill="none"
      stroke="var(--draw-line)"
      strokeWidth="1.5"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {DRAWINGS[test]}
    </svg>
  );
}
