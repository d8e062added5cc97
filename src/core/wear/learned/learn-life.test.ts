import { inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { type Noise, noise } from '@/simulators/noise';
import { keysOf } from '../../tables/keys-of';
import { CLOCK_OF_USE, type Use } from '../clocks';
import { lifeQuantile } from '../life-schools';
import { learnLives } from './learn-life';
import { FACTOR_IDS, FACTORS, type FactorId } from './life-factors';
import { lifeOfPair } from './life-of-pair';
import { type LifePriors, lifePriors } from './life-priors';
import type { LifeObservation, PairFamily } from './pair-family';

const NONE = FACTOR_IDS.map(() => 0);
const CHANCES = [0.6, 0.8, 1, 1.3, 1.7, 2.3, 3];
const USES = keysOf(CLOCK_OF_USE);

const family = (over: Partial<PairFamily> = {}): PairFamily => ({
  maker: 'Alderhope',
  model: 'Fell',
  version: '1',
  use: 'road-running',
  foam: 'medium',
  ...over,
});

const priorsOf = (over: Partial<Omit<LifePriors, 'uses'>> & { use: number; pair: number }): LifePriors => ({
  maker: 1e-5,
  model: 1e-5,
  version: 1e-5,
  cell: 1e-5,
  ...over,
  uses: Object.fromEntries(
    USES.map((use) => [use, { use: over.use, pair: over.pair }]),
  ) as LifePriors['uses'],
});

/**
 * Locomotive controls, thousands of miles: 37 failed, 59 had not by 135. Lognormal by maximum likelihood: mean 2.2223 and
 * standard deviation 0.3064 of log10.
 * Source: Nelson 1982, Applied Life Data Analysis, from memory.
 */
const FAILED = [
  22.5, 37.5, 46, 48.5, 51.5, 53, 54.5, 57.5, 66.5, 68, 69.5, 76.5, 77, 78.5, 80, 81.5, 82, 83, 84, 91.5,
  93.5, 102.5, 107, 108.5, 112.5, 113.5, 116, 117, 118.5, 119, 120, 122.5, 123, 127.5, 131, 132.5, 134,
];
const STILL_GOING = Array.from({ length: 59 }, () => 135);

describe('a lognormal life with pairs that have not ended', () => {
  const seen: LifeObservation[] = [
    ...FAILED.map((miles) => ({ miles, isWornOut: true })),
    ...STILL_GOING.map((miles) => ({ miles, isWornOut: false })),
  ].map(({ miles, isWornOut }) => ({
    ...family(),
    factors: NONE,
    logRatio: Math.log(miles),
    isWornOut,
    countError: 0,
  }));
  const sd = 0.3064 * Math.LN10;

  it('finds the published middle of the locomotive controls', () => {
    const life = learnLives(seen, priorsOf({ use: 100, pair: sd })).lifeOf(family());
    expect(life.mean / Math.LN10).toBeCloseTo(2.2223, 1);
    // And the published spread is the likeliest of those that are weighed.
    expect(life.pairSd / sd).toBeGreaterThan(0.9);
    expect(life.pairSd / sd).toBeLessThan(1.15);
  });

  it('to take the unended for ended, or to leave them out, makes lives too short', () => {
    const middle = (pairs: LifeObservation[]) =>
      learnLives(pairs, priorsOf({ use: 100, pair: sd })).lifeOf(family()).mean;
    const honest = middle(seen);
    expect(middle(seen.map((pair) => ({ ...pair, isWornOut: true })))).toBeLessThan(honest - 0.2);
    expect(middle(seen.filter(({ isWornOut }) => isWornOut))).toBeLessThan(honest - 0.2);
  });
});

/** A family of twelve versions in two uses, each pair with factors of its own. */
function someFamily(random: Noise, pairs: number): LifeObservation[] {
  return Array.from({ length: pairs }, () => {
    const maker = Math.floor(random.even() * 2);
    const model = Math.floor(random.even() * 3);
    const factors = FACTOR_IDS.map(() => (random.even() < 0.3 ? random.normal() : 0));
    return {
      maker: `maker ${maker}`,
      model: `model ${model}`,
      version: `${Math.floor(random.even() * 2)}`,
      use: model === 0 ? ('walking' as const) : ('road-running' as const),
      foam: random.even() < 0.5 ? ('soft' as const) : ('medium' as const),
      factors,
      logRatio: 0.4 * random.normal(),
      isWornOut: true,
      countError: random.even() < 0.5 ? 0.1 : 0.3,
    };
  });
}

describe('the family without anything unended is Gaussian', () => {
  const pairs = someFamily(noise(11), 60);
  const priors = lifePriors('median');

  /** How two pairs hang together, without the chance between pairs: written down relative by relative. */
  const together = (a: PairFamily & { factors: readonly number[] }, b: typeof a): number => {
    let sum = FACTOR_IDS.reduce(
      (all, id, at) => all + a.factors[at]! * b.factors[at]! * FACTORS[id].sd ** 2,
      0,
    );
    if (a.use === b.use) {
      sum += priors.uses[a.use].use ** 2;
      if (a.foam === b.foam) sum += priors.cell ** 2;
    }
    if (a.maker !== b.maker) return sum;
    sum += priors.maker ** 2;
    if (a.model !== b.model) return sum;
    return sum + priors.model ** 2 + (a.version === b.version ? priors.version ** 2 : 0);
  };
  const expected = ({ factors }: { factors: readonly number[] }) =>
    FACTOR_IDS.reduce((all, id, at) => all + factors[at]! * FACTORS[id].mean, 0);

  /** The exact posterior of what has not been seen, by the whole covariance matrix at once. */
  const exact = (asked: PairFamily & { factors: readonly number[] }) => {
    const answers = CHANCES.map((chance) => {
      const covariance = new Matrix(
        pairs.map((a, i) =>
          pairs.map(
            (b, j) =>
              together(a, b) + (i === j ? (chance * priors.uses[a.use].pair) ** 2 + a.countError ** 2 : 0),
          ),
        ),
      );
      const inverted = inverse(covariance);
      const residual = Matrix.columnVector(pairs.map((pair) => pair.logRatio - expected(pair)));
      const across = Matrix.rowVector(pairs.map((pair) => together(asked, pair)));
      const determinant = pairs.length === 0 ? 0 : logDeterminant(covariance);
      return {
        evidence:
          -0.5 * residual.transpose().mmul(inverted).mmul(residual).get(0, 0) -
          0.5 * determinant -
          0.5 * (Math.log(chance) / 0.5) ** 2,
        mean: expected(asked) + across.mmul(inverted).mmul(residual).get(0, 0),
        variance: together(asked, asked) - across.mmul(inverted).mmul(across.transpose()).get(0, 0),
      };
    });
    const highest = Math.max(...answers.map(({ evidence }) => evidence));
    const weights = answers.map(({ evidence }) => Math.exp(evidence - highest));
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const average = (of: (answer: (typeof answers)[number]) => number) =>
      answers.reduce((sum, answer, at) => sum + (weights[at]! / total) * of(answer), 0);
    const mean = average((answer) => answer.mean);
    return { mean, variance: average((answer) => answer.variance + (answer.mean - mean) ** 2) };
  };
  const logDeterminant = (matrix: Matrix) => {
    // By elimination, beside the solver's own way.
    const rows = matrix.to2DArray();
    let sum = 0;
    for (let k = 0; k < rows.length; k += 1) {
      sum += Math.log(rows[k]![k]!);
      for (let i = k + 1; i < rows.length; i += 1) {
        const by = rows[i]![k]! / rows[k]![k]!;
        for (let j = k; j < rows.length; j += 1) rows[i]![j]! -= by * rows[k]![j]!;
      }
    }
    return sum;
  };

  const learned = learnLives(pairs, priors);
  it.each([
    ['a version that was seen', pairs[0]!],
    ['another version of a model that was seen', { ...pairs[0]!, version: 'next' }],
    ['another model of a maker that was seen', { ...pairs[0]!, model: 'another' }],
    ['a maker nobody has', { ...pairs[0]!, maker: 'nobody' }],
    ['a use nobody has', { ...pairs[0]!, use: 'hiking' as const }],
    ['a foam nobody has in this use', { ...pairs[0]!, foam: 'firm' as const }],
  ])('%s: the tree gives the exact answer', (_, pair) => {
    const asked = { ...pair, factors: pairs[3]!.factors };
    const { mean, variance } = exact(asked);
    const life = lifeOfPair({ use: asked.use, school: 'median' }, asked.factors, {
      version: { ...learned.lifeOf(asked), pairSd: 0 },
      effects: learned.effects,
    });
    const { median } = lifeOfPair({ use: asked.use, school: 'median' }, NONE, null);
    expect(Math.log(life.median / median)).toBeCloseTo(mean, 3);
    expect(life.sigma ** 2).toBeCloseTo(variance, 3);
  });
});

describe('with few pairs', () => {
  it.each(['median', 'beginners', 'podiatry', 'chiropractic'] as const)(
    'none at all: exactly what the school states (%s)',
    (school) => {
      for (const use of USES) {
        const nothing = learnLives([], lifePriors(school));
        const stated = lifeOfPair({ use, school }, NONE, null);
        const life = lifeOfPair({ use, school }, NONE, {
          version: { ...nothing.lifeOf(family({ use })), pairSd: lifePriors(school).uses[use].pair },
          effects: nothing.effects,
        });
        expect(life.median).toBeCloseTo(stated.median, 6);
        expect(life.sigma, use).toBeCloseTo(stated.sigma, 6);
        expect(life.from).not.toBe('learned');
      }
    },
  );

  it('each pair that lasted half as long pulls its version down, its relatives less, strangers less still', () => {
    const short = (count: number) =>
      learnLives(
        Array.from({ length: count }, () => ({
          ...family(),
          factors: NONE,
          logRatio: Math.log(0.5),
          isWornOut: true,
          countError: 0.1,
        })),
        lifePriors('median'),
      );
    let before = 0;
    for (const count of [1, 3, 10, 40]) {
      const lives = short(count);
      const own = lives.lifeOf(family()).mean;
      expect(own).toBeLessThan(before);
      const next = lives.lifeOf(family({ version: '2' })).mean;
      const cousin = lives.lifeOf(family({ model: 'Moor' })).mean;
      const stranger = lives.lifeOf(family({ maker: 'Brackwater', foam: 'firm' })).mean;
      expect(own).toBeLessThan(next);
      expect(next).toBeLessThan(cousin);
      expect(cousin).toBeLessThan(stranger);
      expect(stranger).toBeLessThan(0);
      before = own;
    }
    expect(before).toBeGreaterThan(Math.log(0.5));
  });

  it('a pair in use that has outlived all that is said never shortens a life; one that is new says next to nothing', () => {
    const going = (ratio: number) =>
      learnLives(
        [{ ...family(), factors: NONE, logRatio: Math.log(ratio), isWornOut: false, countError: 0.1 }],
        lifePriors('median'),
      ).lifeOf(family()).mean;
    expect(Math.abs(going(0.1))).toBeLessThan(1e-4);
    expect(going(1)).toBeGreaterThan(going(0.5));
    for (const ratio of [0.5, 1, 2, 4, 40]) expect(going(ratio), String(ratio)).toBeGreaterThan(0);
  });
});

/** A clinic whose pairs live as the priors say, but for the effects that are given; a third of its pairs has not ended. */
function simulatedClinic(random: Noise, pairs: number, fixed: Partial<Record<FactorId, number>> = {}) {
  const priors = lifePriors('median');
  const drawn = new Map<string, number>();
  const draw = (key: string, sd: number) => {
    const known = drawn.get(key);
    if (known !== undefined) return known;
    drawn.set(key, sd * random.normal());
    return drawn.get(key)!;
  };
  const chance = Math.exp(0.25 * random.normal());
  const effects = FACTOR_IDS.map((id) => fixed[id] ?? FACTORS[id].mean + FACTORS[id].sd * random.normal());
  const makers = 4;
  return Array.from({ length: pairs }, () => {
    const maker = `maker ${Math.floor(random.even() * makers)}`;
    const model = `model ${Math.floor(random.even() * 3)}`;
    const version = `${Math.floor(random.even() * 2)}`;
    const use: Use = random.even() < 0.7 ? 'road-running' : 'walking';
    const foam = random.even() < 0.5 ? ('soft' as const) : ('medium' as const);
    const mass = 0.25 * random.normal();
    const hard = random.even() < 0.5 ? 1 : 0;
    const factors = FACTOR_IDS.map((id) => (id === 'mass' ? mass : id === 'hard' ? hard : 0));
    const life =
      draw(maker, priors.maker) +
      draw(maker + model, priors.model) +
      draw(maker + model + version, priors.version) +
      draw(use, priors.uses[use].use) +
      draw(use + foam, priors.cell) +
      factors.reduce((sum, amount, at) => sum + amount * effects[at]!, 0) +
      chance * priors.uses[use].pair * random.normal();
    const given = random.even() < 0.3 ? Math.log(0.2 + random.even()) : Number.POSITIVE_INFINITY;
    return {
      maker,
      model,
      version,
      use,
      foam,
      factors,
      life,
      logRatio: Math.min(life, given),
      isWornOut: life <= given,
      countError: 0,
    };
  });
}

/** How often the 80 % window of a pair that is not among those learned from holds its life, %. */
function held(clinics: number, pairs: number, fixed?: Partial<Record<FactorId, number>>): number {
  let inside = 0;
  let asked = 0;
  const random = noise(1000);
  for (let clinic = 0; clinic < clinics; clinic += 1) {
    const all = simulatedClinic(random, pairs + 5, fixed);
    const { effects, lifeOf } = learnLives(all.slice(5), lifePriors('median'));
    for (const pair of all.slice(0, 5)) {
      const life = lifeOfPair({ use: pair.use, school: 'median' }, pair.factors, {
        version: lifeOf(pair),
        effects,
      });
      const { median } = lifeOfPair({ use: pair.use, school: 'median' }, NONE, null);
      const lasted = median * Math.exp(pair.life);
      asked += 1;
      if (lasted >= lifeQuantile(life, 0.1) && lasted <= lifeQuantile(life, 0.9)) inside += 1;
    }
  }
  return (100 * inside) / asked;
}

describe('over 1,000 simulated clinics the 80 % window holds 78–82 %', () => {
  it('where effects are as wide as they are believed to be', () => {
    const share = held(1000, 60);
    expect(share).toBeGreaterThanOrEqual(78);
    expect(share).toBeLessThanOrEqual(82);
  }, 120_000);

  it('where mass and hard ground act twice as strongly as is believed', () => {
    const share = held(1000, 60, { mass: 2 * FACTORS.mass.mean, hard: 2 * FACTORS.hard.mean });
    expect(share).toBeGreaterThanOrEqual(78);
    expect(share).toBeLessThanOrEqual(82);
  }, 120_000);
});
