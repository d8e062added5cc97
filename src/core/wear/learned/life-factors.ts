import type { FeatureValues } from '../../shoe/features';
import { keysOf } from '../../tables/keys-of';
import { agesOnTheShelf, type Use } from '../clocks';

export type WearSurface = 'hard' | 'mixed' | 'soft';

/** What is known of how a pair is used; absent is not known and counts as usual. */
export interface WearConditions {
  bodyMassKg?: number | null | undefined;
  surface?: WearSurface | null | undefined;
  hills?: boolean | undefined;
  landing?: 'heel' | 'midfoot' | 'forefoot' | undefined;
  /** Kept or worn in heat. */
  heat?: boolean | undefined;
  /** Alternates with another pair. */
  rotation?: boolean | undefined;
  /** Years between its making and its first day. */
  shelfYears?: number | undefined;
}

interface Factor {
  label: string;
  /** How far a pair is from the reference, and in what; 0 where nothing is known. */
  amount: (conditions: WearConditions, features: FeatureValues) => number;
  /** What one unit of it does to the logarithm of life, before this clinic's own pairs speak, and how sure that is. */
  mean: number;
  sd: number;
  /** In words, where it is not 0. */
  words: (amount: number) => string;
}

/** Wearer whom the stated lives are read for. Ours. */
export const REFERENCE_MASS_KG = 70;
/** Lighter and heavier bodies than these count as these: beyond them nobody knows. Ours. */
const LIGHTEST_KG = 45;
const HEAVIEST_KG = 125;
/** Stack and hardness that the stated lives are read for: a plain daily trainer's. Ours. */
const REFERENCE_STACK_MM = 30;
const REFERENCE_HARDNESS = 3;

const numberOf = (value: unknown): number | null => (typeof value === 'number' ? value : null);
const HELD: ReadonlySet<unknown> = new Set(['structured', 'stability', 'motion-control']);

/**
 * What shortens or lengthens a life. Which way each acts is common practice (handbook 08: body mass, ground, hills, gait load,
 * softness and stack, rotation, heat, age on the shelf); nobody publishes by how much: each size is ours and wide, and a
 * clinic's own retired pairs set it.
 */
export const FACTORS = {
  mass: {
    label: 'body mass',
    amount: ({ bodyMassKg }) =>
      bodyMassKg ? Math.log(Math.min(HEAVIEST_KG, Math.max(LIGHTEST_KG, bodyMassKg)) / REFERENCE_MASS_KG) : 0,
    mean: -0.5,
    sd: 0.5,
    words: (amount) => {
      const mass = REFERENCE_MASS_KG * Math.exp(amount);
      const beyond = mass <= LIGHTEST_KG ? ' or less' : mass >= HEAVIEST_KG ? ' or more' : '';
      return `body mass ${Math.round(mass)} kg${beyond}`;
    },
  },
  hard: {
    label: 'hard ground',
    amount: ({ surface }) => (surface === 'hard' ? 1 : 0),
    mean: Math.log(0.92),
    sd: 0.12,
    words: () => 'hard ground',
  },
  soft: {
    label: 'soft ground',
    amount: ({ surface }) => (surface === 'soft' ? 1 : 0),
    mean: Math.log(1.1),
    sd: 0.1,
    words: () => 'soft ground',
  },
  hills: {
    label: 'hills',
    amount: ({ hills }) => (hills ? 1 : 0),
    mean: -0.04,
    sd: 0.1,
    words: () => 'hills',
  },
  landing: {
    label: 'landing on the heel',
    amount: ({ landing }) => (landing === 'heel' ? 1 : 0),
    mean: 0,
    sd: 0.1,
    words: () => 'landing on the heel',
  },
  softness: {
    label: 'softness of the foam, a grade',
    amount: (_, { midsoleHardness }) =>
      REFERENCE_HARDNESS - (numberOf(midsoleHardness) ?? REFERENCE_HARDNESS),
    mean: -0.05,
    sd: 0.06,
    words: (amount) => (amount > 0 ? 'soft foam' : 'firm foam'),
  },
  stack: {
    label: 'stack, 10 mm',
    amount: (_, { heelStack }) => ((numberOf(heelStack) ?? REFERENCE_STACK_MM) - REFERENCE_STACK_MM) / 10,
    mean: 0,
    sd: 0.08,
    words: (amount) => `stack ${Math.round(REFERENCE_STACK_MM + amount * 10)} mm`,
  },
  held: {
    label: 'supportive build',
    amount: (_, { category }) => (HELD.has(category) ? 1 : 0),
    mean: 0,
    sd: 0.1,
    words: () => 'supportive build',
  },
  heat: {
    label: 'heat',
    amount: ({ heat }) => (heat ? 1 : 0),
    mean: -0.05,
    sd: 0.1,
    words: () => 'kept in heat',
  },
  rotation: {
    label: 'alternating with another pair',
    amount: ({ rotation }) => (rotation ? 1 : 0),
    mean: 0.03,
    sd: 0.08,
    words: () => 'alternates with another pair',
  },
  shelf: {
    label: 'a year on the shelf',
    amount: ({ shelfYears }) => Math.min(10, Math.max(0, shelfYears ?? 0)),
    mean: -0.05,
    sd: 0.05,
    words: (amount) => `${amount.toFixed(1)} years on the shelf`,
  },
} as const satisfies Record<string, Factor>;

export type FactorId = keyof typeof FACTORS;
export const FACTOR_IDS = keysOf(FACTORS);

/**
 * A pair's factors in the order of FACTOR_IDS; all 0 where the sole is not foam.
 *
 * @example factorsOf('road-running', { bodyMassKg: 70, surface: 'hard' }, {}) // [0, 1, 0, 0, …]
 */
export const factorsOf = (use: Use, conditions: WearConditions, features: FeatureValues): number[] =>
  FACTOR_IDS.map((id) => (agesOnTheShelf(use) ? FACTORS[id].amount(conditions, features) : 0));

export type FoamKind = 'soft' | 'medium' | 'firm' | 'plated';

/** Foams that are taken to age alike. */
export function foamOf({ midsoleHardness, plate }: FeatureValues): FoamKind {
  if (plate === 'rigid') return 'plated';
  const hardness = numberOf(midsoleHardness) ?? REFERENCE_HARDNESS;
  return hardness < 2.5 ? 'soft' : hardness > 3.5 ? 'firm' : 'medium';
}
