import type { SizingGroup } from '@/core/findings/findings';
import type { BodyFindings, Findings, FootFindings } from '@/core/findings/picture';
import type { OrderState } from '@/core/orders/order';
import type { Activity } from '@/core/purpose/serves';
import type { Choices } from '@/core/visit/contents';
import type { WearSurface } from '@/core/wear/forecast';

/** An invented patient with what an examination of them finds. */
export interface Persona {
  given: string;
  family: string;
  age: number;
  group: SizingGroup;
  occupation: string;
  findings: Findings;
  weeklyKm: number | null;
  surface: WearSurface;
  /** Days since each hand-over, oldest first; empty: never seen. */
  visits: readonly number[];
  /** What the clinician decided at every visit. */
  choices?: Pick<Choices, 'decisions' | 'setAside'>;
  /** Which of several pairs was handed over. */
  pair?: Activity;
  /** An examination begun today and not handed over. */
  openVisit?: boolean;
  /** The pair of the last visit was ordered, and how far that has come. */
  order?: Extract<OrderState, 'wanted' | 'ordered' | 'arrived' | 'checked'>;
}

const foot = (length: number, width: number, rest: FootFindings = {}): FootFindings => ({
  footLength: length,
  heelBallLength: Math.round(length * 0.735),
  ballWidth: width,
  pain: [],
  injuries: [],
  swelling: 'none',
  insert: 'none',
  ...rest,
});
const feet = (left: FootFindings, right: FootFindings, body: BodyFindings): Findings => ({
  body,
  left,
  right,
});
const well: FootFindings = { sensation: 'felt', pulses: 'present' };

