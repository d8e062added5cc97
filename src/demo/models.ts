import { addDays } from '@/core/calendar/days';
import { type ShoeModel, stockKey } from '@/core/catalogue/model';
import type { SizingGroup } from '@/core/findings/findings';
import type { FeatureId } from '@/core/shoe/features';
import {
  type FeatureReadings,
  featuresOf,
  readingsFrom,
  type ValueSource,
  withReading,
} from '@/core/shoe/readings/readings';
import type { ModelSizing } from '@/core/sizing/start-size';
import type { SizeSystem } from '@/core/sizing/systems';
import { type Archetype, COMMON, type Values, WIDE } from './archetypes/archetype';
import { ARCHETYPES } from './archetypes/archetypes';
import type { Random } from './random';

/** A model of the demo with what the demo alone knows: how its true inside differs from its label, mm. */
export interface DemoModel extends ShoeModel {
  readings: FeatureReadings;
  truth: { lengthMm: number; widthMm: number };
}

/** Invented makers; by memory no shoe firm bears one of these names. How each runs against its label, mm. */
const MAKERS = [
  { name: 'Brindlemoor', runsMm: -3 },
  { name: 'Ketterwick', runsMm: 0 },
  { name: 'Sollenby', runsMm: 1.5 },
  { name: 'Fjarrow', runsMm: -1 },
  { name: 'Marrowick', runsMm: 0.5 },
  { name: 'Quillhaven', runsMm: -2 },
] as const;

/** Features that a maker does not always state. */
const OFTEN_UNKNOWN: readonly FeatureId[] = [
  'counterReach',
  'bendPoint',
  'insoleDepth',
  'softCounterEdge',
  'overlaysReachSole',
  'rockerApex',
  'collarPadding',
];

const SIZES: Partial<Record<SizeSystem, Partial<Record<SizingGroup, readonly [number, number]>>>> = {
  eu: { men: [39, 49], women: [35, 44], child: [28, 38] },
  uk: { men: [6, 14], women: [2.5, 9.5], child: [9, 13] },
};

function varied(values: Values, random: Random): Values {
  const all: Values = { ...COMMON, ...values };
  all.drop = Math.max(0, Number(all.drop) + random.pick([-2, 0, 0, 0, 2]));
  all.heelStack = Math.max(Number(all.drop) + 4, Number(all.heelStack) + random.int(-3, 3));
  all.forefootStack = Number(all.heelStack) - Number(all.drop);
  all.mass = Number(all.mass) + random.near(-20, 30, 5);
  all.heelBase = Number(all.heelBase) + random.int(-3, 3);
  all.forefootBase = Number(all.forefootBase) + random.int(-3, 4);
  if (all.heelHeight !== undefined) all.heelHeight = all.heelStack;
  for (const grade of ['heelCounter', 'heelCushioning', 'midsoleHardness'] as const)
    all[grade] = Math.min(5, Math.max(1, Number(all[grade]) + random.pick([-0.5, 0, 0, 0.5])));
  if (all.closure === 'laces' && random.chance(0.4)) all.closure = 'laces-extra-eyelet';
  if (all.toeBoxShape === 'round' && random.chance(0.25)) all.toeBoxShape = 'anatomic';
  if (random.chance(0.3)) all.softCounterEdge = 'yes';
  if (random.chance(0.25)) all.seamFree = 'yes';
  const unknown = new Set(OFTEN_UNKNOWN.filter(() => random.chance(0.25)));
  return Object.fromEntries(Object.entries(all).filter(([id]) => !unknown.has(id as FeatureId)));
}

/** What a maker changes from one version to the next. */
function nextVersion(values: Values, random: Random): Values {
  const next = { ...values };
  next.heelStack = Math.min(120, Math.max(Number(next.drop) + 4, Number(next.heelStack) + random.int(-1, 3)));
  if (random.chance(0.3)) next.drop = Math.max(0, Number(next.drop) + random.pick([-2, 2]));
  next.forefootStack = Math.max(3, Number(next.heelStack) - Number(next.drop));
  next.heelStack = Number(next.forefootStack) + Number(next.drop);
  if (next.heelHeight !== undefined) next.heelHeight = next.heelStack;
  next.mass = Math.max(120, Number(next.mass) + random.near(-20, 20, 5));
  if (random.chance(0.4))
    next.midsoleHardness = Math.min(5, Math.max(1, Number(next.midsoleHardness) + random.pick([-0.5, 0.5])));
  return next;
}

const half = (value: number): number => Math.round(value * 2) / 2;

