import type { ShoeModel } from '@/core/match/model';
import type { FeatureId, FeatureValue } from '@/core/shoe/features';
import type { SizeSystem } from '@/core/sizing/systems';
import type { SizingGroup, WidthLetter } from '@/core/sizing/widths';
import type { Random } from './random';

type Values = Partial<Record<FeatureId, FeatureValue>>;

/** A kind of shoe from which several invented models are varied. */
interface Archetype {
  use: string;
  names: readonly string[];
  values: Values;
  widths?: readonly WidthLetter[];
}

/** Invented makers; by memory no shoe firm bears one of these names. */
const MAKERS = ['Brindlemoor', 'Ketterwick', 'Sollenby', 'Fjarrow', 'Marrowick', 'Quillhaven'] as const;

/** What all shoes have in common unless a kind says otherwise. */
const COMMON: Values = {
  midsoleHardness: 3,
  heelCushioning: 3,
  forefootCushioning: 3,
  forefootStiffness: 2,
  torsionalStiffness: 3,
  heelCounter: 3,
  counterReach: 28,
  bendPoint: 73,
  rocker: 1,
  toeSpring: 12,
  medialSupport: 'none',
  lateralSupport: 'none',
  heelBase: 82,
  forefootBase: 108,
  archContour: 2,
  toeBoxShape: 'round',
  toeBoxDepth: 2,
  toeBoxMaterial: 'mesh',
  toeProtection: 'none',
  seamFree: 'no',
  upperFirmness: 2,
  overlaysReachSole: 2,
  collarHeight: 1,
  collarPadding: 2,
  closure: 'laces',
  opening: 2,
  removableInsole: 'yes',
  insoleDepth: 4,
  outsoleHardness: 3,
  tread: 'road',
  water: 'breathable',
  plate: 'none',
  heelBevel: 'none',
  heelKind: 'flat',
  softCounterEdge: 'no',
  rockerApex: 65,
};

const WIDE: readonly WidthLetter[] = ['B', 'D', '2E', '4E'];

