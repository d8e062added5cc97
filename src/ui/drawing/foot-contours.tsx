const skin = { fill: 'var(--draw-upper)' } as const;

/** A right foot from behind: leg, and a heel that tilts by a score of −2 (outward) to +2 (inward). In a box of 60 by 44. */
export const heelFromBehind = (score: number) => (
  <>
    <path d="M24 0C24 8 25 14 24 20L36 20C35 14 36 8 36 0" {...skin} />
    <g transform={`rotate(${-score * 7} 30 22)`}>
      <path d="M24 20C21 26 20 34 23 40C27 43 33 43 37 40C40 34 39 26 36 20Z" {...skin} />
      <path d="M30 22V39" strokeDasharray="2 2" />
    </g>
    <path d="M30 0V18" strokeDasharray="2 2" />
  </>
);

/** A foot from its inner side: the arch from −2 (high) to +2 (low). In a box of 60 by 44. */
export const innerArch = (score: number) => {
  const under = `C40 40 38 ${35 + score * 2.5} 28 ${34 + score * 3}C18 ${35 + score * 2.5} 16 40 8 40`;
  return (
    <>
      <path
        d={`M44 0C44 10 46 18 52 26C56 34 54 40 46 40${under}C3 38 4 32 10 28C20 24 26 18 28 0`}
        {...skin}
      />
      <path d={`M46 40${under}`} stroke="var(--accent)" strokeWidth="2.2" />
      <path d="M2 41H58" />
    </>
  );
};

/** A limb as wide as it is, along its middle line. */
export const Limb = ({ d, wide = 7 }: { d: string; wide?: number }) => (
  <>
    <path d={d} strokeWidth={wide + 2.4} strokeLinejoin="round" />
    <path d={d} stroke="var(--draw-upper)" strokeWidth={wide} strokeLinejoin="round" />
  </>
);

/** From the inner side, toes to the left, up on them; `under` is the curve from heel to ball. */
export const tipToe = (under: string) => (
  <path
    d={`M6 45C5 42 10 41 15 40C22 34 27 24 30 0L44 0C45 8 49 12 50 18C50 23 45 24 42 22${under}C14 45 10 45 6 45Z`}
    fill="var(--draw-upper)"
  />
);
