import type { FindingValue } from '@/core/findings/findings';
import type { FootFindings } from '@/core/findings/picture';
import type { Persona } from './personas/persona';
import type { Random } from './random';

const GIVEN = [
  'Alder',
  'Brona',
  'Calla',
  'Davin',
  'Elska',
  'Ferran',
  'Greta',
  'Hollis',
  'Imke',
  'Joss',
  'Kerensa',
  'Linus',
  'Mirele',
  'Nils',
  'Oda',
  'Perrin',
  'Runa',
  'Stellan',
  'Tamsin',
  'Ulric',
  'Vesna',
  'Wren',
  'Xanthe',
  'Yorick',
] as const;
const FAMILY = [
  'Abery',
  'Brightwell',
  'Corvane',
  'Drummel',
  'Eskeland',
  'Farthing',
  'Gullmark',
  'Havering',
  'Inskip',
  'Jorvey',
  'Kestrin',
  'Larkspur',
  'Mossop',
  'Nettlefold',
  'Orrin',
  'Penhallow',
  'Quist',
  'Rosewarne',
  'Skerry',
  'Thackwell',
  'Ullmark',
  'Venning',
  'Wexcombe',
  'Yarrow',
] as const;

type Activity = FindingValue<'activities'>[number];
type Pain = FindingValue<'pain'>[number];

/** Trades of the island with what they do on their feet. */
const TRADES: readonly {
  trade: string;
  activities: Activity[];
  wet: boolean;
  weekly: [number, number];
  surface: Persona['surface'];
}[] = [
  { trade: 'ferry deckhand', activities: ['standing-work'], wet: true, weekly: [15, 40], surface: 'hard' },
  {
    trade: 'ward nurse',
    activities: ['standing-work', 'walking'],
    wet: true,
    weekly: [25, 45],
    surface: 'hard',
  },
  { trade: 'fish-hall packer', activities: ['standing-work'], wet: true, weekly: [15, 30], surface: 'hard' },
  {
    trade: 'schoolteacher',
    activities: ['everyday', 'walking'],
    wet: false,
    weekly: [10, 25],
    surface: 'mixed',
  },
  { trade: 'harbour clerk', activities: ['road-running'], wet: false, weekly: [15, 45], surface: 'hard' },
  {
    trade: 'lighthouse guide',
    activities: ['trail', 'walking'],
    wet: false,
    weekly: [15, 35],
    surface: 'soft',
  },
  {
    trade: 'retired net-maker',
    activities: ['everyday', 'walking'],
    wet: false,
    weekly: [4, 15],
    surface: 'mixed',
  },
  {
    trade: 'sports coach',
    activities: ['indoor-court', 'gym'],
    wet: false,
    weekly: [8, 20],
    surface: 'mixed',
  },
];

const PAINS: readonly Pain[] = [
  'achilles-mid',
  'plantar-heel',
  'shin',
  'forefoot',
  'big-toe',
  'knee-front',
  'ankle-outer',
  'midfoot',
  'hip',
];

/** Many people around the personas, so that every list has something true to show. */
export function demoPeople(random: Random, count: number): Persona[] {
  return Array.from({ length: count }, (_, index) => person(random, index));
}

function person(random: Random, index: number): Persona {
  const trade = random.pick(TRADES);
  const age = trade.trade.startsWith('retired') ? random.int(66, 88) : random.int(19, 64);
  const group = random.pick(['men', 'women'] as const);
  const length = (group === 'men' ? 268 : 245) + random.int(-14, 14);
  const width = Math.round(length * 0.385) + random.int(-4, 5);
  const pain = random.chance(0.7) ? [random.pick(PAINS)] : [];
  const arch = random.pick(['low', 'medium', 'medium', 'high'] as const);
  const common: FootFindings = {
    arch,
    archMobility: arch === 'high' ? 'rigid' : random.pick(['flexible', 'flexible', 'rigid'] as const),
    injuries: random.chance(0.2) ? ['lateral-sprain'] : [],
    swelling: age > 70 && random.chance(0.4) ? 'changes' : 'none',
    insert: random.chance(0.15) ? 'orthosis' : 'none',
    insertHeel: 3,
    sensation: age > 65 && random.chance(0.2) ? 'lost' : 'felt',
    pulses: 'present',
    bunion: age > 50 && random.chance(0.3) ? 'mild' : 'none',
    lungeDistance: random.near(6, 13, 0.5),
    roll: random.pick(['in', 'neutral', 'neutral', 'out'] as const),
  };
  const foot = (add: number, hurts: Pain[]): FootFindings => ({
    ...common,
    footLength: length + add,
    heelBallLength: Math.round((length + add) * 0.735),
    ballWidth: width,
    pain: hurts,
    ...(hurts.length > 0 ? { worstPain: random.int(3, 7) } : {}),
  });
  const latest = random.int(10, 260);
  return {
    given: GIVEN[index % GIVEN.length]!,
    family: FAMILY[(index * 7 + Math.floor(index / FAMILY.length)) % FAMILY.length]!,
    age,
    group,
    occupation: trade.trade,
    weeklyKm: random.int(...trade.weekly),
    surface: trade.surface,
    visits: Array.from(
      { length: random.int(1, 3) },
      (_, visit) => latest + visit * random.int(120, 300),
    ).sort((a, b) => b - a),
    findings: {
      body: {
        bodyMass: random.int(52, 104),
        activities: trade.activities,
        surfaces: trade.wet ? ['wet-floor'] : ['road'],
        conditions: age > 60 && random.chance(0.3) ? ['diabetes'] : [],
        falls: age > 65 ? random.int(0, 2) : 0,
        reach: age > 70 ? random.pick(['easily', 'effort', 'no'] as const) : 'easily',
        hands: age > 75 ? 'pull' : 'tie',
        hoursStanding: random.int(1, 9),
      },
      left: foot(0, pain),
      right: foot(random.int(-3, 4), random.chance(0.3) ? pain : []),
    },
  };
}