/** Where the clinic's values of one model come from: mostly the maker, some measured, a few guessed. */
function saidOf(values: Values, on: string, random: Random): FeatureReadings {
  let readings = readingsFrom(values, 'maker', on);
  const later = (from: ValueSource, feature: FeatureId, value: number | string) => {
    readings = withReading(readings, feature, { value, from, on: addDays(on, random.int(10, 60)) });
  };
  if (random.chance(0.2)) {
    // A bench test: the drop is often a little off what the maker states.
    const drop = Math.max(0, Number(values.drop) + random.pick([-3, -1.5, 0, 0.5, 2]));
    later('bench', 'drop', drop);
    later('bench', 'forefootStack', Math.max(3, Number(values.heelStack) - drop));
    later('bench', 'heelStack', Math.max(3, Number(values.heelStack) - drop) + drop);
    later('bench', 'heelCounter', Number(values.heelCounter));
    later('bench', 'torsionalStiffness', Number(values.torsionalStiffness));
    later('bench', 'bendPoint', random.int(68, 76));
    later('bench', 'counterReach', random.int(20, 36));
  }
  if (values.insoleDepth === undefined && random.chance(0.3)) later('estimate', 'insoleDepth', 4);
  if (random.chance(0.1)) later('fitting', 'collarClear', random.pick(['yes', 'yes', 'no']));
  return readings;
}

/** Pairs on the shelf: most in the middle of the run, in one or two widths. */
function shelf({ sizes, widths }: ModelSizing, share: number, random: Random): Record<string, number> {
  const stock: Record<string, number> = {};
  for (const [at, size] of sizes.entries()) {
    const middle = 1 - Math.abs(at / (sizes.length - 1) - 0.5);
    for (const width of widths)
      if (random.chance(share * middle)) stock[stockKey(size, width)] = random.int(1, 3);
  }
  return stock;
}

/** For whom a model is made: mostly for men and women alike. */
function groupsOf({ group }: Archetype, random: Random): SizingGroup[] {
  if (group) return [group];
  return random.chance(0.75) ? ['men', 'women'] : [random.pick(['men', 'women'] as const)];
}

function sizingOf(kind: Archetype, group: SizingGroup, random: Random): ModelSizing {
  const system: SizeSystem = group === 'child' || random.chance(0.75) ? 'eu' : 'uk';
  const [from, to] = SIZES[system]![group]!;
  const narrower = group === 'women' ? (['2A', 'B', 'D', '2E'] as const) : WIDE;
  return {
    system,
    group,
    allowanceMm: random.pick([13.3, 15, 15, 17]),
    lengthOffsetMm: 0,
    widthOffsetMm: 0,
    sizes: Array.from({ length: (to - from) * 2 + 1 }, (_, index) => from + index / 2),
    widths: kind.widths ? narrower : random.chance(0.5) ? narrower.slice(1, 3) : narrower.slice(1, 2),
    ballWidthMm: (group === 'women' ? 90 : 94) + (kind.widths ? -2 : 0) + random.int(0, 3),
  };
}

/** Latest version of a model among its versions; all but that are discontinued, the one before may still stand there. */
function versionsOf(
  kind: Archetype,
  maker: (typeof MAKERS)[number],
  name: string,
  group: SizingGroup,
  first: Values,
  today: string,
  random: Random,
): DemoModel[] {
  const sizing = sizingOf(kind, group, random);
  const count = random.pick([1, 2, 2, 3]);
  const number = random.int(1, 4);
  const runs = { lengthMm: maker.runsMm + half(random.int(-4, 4) / 2), widthMm: half(random.int(-4, 4) / 2) };
  const price = random.near(70, 190, 5);
  const models: DemoModel[] = [];
  let values = first;
  for (let at = 0; at < count; at += 1) {
    if (at > 0) values = nextVersion(values, random);
    const latest = at === count - 1;
    const { widths } = sizing;
    const readings = saidOf(
      { ...values, use: kind.use, width: widths.length > 2 ? 3 : widths.length > 1 ? 2.5 : 2 },
      addDays(today, -(count - at) * 380 + random.int(0, 200)),
      random,
    );
    models.push({
      id: random.uuid(),
      maker: maker.name,
      name,
      version: String(number + at),
      features: featuresOf(readings),
      readings,
      sizing,
      stock: latest
        ? shelf(sizing, random.chance(0.9) ? 0.85 : 0, random)
        : at === count - 2
          ? shelf(sizing, 0.15, random)
          : {},
      boxes: latest
        ? { batch: `${name.slice(0, 2).toUpperCase()}-${number + at}04`, madeOn: addDays(today, -140) }
        : {},
      price: latest ? price : Math.round(price * 0.7),
      status: latest ? 'current' : 'discontinued',
      replaces: models.at(-1)?.id ?? null,
      truth: {
        lengthMm: runs.lengthMm + half(random.int(-2, 2) / 2),
        widthMm: runs.widthMm + half(random.int(-2, 2) / 2),
      },
    });
  }
  return models;
}

/** The demo catalogue: every kind for men, women or both, children's where they are made, in one to three versions. */
export function demoModels(random: Random, today = '2030-01-01'): DemoModel[] {
  return ARCHETYPES.flatMap((kind) =>
    kind.names.flatMap((name) => {
      const maker = random.pick(MAKERS);
      const groups = groupsOf(kind, random);
      const values = varied(kind.values, random);
      return groups.flatMap((group) =>
        versionsOf(
          kind,
          maker,
          group === 'women' && groups.length > 1 ? `${name} W` : name,
          group,
          values,
          today,
          random,
        ),
      );
    }),
  );
}
