import type { FootFindings } from '../../picture/clinical-picture';
import type { Vignette } from './vignette';

const both = (foot: FootFindings) => ({ left: foot, right: foot });

/**
 * Ten difficult patients with the features put down from the handbook's text before any result was seen.
 * Differences that then showed are argued in docs/decisions/blind-vignettes.md.
 */
export const BLIND: readonly Vignette[] = [
  {
    name: '68, rheumatoid, severe bunions, rigid claw toes, sore balls of the feet, hands that only pull',
    findings: {
      body: {
        ageYears: 68,
        activities: ['everyday', 'walking'],
        conditions: ['inflammatory-arthritis'],
        hands: 'pull',
        reach: 'effort',
        falls: 0,
      },
      ...both({
        bunion: 'severe',
        lesserToes: 'rigid',
        pain: ['forefoot'],
        arch: 'low',
        archMobility: 'rigid',
      }),
    },
    expects: [
      { feature: 'width', best: [3, 4] },
      { feature: 'toeBoxDepth', best: [2.75, 3] },
      { feature: 'seamFree', within: ['yes'] },
      { feature: 'toeBoxShape', excludes: ['tapered'] },
      { feature: 'closure', excludes: ['laces', 'slip-on'] },
      { feature: 'rocker', best: [2, 3] },
      { feature: 'archContour', best: [1, 1.75] },
      { feature: 'drop', best: [4, 10] },
      { feature: 'removableInsole', within: ['yes'] },
    ],
    source: 'handbook 04; Fransen & Edmonds 1997, Menz & Morris 2005 (from memory)',
  },
  {
    name: '29, marathon build-up, tibial bone stress before, high arch, runs in a flat minimal pair',
    findings: {
      body: {
        ageYears: 29,
        bodyMass: 62,
        activities: ['road-running'],
        eventAhead: 'long',
        oldPairDrop: 2,
        oldPairCategory: 'minimal',
        weeklyDistance: 70,
      },
      ...both({ injuries: ['bone-stress'], pain: ['shin'], arch: 'high', archMobility: 'rigid' }),
    },
    expects: [
      { feature: 'heelCushioning', best: [3.75, 5] },
      { feature: 'forefootCushioning', best: [3.75, 5] },
      { feature: 'category', excludes: ['minimal'] },
      { feature: 'medialSupport', excludes: ['post'] },
      { feature: 'archContour', best: [1, 2] },
      { feature: 'plate', excludes: ['rigid'] },
      { feature: 'use', within: ['road-running'] },
    ],
    source: 'handbook 04; Ridge 2013, Tenforde 2023 (from memory)',
  },
  {
    name: '63, no protective sensation, healed ulcer under the first head, on dialysis',
    findings: {
      body: { ageYears: 63, activities: ['everyday'], conditions: ['diabetes', 'renal-failure'] },
      left: { sensation: 'lost', pulses: 'present', injuries: ['foot-ulcer'], lesserToes: 'flexible' },
      right: { sensation: 'lost', pulses: 'present', injuries: [], lesserToes: 'flexible' },
    },
    expects: [
      { feature: 'rocker', best: [2, 3] },
      { feature: 'forefootStiffness', best: [4, 5] },
      { feature: 'rockerApex', best: [50, 60] },
      { feature: 'removableInsole', within: ['yes'] },
      { feature: 'toeRoom', limit: [10, 20] },
      { feature: 'closure', excludes: ['slip-on'] },
      { feature: 'seamFree', within: ['yes'] },
      { feature: 'toeBoxDepth', best: [2.5, 3] },
    ],
    source: 'IWGDF 2023, Bus 2013, López-Moral 2019 (from memory); handbook 04',
  },
  {
    name: '12, plays indoors, growth-plate heel pain',
    findings: {
      body: { ageYears: 12, activities: ['indoor-court'] },
      ...both({ pain: ['heel-growth-plate'] }),
    },
    expects: [
      { feature: 'drop', best: [6, 11] },
      { feature: 'toeRoom', best: [12, 17] },
      { feature: 'forefootStiffness', best: [1, 2.5] },
      { feature: 'use', excludes: ['road-running', 'racing', 'trail'] },
      { feature: 'outsoleHardness', best: [1, 2.5] },
      { feature: 'heelStack', best: [10, 26] },
    ],
    source: 'James 2016 (from memory); handbook 04',
  },
  {
    name: '45, ward nurse on wet floors ten hours a day, pain under both heels',
    findings: {
      body: {
        ageYears: 45,
        activities: ['standing-work'],
        surfaces: ['wet-floor'],
        hoursStanding: 10,
        oldPairDrop: 0,
      },
      ...both({ pain: ['plantar-heel'], arch: 'medium', archMobility: 'flexible' }),
    },
    expects: [
      { feature: 'tread', within: ['slip-rated'] },
      { feature: 'heelCushioning', best: [3.25, 4.5] },
      { feature: 'drop', best: [4, 12] },
      { feature: 'archContour', best: [1.5, 2.5] },
      { feature: 'toeRoom', best: [11, 15] },
      { feature: 'category', excludes: ['minimal'] },
    ],
    source: 'Martin 2014, Cockayne 2021, Waters & Dick 2015 (from memory)',
  },
  {
    name: '81, two falls, feels nothing under the toes, swollen all day, 16 s to get up and go',
    findings: {
      body: {
        ageYears: 81,
        falls: 2,
        timedUpAndGo: 16,
        activities: ['everyday'],
        conditions: ['neuropathy'],
      },
      ...both({ sensation: 'lost', pulses: 'present', swelling: 'constant' }),
    },
    expects: [
      { feature: 'heelStack', best: [12, 26] },
      { feature: 'midsoleHardness', best: [3.25, 4.5] },
      { feature: 'toeRoom', limit: [10, 20] },
      { feature: 'closure', excludes: ['slip-on'] },
      { feature: 'category', excludes: ['maximal', 'minimal'] },
      { feature: 'opening', best: [2.5, 3] },
      { feature: 'heelBase', best: [84, 105] },
      { feature: 'tread', excludes: ['smooth', 'lugs'] },
    ],
    source: 'Menant 2008, Koepsell 2004, IWGDF 2023 (from memory)',
  },
  {
    name: '54, below-knee prosthesis left set for 9.5 mm, heel cord pain right',
    findings: {
      body: { ageYears: 54, activities: ['walking'], prosthesisSide: 'left', prosthesisSetRise: 9.5 },
      right: { pain: ['achilles-mid'], heelsLiftEarly: 'yes' },
    },
    expects: [
      { feature: 'drop', best: [9, 10.5] },
      { feature: 'heelLift', side: 'right', best: [2, 10] },
      { feature: 'heelLift', side: 'left', silent: true },
      { feature: 'heelKind', excludes: ['slender', 'platform'] },
      { feature: 'closure', excludes: ['slip-on'] },
    ],
    source: 'handbook 04, “Putting it together”; handbook 06',
  },
  {
    name: '33, runner, pain at the front of the knee and the hip, long slow steps',
    findings: {
      body: {
        ageYears: 33,
        bodyMass: 70,
        activities: ['road-running'],
        cadence: 78,
        oldPairDrop: 12,
        weeklyDistance: 30,
        oldPairSigns: ['new-aches'],
      },
      ...both({ pain: ['knee-front', 'hip'], heelsLiftEarly: 'no', strike: 'heel' }),
    },
    expects: [
      { feature: 'drop', best: [4, 8] },
      { feature: 'plate', within: ['none'] },
      { feature: 'forefootStiffness', best: [1, 3] },
      { feature: 'heelStack', best: [16, 34] },
    ],
    source: 'Bonacci 2014, Heiderscheit 2011 (from memory); handbook 04',
  },
  {
    name: '31, pregnant, on her feet in a shop, ankles swell in the day, low flexible arches',
    findings: {
      body: { ageYears: 31, activities: ['standing-work'], conditions: ['pregnancy'], hoursStanding: 7 },
      ...both({ swelling: 'changes', arch: 'low', archMobility: 'flexible', roll: 'in' }),
    },
    expects: [
      { feature: 'closure', excludes: ['slip-on', 'zip'] },
      { feature: 'width', best: [2.5, 4] },
      { feature: 'toeRoom', best: [12, 15] },
      { feature: 'removableInsole', within: ['yes'] },
      { feature: 'tread', excludes: ['smooth'] },
      { feature: 'drop', best: [0, 12] },
    ],
    source: 'Segal 2013 (from memory); handbook 04 and 06',
  },
  {
    name: '58, boat-builder, midfoot arthritis, big toe that bends 30°, protective shoes prescribed at work',
    findings: {
      body: { ageYears: 58, activities: ['protective-work', 'standing-work'], hoursStanding: 7 },
      ...both({ midfootArthritis: 'yes', pain: ['midfoot'], bigToeRange: 30 }),
    },
    expects: [
      { feature: 'toeProtection', within: ['safety'] },
      { feature: 'rocker', best: [2, 3] },
      { feature: 'forefootStiffness', best: [3.75, 5] },
      { feature: 'torsionalStiffness', best: [3.75, 5] },
      { feature: 'removableInsole', within: ['yes'] },
      { feature: 'drop', best: [4, 12] },
    ],
    source: 'Rao 2009, Menz 2016, Munteanu 2021 (from memory); handbook 04',
  },
];