/** The people a visitor of the demo meets first. All invented. */
export const PERSONAS: readonly Persona[] = [
  {
    given: 'Odran',
    family: 'Pell',
    age: 71,
    group: 'men',
    occupation: 'allotment gardener',
    weeklyKm: 18,
    surface: 'mixed',
    visits: [540, 300, 118],
    openVisit: true,
    findings: feet(
      foot(268, 104, {
        sensation: 'lost',
        pulses: 'present',
        lesserToes: 'flexible',
        toeHeight: 29,
        swelling: 'changes',
        skin: ['callus'],
        arch: 'medium',
        archMobility: 'flexible',
      }),
      foot(271, 106, {
        sensation: 'lost',
        pulses: 'present',
        lesserToes: 'flexible',
        toeHeight: 30,
        swelling: 'changes',
        arch: 'medium',
        archMobility: 'flexible',
      }),
      {
        bodyMass: 84,
        activities: ['walking', 'everyday'],
        conditions: ['diabetes'],
        falls: 1,
        reach: 'effort',
        hands: 'pull',
        surfaces: ['road', 'home'],
        hoursStanding: 3,
      },
    ),
  },
  {
    given: 'Ysolde',
    family: 'Marne',
    age: 34,
    group: 'women',
    occupation: 'postal carrier',
    weeklyKm: 46,
    surface: 'hard',
    visits: [410, 170],
    choices: {
      decisions: [
        {
          feature: 'drop',
          kind: 'overrule',
          band: { from: 8, to: 9 },
          reason: 'her knee was quiet and the cord no worse at 8 mm last year',
        },
      ],
      setAside: [
        { rule: 'achilles-rocker', feature: 'rocker', reason: 'she stumbles over kerbs in a rocker' },
      ],
    },
    findings: feet(
      foot(247, 93, {
        ...well,
        pain: ['achilles-mid'],
        worstPain: 5,
        heelsLiftEarly: 'yes',
        lungeDistance: 8,
        arch: 'medium',
        archMobility: 'flexible',
        roll: 'neutral',
        strike: 'heel',
      }),
      foot(245, 92, {
        ...well,
        pain: ['knee-front'],
        worstPain: 3,
        lungeDistance: 10,
        arch: 'medium',
        archMobility: 'flexible',
        roll: 'neutral',
        strike: 'heel',
      }),
      {
        bodyMass: 66,
        activities: ['road-running', 'walking'],
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
        surfaces: ['road'],
        weeklyDistance: 46,
        eventAhead: 'short',
        cadence: 80,
        oldPairDrop: 8,
        oldPairCategory: 'neutral',
        oldPairSigns: ['pattern-worn'],
      },
    ),
  },
  {
    given: 'Bram',
    family: 'Tolliver',
    age: 52,
    group: 'men',
    occupation: 'boat-builder',
    weeklyKm: 12,
    surface: 'hard',
    visits: [260],

    findings: feet(
      foot(272, 103, { sensation: 'felt', pulses: 'present', arch: 'medium' }),
      foot(274, 105, {
        sensation: 'felt',
        pulses: 'present',
        pain: ['achilles-mid'],
        arch: 'high',
        archMobility: 'rigid',
      }),
      {
        bodyMass: 88,
        activities: ['standing-work', 'everyday'],
        prosthesisSide: 'left',
        prosthesisSetRise: 9.5,
        prosthesisLever: 180,
        prosthesisMonths: 40,
        conditions: [],
        falls: 1,
        reach: 'effort',
        hands: 'tie',
        hoursStanding: 6,
        surfaces: ['road'],
      },
    ),
  },
  {
    given: 'Leonie',
    family: 'Achterberg',
    age: 78,
    group: 'women',
    occupation: 'retired choir conductor',
    weeklyKm: 6,
    surface: 'mixed',
    visits: [720, 380, 45],
    findings: feet(
      foot(241, 97, { ...well, swelling: 'changes', bunion: 'moderate', lesserToes: 'rigid', toeHeight: 31 }),
      foot(239, 96, { ...well, swelling: 'changes', bunion: 'mild', lesserToes: 'straight', toeHeight: 24 }),
      {
        bodyMass: 63,
        activities: ['everyday', 'walking'],
        conditions: ['gout'],
        falls: 2,
        fearOfFalling: 'yes',
        walkingAid: 'yes',
        reach: 'no',
        hands: 'weak',
        surfaces: ['home', 'road'],
      },
    ),
  },
  {
    given: 'Kasimir',
    family: 'Dunne',
    age: 27,
    group: 'men',
    occupation: 'ferry deckhand',
    weeklyKm: 14,
    surface: 'hard',
    visits: [95],
    openVisit: true,
    findings: feet(
      foot(281, 109, {
        swelling: 'changes',
        injuries: ['lateral-sprain', 'repeated-sprain'],
        arch: 'high',
        archMobility: 'rigid',
        roll: 'out',
        sensation: 'felt',
      }),
      foot(280, 108, { injuries: [], arch: 'high', archMobility: 'rigid', roll: 'out', sensation: 'felt' }),
      {
        bodyMass: 92,
        activities: ['standing-work', 'protective-work'],
        surfaces: ['wet-floor'],
        hoursStanding: 9,
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Nuria',
    family: 'Valdane',
    age: 45,
    group: 'women',
    occupation: 'ward nurse',
    weeklyKm: 38,
    surface: 'hard',
    visits: [330, 140, 6],
    order: 'ordered',
    findings: feet(
      foot(252, 98, {
        ...well,
        pain: ['plantar-heel'],
        worstPain: 6,
        arch: 'low',
        archMobility: 'rigid',
        insert: 'orthosis',
        insertHeel: 4,
      }),
      foot(251, 97, { ...well, arch: 'low', archMobility: 'rigid', insert: 'orthosis', insertHeel: 4 }),
      {
        bodyMass: 71,
        activities: ['standing-work', 'walking'],
        surfaces: ['wet-floor'],
        hoursStanding: 9,
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Piet',
    family: 'Oosterling',
    age: 58,
    group: 'men',
    occupation: 'fish-hall packer',
    weeklyKm: 25,
    surface: 'hard',
    visits: [500, 210, 12],
    order: 'arrived',
    findings: feet(
      foot(266, 108, { ...well, pain: ['big-toe'], bigToeRange: 28, worstPain: 6, bunion: 'mild' }),
      foot(265, 107, { ...well, bigToeRange: 45 }),
      {
        bodyMass: 97,
        activities: ['standing-work'],
        surfaces: ['wet-floor'],
        hoursStanding: 8,
        conditions: ['inflammatory-arthritis'],
        falls: 0,
        reach: 'easily',
        hands: 'pull',
      },
    ),
  },
  {
    given: 'Signe',
    family: 'Hallorin',
    age: 13,
    group: 'child',
    occupation: 'young orienteer',
    weeklyKm: 22,
    surface: 'soft',
    visits: [280, 130, 20],
    order: 'checked',
    findings: feet(
      foot(232, 86, { pain: ['heel-growth-plate'], worstPain: 4 }),
      foot(233, 86, { pain: ['heel-growth-plate'], worstPain: 3 }),
      {
        bodyMass: 44,
        activities: ['trail', 'everyday'],
        surfaces: ['trail'],
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Anselm',
    family: 'Rook',
    age: 41,
    group: 'men',
    occupation: 'court player, teacher',
    weeklyKm: 10,
    surface: 'hard',
    visits: [200],
    findings: feet(
      foot(277, 104, { ...well, injuries: ['lateral-sprain'] }),
      foot(276, 104, { ...well, injuries: [] }),
      {
        bodyMass: 79,
        activities: ['court'],
        surfaces: ['hard-court'],
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Dagny',
    family: 'Loom',
    age: 31,
    group: 'women',
    occupation: 'weekend lifter, joiner',
    pair: 'lifting-upright',
    openVisit: true,
    weeklyKm: null,
    surface: 'mixed',
    visits: [150],
    findings: feet(
      foot(250, 95, {
        ...well,
        lungeDistance: 7.5,
        heelsLiftEarly: 'no',
        pain: ['knee-front'],
        worstPain: 4,
      }),
      foot(250, 95, {
        ...well,
        lungeDistance: 8,
        heelsLiftEarly: 'no',
        pain: ['knee-front'],
        worstPain: 3,
      }),
      {
        bodyMass: 69,
        activities: ['lifting-upright', 'road-running'],
        weeklyDistance: 12,
        surfaces: ['gym-floor', 'road'],
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Corentin',
    family: 'Ashgrove',
    age: 66,
    group: 'men',
    occupation: 'bell-ringer',
    weeklyKm: 15,
    surface: 'mixed',
    visits: [460, 230, 2],
    order: 'wanted',
    findings: feet(
      foot(270, 105, { ...well, midfootArthritis: 'yes', pain: ['midfoot'], worstPain: 5, legLength: 918 }),
      foot(262, 103, { ...well, midfootArthritis: 'no', legLength: 901 }),
      {
        bodyMass: 90,
        activities: ['walking', 'everyday'],
        surfaces: ['road'],
        conditions: ['knee-arthritis-inner'],
        falls: 0,
        reach: 'effort',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Rosalind',
    family: 'Quaye',
    age: 39,
    group: 'women',
    occupation: 'school cook',
    weeklyKm: 20,
    surface: 'hard',
    visits: [],
    findings: {},
  },
  {
    given: 'Ottoline',
    family: 'Farrow',
    age: 58,
    group: 'women',
    occupation: 'bookbinder',
    weeklyKm: 8,
    surface: 'hard',
    visits: [],
    openVisit: true,
    // A new foot: nobody has measured what it is set for.
    findings: feet(
      foot(247, 94, { ...well, arch: 'medium', worstPain: 0 }),
      foot(246, 94, { ...well, arch: 'medium', worstPain: 0 }),
      {
        bodyMass: 66,
        activities: ['walking', 'everyday'],
        surfaces: ['road', 'home'],
        prosthesisSide: 'right',
        prosthesisMonths: 14,
        conditions: [],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
  {
    given: 'Hedda',
    family: 'Quist',
    age: 61,
    group: 'women',
    occupation: 'choir conductor',
    weeklyKm: 6,
    surface: 'hard',
    visits: [],
    openVisit: true,
    // Came for concert shoes; what her feet do not feel asks for a pair for the rest of the day.
    findings: feet(
      foot(244, 96, { sensation: 'lost', pulses: 'present', arch: 'low', archMobility: 'rigid' }),
      foot(245, 97, { sensation: 'lost', pulses: 'present', arch: 'low', archMobility: 'rigid' }),
      {
        bodyMass: 72,
        activities: ['dress'],
        surfaces: ['road', 'home'],
        conditions: ['diabetes', 'neuropathy'],
        falls: 0,
        reach: 'easily',
        hands: 'tie',
      },
    ),
  },
];
