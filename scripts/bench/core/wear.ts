// What pairs tell: verdict, forecast, lives of 20,000 pairs, a week's plan.
import { keysOf } from '@/core/tables/keys-of';
import { CLOCK_OF_USE } from '@/core/wear/clocks';
import { wearForecast } from '@/core/wear/forecast';
import { learnLives } from '@/core/wear/learned/learn-life';
import { FACTOR_IDS } from '@/core/wear/learned/life-factors';
import { lifePriors } from '@/core/wear/learned/life-priors';
import { planWeek } from '@/core/wear/rotation/plan';
import { verdictOf } from '@/core/wear/verdict';
import { noise } from '@/simulators/noise';
import { say, timed } from '../timed';

const signs = { creases: 'inner-late', fold: 'none', foam: 'yes', tilt: 'inner', ache: 'lately' } as const;
const log = Array.from({ length: 120 }, (_, week) => ({ day: week * 3, amount: 5 }));
const inspections = [60, 150, 240, 330].map((day) => ({ day, signs }));
const forecast = () =>
  wearForecast({
    school: 'median',
    use: 'road-running',
    bodyMassKg: 82,
    surface: 'hard',
    ageDays: 360,
    log,
    expectedWeekly: null,
    inspections,
  });

const random = noise(3);
const uses = keysOf(CLOCK_OF_USE).slice(0, 10);
const foams = ['soft', 'medium', 'firm', 'plated'] as const;
const pairs = Array.from({ length: 20_000 }, () => {
  const [maker, model, version] = [20, 20, 4].map((many) => Math.floor(random.even() * many));
  return {
    maker: `maker ${maker}`,
    model: `model ${model}`,
    version: String(version),
    use: uses[(maker! * 3 + model!) % uses.length]!,
    foam: foams[(model! + version!) % foams.length]!,
    factors: FACTOR_IDS.map((_, at) => (at < 6 ? random.normal() * 0.3 : 0)),
    logRatio: random.normal() * 0.3,
    isWornOut: random.even() < 0.5,
    countError: 0.1,
  };
});
const sessions = Array.from({ length: 14 }, (_, at) => ({
  id: `s${at}`,
  day: at % 7,
  activity: 'road-running' as const,
  kind: 'easy' as const,
  amount: 5 + at,
}));
const rotation = [0, 4, 8, 10, 12].map((drop, at) => ({
  id: `p${at}`,
  features: { use: 'road-running', drop },
  used: at * 100,
  life: 640,
}));

say({ what: 'spent, wrong or right', value: timed(() => verdictOf(signs, 0.6), 400), unit: 'ms', wanted: 5 });
say({
  what: 'forecast of one pair, 120 entries and four inspections',
  value: timed(forecast, 200),
  unit: 'ms',
  wanted: 2,
});
say({
  what: `lives of ${pairs.length} pairs, 1,600 versions, in a process of its own`,
  value: timed(() => learnLives(pairs, lifePriors('median')), 3),
  unit: 'ms',
  wanted: 3000,
});
say({
  what: 'a week of 14 outings in five pairs planned',
  value: timed(() => planWeek(sessions, rotation), 10),
  unit: 'ms',
});
