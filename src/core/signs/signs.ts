/** What a pair that was brought may be: used up or not, and how it suited its wearer. */
export const FITS_WEARER = {
  suits: 'suits this wearer',
  soft: 'too soft, or held too little',
  loose: 'too narrow, or too loose',
} as const;
export type FitsWearer = keyof typeof FITS_WEARER;

/** One of the six things that a pair can be. */
export interface Hypothesis {
  isSpent: boolean;
  fits: FitsWearer;
}

/** How likely each answer to a sign is under one hypothesis; together 1. */
export type Chances = Readonly<Record<string, number>>;

interface Sign {
  label: string;
  /** How it is looked at, in a few words. */
  how: string;
  options: Readonly<Record<string, string>>;
  seconds: number;
  chances: (hypothesis: Hypothesis) => Chances;
}

/** Yes with a chance, else no. */
const yes = (chance: number): Chances => ({ yes: chance, no: 1 - chance });

/**
 * Signs of a worn pair and how likely each is under what the pair can be. Which way each speaks is common practice (handbook 08);
 * how strongly, as a number, is ours: nobody published it. The order of weights follows the handbook: worn through to the
 * midsole is conclusive; creases, a fold without resistance, new aches and a broken counter are strong; tilt is moderate; the
 * pattern of the outsole is weak.
 */
export const SIGNS = {
  creases: {
    label: 'Midsole creased or buckled',
    how: 'from the side, inner and outer; ask when they came',
    options: {
      none: 'none',
      'inner-early': 'inner side, within weeks',
      'inner-late': 'inner side, after much use',
      other: 'outer side, or all round',
    },
    seconds: 15,
    chances: ({ isSpent, fits }) => {
      // Inner buckling within weeks of use: the pair was wrong, not old.
      if (fits === 'soft')
        return isSpent
          ? { none: 0.1, 'inner-early': 0.45, 'inner-late': 0.35, other: 0.1 }
          : { none: 0.3, 'inner-early': 0.5, 'inner-late': 0.12, other: 0.08 };
      return isSpent
        ? { none: 0.32, 'inner-early': 0.03, 'inner-late': 0.33, other: 0.32 }
        : { none: 0.86, 'inner-early': 0.02, 'inner-late': 0.05, other: 0.07 };
    },
  },
  fold: {
    label: 'Folded in half',
    how: 'toe to heel in both hands',
    options: { springs: 'springs back', soft: 'gives easily', none: 'no resistance' },
    seconds: 5,
    chances: ({ isSpent, fits }) =>
      isSpent
        ? { springs: 0.2, soft: 0.3, none: 0.5 }
        : fits === 'soft'
          ? { springs: 0.55, soft: 0.35, none: 0.1 }
          : { springs: 0.85, soft: 0.12, none: 0.03 },
  },
  foam: {
    label: 'Foam stays pressed in',
    how: 'thumb into the midsole under the heel',
    options: { yes: 'stays pressed', no: 'comes back' },
    seconds: 5,
    chances: ({ isSpent, fits }) => yes(isSpent ? 0.6 : fits === 'soft' ? 0.15 : 0.05),
  },
  counter: {
    label: 'Heel counter, upper',
    how: 'squeeze the heel; look for tears',
    options: { sound: 'sound', broken: 'broken down, torn, the foot slides' },
    seconds: 5,
    chances: ({ isSpent, fits }) => {
      const broken = fits === 'loose' ? (isSpent ? 0.5 : 0.3) : isSpent ? 0.35 : 0.05;
      return { sound: 1 - broken, broken };
    },
  },
  tilt: {
    label: 'On a level table',
    how: 'from behind, both shoes',
    options: { level: 'stands level', inner: 'tilts inward', outer: 'tilts outward' },
    seconds: 10,
    chances: ({ isSpent, fits }) =>
      fits === 'soft'
        ? isSpent
          ? { level: 0.35, inner: 0.5, outer: 0.15 }
          : { level: 0.5, inner: 0.4, outer: 0.1 }
        : isSpent
          ? { level: 0.6, inner: 0.2, outer: 0.2 }
          : { level: 0.88, inner: 0.06, outer: 0.06 },
  },
  through: {
    label: 'Outsole worn through to the midsole',
    how: 'look under',
    options: { yes: 'yes', no: 'no' },
    seconds: 3,
    chances: ({ isSpent }) => yes(isSpent ? 0.3 : 0.002),
  },
  pattern: {
    label: 'Outsole pattern worn',
    how: 'look under; says little of the foam',
    options: { yes: 'yes', no: 'no' },
    seconds: 3,
    chances: ({ isSpent }) => yes(isSpent ? 0.65 : 0.4),
  },
  lining: {
    label: 'Holes in the lining at the heel',
    how: 'a finger inside',
    options: { yes: 'yes', no: 'no' },
    seconds: 5,
    chances: ({ isSpent, fits }) => yes(fits === 'loose' ? 0.45 : isSpent ? 0.12 : 0.04),
  },
  ache: {
    label: 'Aches with this pair',
    how: 'ask: when did they begin',
    options: { none: 'none', 'since-new': 'since it was new', lately: 'lately, after a good time' },
    seconds: 10,
    chances: ({ isSpent, fits }) => {
      // A new ache after a good time is a clean signal of the body; one from the start speaks of the pair.
      if (fits === 'suits')
        return isSpent
          ? { none: 0.48, 'since-new': 0.02, lately: 0.5 }
          : { none: 0.88, 'since-new': 0.03, lately: 0.09 };
      return isSpent
        ? { none: 0.2, 'since-new': 0.4, lately: 0.4 }
        : { none: 0.45, 'since-new': 0.45, lately: 0.1 };
    },
  },
} as const satisfies Record<string, Sign>;

/** How strongly a clinic takes each sign: 1 as it stands in the table, 0 not at all, 2 as if it were seen twice. */
export type SignStrengths = Readonly<Partial<Record<SignId, number>>>;
export const SIGN_STRENGTHS = { 0: 'not at all', 0.5: 'half', 1: 'as it stands', 2: 'twice' } as const;

/** How likely an answer to a sign is under one hypothesis, at a clinic's own strength; over all answers together 1. */
export function chanceOf(
  sign: SignId,
  value: string,
  hypothesis: Hypothesis,
  strengths: SignStrengths = {},
): number {
  const chances: Chances = SIGNS[sign].chances(hypothesis);
  const strength = strengths[sign] ?? 1;
  const at = (chance: number) => chance ** strength;
  if (strength === 1) return chances[value] ?? 1;
  const total = Object.values(chances).reduce((sum, chance) => sum + at(chance), 0);
  return at(chances[value] ?? 1) / total;
}

export type SignId = keyof typeof SIGNS;
/** What was seen of each sign; absent is not looked at. */
export type SignAnswers = { readonly [S in SignId]?: keyof (typeof SIGNS)[S]['options'] & string };