const ARCHETYPES: readonly Archetype[] = [
  {
    use: 'road-running',
    names: ['Tern', 'Sandpiper', 'Longshore', 'Ebb', 'Kittiwake'],
    values: {
      category: 'neutral',
      drop: 8,
      heelStack: 31,
      mass: 270,
      heelCushioning: 4,
      forefootCushioning: 3.5,
      midsoleHardness: 2.5,
    },
  },
  {
    use: 'road-running',
    names: ['Causeway', 'Headland', 'Tideway', 'Strand'],
    values: {
      category: 'structured',
      drop: 10,
      heelStack: 30,
      mass: 295,
      heelCounter: 4,
      torsionalStiffness: 4,
      medialSupport: 'foam',
      heelCushioning: 4,
    },
  },
  {
    use: 'road-running',
    names: ['Breakwater', 'Mole', 'Bulkhead'],
    values: {
      category: 'stability',
      drop: 10,
      heelStack: 31,
      mass: 315,
      heelCounter: 5,
      torsionalStiffness: 4,
      medialSupport: 'rail',
      heelBase: 88,
      midsoleHardness: 3.5,
    },
  },
  {
    use: 'road-running',
    names: ['Pierhead', 'Caisson'],
    values: {
      category: 'motion-control',
      drop: 12,
      heelStack: 32,
      mass: 350,
      heelCounter: 5,
      torsionalStiffness: 5,
      medialSupport: 'post',
      heelBase: 90,
      midsoleHardness: 4,
    },
  },
  {
    use: 'road-running',
    names: ['Cumulus', 'Fogbank', 'Swell'],
    values: {
      category: 'maximal',
      drop: 5,
      heelStack: 40,
      mass: 300,
      heelCushioning: 5,
      forefootCushioning: 5,
      midsoleHardness: 1.5,
      rocker: 2,
      rockerApex: 62,
      heelBase: 92,
      forefootBase: 116,
    },
  },
  {
    use: 'road-running',
    names: ['Foreshore', 'Shingle'],
    values: {
      category: 'minimal',
      drop: 2,
      heelStack: 14,
      mass: 185,
      heelCushioning: 2,
      forefootCushioning: 2,
      forefootStiffness: 1,
      torsionalStiffness: 1,
      heelCounter: 1.5,
      toeBoxShape: 'anatomic',
      archContour: 1,
    },
  },
  {
    use: 'racing',
    names: ['Gannet', 'Swift', 'Merlin'],
    values: {
      category: 'neutral',
      drop: 8,
      heelStack: 38,
      mass: 200,
      plate: 'rigid',
      forefootStiffness: 5,
      rocker: 2,
      heelCushioning: 4,
      forefootCushioning: 4,
      midsoleHardness: 1.5,
      heelCounter: 2,
      removableInsole: 'no',
    },
  },
  {
    use: 'trail',
    names: ['Gorse', 'Scree', 'Heather', 'Fellside'],
    values: {
      category: 'neutral',
      drop: 6,
      heelStack: 29,
      mass: 310,
      tread: 'lugs',
      toeProtection: 'bumper',
      upperFirmness: 3,
      outsoleHardness: 3.5,
      forefootStiffness: 3,
      torsionalStiffness: 3.5,
      water: 'resistant',
      heelBase: 88,
      forefootBase: 113,
    },
  },
  {
    use: 'hiking',
    names: ['Cairn', 'Ridgeway', 'Drover'],
    values: {
      category: 'neutral',
      drop: 10,
      heelStack: 32,
      mass: 430,
      tread: 'lugs',
      toeProtection: 'bumper',
      collarHeight: 2,
      upperFirmness: 3,
      forefootStiffness: 4,
      torsionalStiffness: 4,
      heelCounter: 4,
      outsoleHardness: 4,
      water: 'proof',
      toeBoxMaterial: 'leather',
    },
  },
  {
    use: 'walking',
    names: ['Promenade', 'Esplanade', 'Towpath', 'Boardwalk', 'Quayside'],
    values: {
      category: 'structured',
      drop: 8,
      heelStack: 28,
      mass: 320,
      rocker: 2,
      rockerApex: 60,
      heelBase: 88,
      forefootBase: 112,
      heelCounter: 4,
      toeBoxDepth: 2,
      heelBevel: 'central',
      torsionalStiffness: 4,
    },
    widths: WIDE,
  },
  {
    use: 'walking',
    names: ['Lamplight', 'Almshouse', 'Evenfall'],
    values: {
      category: 'neutral',
      drop: 6,
      heelStack: 23,
      mass: 280,
      closure: 'hook-and-loop',
      opening: 3,
      heelBase: 88,
      forefootBase: 112,
      midsoleHardness: 4,
      heelBevel: 'central',
      tread: 'slip-rated',
      collarPadding: 2,
      toeBoxDepth: 3,
      seamFree: 'yes',
      toeBoxMaterial: 'stretch',
    },
    widths: WIDE,
  },
  {
    use: 'court',
    names: ['Baseline', 'Rally', 'Backhand'],
    values: {
      category: 'structured',
      drop: 6,
      heelStack: 24,
      mass: 350,
      outsoleHardness: 4.5,
      tread: 'herringbone',
      upperFirmness: 3,
      heelCounter: 4.5,
      forefootBase: 116,
      heelBase: 90,
      lateralSupport: 'sidewall',
      torsionalStiffness: 4,
      toeProtection: 'bumper',
    },
  },
  {
    use: 'indoor-court',
    names: ['Gantry', 'Sprung', 'Halfcourt'],
    values: {
      category: 'neutral',
      drop: 6,
      heelStack: 23,
      mass: 310,
      outsoleHardness: 1.5,
      tread: 'herringbone',
      upperFirmness: 3,
      heelCounter: 4,
      forefootBase: 114,
      heelBase: 88,
      lateralSupport: 'flare',
      torsionalStiffness: 4,
    },
  },
  {
    use: 'lifting',
    names: ['Anvil', 'Derrick', 'Capstan'],
    values: {
      category: 'neutral',
      drop: 20,
      heelStack: 30,
      mass: 470,
      midsoleHardness: 5,
      heelCushioning: 1,
      forefootCushioning: 1,
      forefootStiffness: 3,
      torsionalStiffness: 5,
      heelCounter: 5,
      closure: 'laces',
      upperFirmness: 3,
      heelBase: 92,
      heelKind: 'wedge',
    },
  },
  {
    use: 'lifting',
    names: ['Keelson', 'Ballast'],
    values: {
      category: 'minimal',
      drop: 0,
      heelStack: 9,
      mass: 300,
      midsoleHardness: 5,
      heelCushioning: 1,
      forefootCushioning: 1,
      forefootStiffness: 2,
      heelCounter: 3,
      upperFirmness: 3,
      heelBase: 86,
      toeBoxShape: 'anatomic',
    },
  },
  {
    use: 'gym',
    names: ['Tumbler', 'Circuit'],
    values: {
      category: 'neutral',
      drop: 5,
      heelStack: 22,
      mass: 290,
      lateralSupport: 'sidewall',
      upperFirmness: 2.5,
      heelBase: 86,
      torsionalStiffness: 3,
    },
  },
  {
    use: 'work',
    names: ['Galley', 'Wardroom', 'Slipway', 'Ferryman'],
    values: {
      category: 'structured',
      drop: 8,
      heelStack: 29,
      mass: 340,
      tread: 'slip-rated',
      heelCushioning: 3.5,
      heelBase: 90,
      forefootBase: 113,
      toeBoxMaterial: 'leather',
      water: 'resistant',
      outsoleHardness: 3,
      toeBoxDepth: 2.5,
    },
    widths: WIDE,
  },
  {
    use: 'safety',
    names: ['Stevedore', 'Rigger', 'Dockhand'],
    values: {
      category: 'structured',
      drop: 10,
      heelStack: 33,
      mass: 560,
      tread: 'slip-rated',
      toeProtection: 'safety',
      toeBoxMaterial: 'cap',
      collarHeight: 2,
      forefootStiffness: 4,
      torsionalStiffness: 4.5,
      upperFirmness: 3,
      water: 'proof',
      heelBase: 92,
    },
    widths: WIDE,
  },
  {
    use: 'dress',
    names: ['Vestry', 'Choirstall'],
    values: {
      category: 'neutral',
      drop: 18,
      heelStack: 28,
      mass: 260,
      heelKind: 'block',
      tread: 'smooth',
      toeBoxShape: 'tapered',
      toeBoxMaterial: 'leather',
      closure: 'slip-on',
      removableInsole: 'no',
      heelBase: 58,
      forefootBase: 96,
      toeBoxDepth: 1.5,
      forefootStiffness: 3,
    },
  },
  {
    use: 'dress',
    names: ['Bellringer', 'Parlour'],
    values: {
      category: 'neutral',
      drop: 10,
      heelStack: 22,
      mass: 300,
      heelKind: 'wedge',
      tread: 'road',
      toeBoxMaterial: 'leather',
      closure: 'laces',
      heelBase: 76,
      forefootBase: 104,
    },
  },
  {
    use: 'therapeutic',
    names: ['Haven', 'Mooring', 'Anchorage', 'Safe Harbour', 'Lee Shore'],
    values: {
      category: 'structured',
      drop: 8,
      heelStack: 26,
      mass: 340,
      toeBoxDepth: 3,
      toeBoxShape: 'anatomic',
      toeBoxMaterial: 'stretch',
      seamFree: 'yes',
      closure: 'hook-and-loop',
      opening: 3,
      insoleDepth: 8,
      heelBase: 90,
      forefootBase: 116,
      rocker: 2,
      rockerApex: 58,
      forefootStiffness: 4,
      torsionalStiffness: 4,
      heelCounter: 4,
      tread: 'slip-rated',
      heelBevel: 'central',
      upperFirmness: 1.5,
    },
    widths: WIDE,
  },
  {
    use: 'everyday',
    names: ['Errand', 'Market Day', 'Allotment'],
    values: {
      category: 'neutral',
      drop: 6,
      heelStack: 24,
      mass: 300,
      toeBoxShape: 'square',
      closure: 'elastic',
      opening: 3,
      heelBase: 84,
      forefootBase: 110,
    },
    widths: WIDE,
  },
  {
    use: 'everyday',
    names: ['Schoolyard', 'Rockpool'],
    values: {
      category: 'neutral',
      drop: 3,
      heelStack: 16,
      mass: 210,
      forefootStiffness: 1.5,
      heelCounter: 4,
      closure: 'hook-and-loop',
      toeBoxShape: 'round',
      opening: 2.5,
    },
  },
  {
    use: 'house',
    names: ['Hearth', 'Inglenook'],
    values: {
      category: 'neutral',
      drop: 3,
      heelStack: 15,
      mass: 210,
      closure: 'hook-and-loop',
      opening: 3,
      tread: 'slip-rated',
      toeBoxDepth: 3,
      seamFree: 'yes',
      heelCounter: 3,
      removableInsole: 'yes',
    },
    widths: WIDE,
  },
  {
    use: 'post-operative',
    names: ['Drydock'],
    values: {
      category: 'neutral',
      drop: 2,
      heelStack: 24,
      mass: 280,
      rocker: 3,
      rockerApex: 55,
      forefootStiffness: 5,
      closure: 'hook-and-loop',
      opening: 3,
      toeBoxDepth: 3,
      toeBoxShape: 'square',
      removableInsole: 'yes',
      heelBase: 92,
      forefootBase: 118,
    },
    widths: WIDE,
  },
];

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

const SIZES: Record<SizeSystem, Partial<Record<SizingGroup, readonly [number, number]>>> = {
  eu: { men: [39, 49], women: [35, 44], child: [28, 38] },
  uk: { men: [6, 14], women: [2.5, 9.5], child: [9, 13] },
  'us-men': { men: [6.5, 14.5] },
  'us-women': { women: [5, 12] },
  'us-women-wide-gap': {},
  mondopoint: {},
  japan: {},
  'uk-child': { child: [9, 13.5] },
};

function varied(values: Values, random: Random): Values {
  const all: Values = { ...COMMON, ...values };
  all.drop = Math.max(0, Number(all.drop) + random.pick([-2, 0, 0, 0, 2]));
  all.heelStack = Math.max(Number(all.drop) + 4, Number(all.heelStack) + random.int(-3, 3));
  all.forefootStack = Number(all.heelStack) - Number(all.drop);
  all.mass = Number(all.mass) + random.near(-20, 30, 5);
  all.heelBase = Number(all.heelBase) + random.int(-3, 3);
  all.forefootBase = Number(all.forefootBase) + random.int(-3, 4);
  for (const grade of ['heelCounter', 'heelCushioning', 'midsoleHardness'] as const)
    all[grade] = Math.min(5, Math.max(1, Number(all[grade]) + random.pick([-0.5, 0, 0, 0.5])));
  if (all.closure === 'laces' && random.chance(0.4)) all.closure = 'laces-extra-eyelet';
  if (all.toeBoxShape === 'round' && random.chance(0.25)) all.toeBoxShape = 'anatomic';
  if (random.chance(0.3)) all.softCounterEdge = 'yes';
  if (random.chance(0.25)) all.seamFree = 'yes';
  const unknown = new Set(OFTEN_UNKNOWN.filter(() => random.chance(0.25)));
  return Object.fromEntries(Object.entries(all).filter(([id]) => !unknown.has(id as FeatureId)));
}

/** Children's models come from these kinds only. */
const CHILDREN = new Set(['Schoolyard', 'Rockpool']);

/** The demo catalogue: every kind as men's and women's model or one of them, children's where they are made. */
export function demoModels(random: Random): ShoeModel[] {
  const models: ShoeModel[] = [];
  for (const kind of ARCHETYPES) {
    for (const name of kind.names) {
      const maker = random.pick(MAKERS);
      const groups: SizingGroup[] = CHILDREN.has(name)
        ? ['child']
        : random.chance(0.75)
          ? ['men', 'women']
          : [random.pick(['men', 'women'] as const)];
      const features = { ...varied(kind.values, random), use: kind.use };
      const allowanceMm = random.pick([13.3, 15, 15, 17]);
      const lengthOffsetMm = random.pick([0, 0, 0, -3, 2]);
      for (const group of groups) {
        const system: SizeSystem = group === 'child' ? 'eu' : random.chance(0.75) ? 'eu' : 'uk';
        const [from, to] = SIZES[system][group]!;
        const narrower = group === 'women' ? (['2A', 'B', 'D', '2E'] as const) : WIDE;
        const widths = kind.widths
          ? narrower
          : random.chance(0.5)
            ? narrower.slice(1, 3)
            : narrower.slice(1, 2);
        models.push({
          id: random.uuid(),
          maker,
          name: group === 'women' && groups.length > 1 ? `${name} W` : name,
          version: String(random.int(1, 6)),
          features: { ...features, width: widths.length > 2 ? 3 : widths.length > 1 ? 2.5 : 2 },
          sizing: {
            system,
            group,
            allowanceMm,
            lengthOffsetMm,
            sizes: Array.from({ length: (to - from) * 2 + 1 }, (_, index) => from + index / 2),
            widths,
            ballWidthMm: (group === 'women' ? 90 : 94) + (kind.widths ? -2 : 0) + random.int(0, 3),
          },
          inStock: random.chance(0.9),
        });
      }
    }
  }
  return models;
}
