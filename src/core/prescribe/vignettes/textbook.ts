import type { FootFindings } from '../../picture/clinical-picture';
import type { Vignette } from './vignette';

const both = (foot: FootFindings) => ({ left: foot, right: foot });
const HANDBOOK = 'handbook 04, table of rules and schools';

/** Twenty textbook patients over every school, with what the named source would write down. */
export const TEXTBOOK: readonly Vignette[] = [
  // Shape-led.
  {
    name: 'shape-led: low, flexible arch that rolls in gets medial support and a firm rear',
    school: 'shape',
    findings: both({ arch: 'low', archMobility: 'flexible', roll: 'in' }),
    expects: [
      { feature: 'medialSupport', excludes: ['none'] },
      { feature: 'torsionalStiffness', best: [4, 5] },
      { feature: 'heelCounter', best: [4, 5] },
      { feature: 'category', within: ['stability', 'motion-control'] },
    ],
    source: HANDBOOK,
  },
  {
    name: 'shape-led: medium arch gets structured cushioning',
    school: 'shape',
    findings: both({ arch: 'medium' }),
    expects: [{ feature: 'category', within: ['structured', 'neutral'] }],
    source: HANDBOOK,
  },
  {
    name: 'shape-led: high arch that rolls out gets as much cushioning as there is, and no post',
    school: 'shape',
    findings: both({ arch: 'high', roll: 'out' }),
    expects: [
      { feature: 'heelCushioning', best: [4.25, 5] },
      { feature: 'medialSupport', excludes: ['post'] },
      { feature: 'archContour', best: [1, 2] },
    ],
    source: HANDBOOK,
  },
  {
    name: 'shape-led: a highly pronated foot is held by motion control',
    school: 'shape',
    findings: both({
      postureTalarHead: 2,
      postureMalleolarCurves: 2,
      postureHeel: 2,
      postureTalonavicular: 2,
      postureInnerArch: 2,
      postureForefoot: 1,
    }),
    expects: [
      { feature: 'medialSupport', excludes: ['none'] },
      { feature: 'category', within: ['stability', 'motion-control'] },
    ],
    source: 'Redmond 2006, Malisoux 2016 (from memory)',
  },
  {
    name: 'shape-led: a runner always gets some heel',
    school: 'shape',
    findings: { body: { activities: ['road-running'] } },
    expects: [{ feature: 'drop', best: [6, 12] }],
    source: HANDBOOK,
  },
  // Comfort-led.
  {
    name: 'comfort-led: a low arch that does not hurt is left alone',
    school: 'comfort',
    findings: both({ arch: 'low', archMobility: 'flexible', roll: 'in', pain: [] }),
    expects: [
      { feature: 'medialSupport', within: ['none'] },
      { feature: 'category', excludes: ['stability', 'motion-control'] },
    ],
    source: 'Nigg 2015, Relph 2022 (from memory)',
  },
  {
    name: 'comfort-led: the drop stays near what the body is used to',
    school: 'comfort',
    findings: { body: { oldPairDrop: 4, oldPairSigns: [] } },
    expects: [{ feature: 'drop', best: [2, 6] }],
    source: 'Nigg 2015 (from memory)',
  },
  {
    name: 'comfort-led: a foot that rolls out and sprains wants breadth, not height',
    school: 'comfort',
    findings: both({ roll: 'out', injuries: ['repeated-sprain'] }),
    expects: [
      { feature: 'heelBase', best: [86, 105] },
      { feature: 'medialSupport', excludes: ['post'] },
      { feature: 'archContour', best: [1, 2] },
      { feature: 'heelStack', best: [10, 28] },
      { feature: 'collarHeight', best: [1, 2] },
    ],
    source: 'handbook 04; Barrett 1993 (from memory)',
  },
  {
    name: 'comfort-led: pronated beginners run in neutral shoes',
    school: 'comfort',
    findings: {
      body: { activities: ['road-running'] },
      ...both({
        pain: [],
        postureTalarHead: 1,
        postureMalleolarCurves: 1,
        postureHeel: 1,
        postureTalonavicular: 1,
        postureInnerArch: 1,
        postureForefoot: 1,
      }),
    },
    expects: [
      { feature: 'medialSupport', within: ['none'] },
      { feature: 'category', excludes: ['motion-control'] },
    ],
    source: 'Nielsen 2014 (from memory)',
  },
  {
    name: 'comfort-led: safety limits hold as everywhere',
    school: 'comfort',
    findings: both({ sensation: 'lost', pulses: 'present' }),
    expects: [
      { feature: 'closure', excludes: ['slip-on'] },
      { feature: 'toeRoom', limit: [10, 20] },
      { feature: 'category', excludes: ['minimal'] },
    ],
    source: 'IWGDF 2023 (from memory)',
  },
  // Load-led.
  {
    name: 'load-led: a sore heel cord gets 10 mm and more, never flat, with a rocker',
    school: 'load',
    findings: both({ pain: ['achilles-mid'] }),
    expects: [
      { feature: 'drop', best: [10, 14] },
      { feature: 'rocker', best: [1.75, 3] },
      { feature: 'category', excludes: ['minimal'] },
    ],
    source: 'Rabusin 2021, Sobhani 2015 (from memory)',
  },
  {
    name: 'load-led: insertional pain spares the insertion from the counter',
    school: 'load',
    findings: both({ pain: ['achilles-insertion'] }),
    expects: [
      { feature: 'softCounterEdge', within: ['yes'] },
      { feature: 'drop', best: [10, 14] },
    ],
    source: 'Chimenti 2024 (from memory)',
  },
  {
    name: 'load-led: front-of-knee pain in a runner goes lower, flexible and without a plate',
    school: 'load',
    findings: {
      body: { activities: ['road-running'], weeklyDistance: 15 },
      ...both({ pain: ['knee-front'] }),
    },
    expects: [
      { feature: 'drop', best: [4, 8] },
      { feature: 'plate', within: ['none'] },
      { feature: 'forefootStiffness', best: [1, 3] },
    ],
    source: 'Bonacci 2014 (from memory)',
  },
  {
    name: 'load-led: a sore ball of the foot is rolled over and cushioned, with a pad behind it',
    school: 'load',
    findings: both({ pain: ['forefoot'] }),
    expects: [
      { feature: 'rocker', best: [2, 3] },
      { feature: 'rockerApex', best: [54, 61] },
      { feature: 'forefootCushioning', best: [4, 5] },
      { feature: 'metatarsalPad', side: 'left', within: ['yes'] },
    ],
    source: 'Van Schie 2000, Hsi 2005 (from memory)',
  },
  {
    name: 'load-led: heel pain is cushioned over a contour and never flat',
    school: 'load',
    findings: both({ pain: ['plantar-heel'], archMobility: 'flexible' }),
    expects: [
      { feature: 'heelCushioning', best: [3.75, 5] },
      { feature: 'archContour', best: [1.75, 2.5] },
      { feature: 'drop', best: [4, 12] },
    ],
    source: 'Martin 2014, Vicenzino 2015 (from memory)',
  },
  // Balanced: guideline statements and trials.
  {
    name: 'balanced: at risk with deformity: depth, width, no seam, held on, 10–20 mm in front',
    findings: both({ sensation: 'lost', pulses: 'absent', bunion: 'moderate', lesserToes: 'rigid' }),
    expects: [
      { feature: 'toeBoxDepth', best: [3, 3] },
      { feature: 'width', best: [3, 4] },
      { feature: 'seamFree', within: ['yes'] },
      { feature: 'toeRoom', limit: [10, 20] },
      { feature: 'toeBoxShape', excludes: ['tapered'] },
      { feature: 'closure', excludes: ['slip-on'] },
    ],
    source: 'IWGDF 2023 (from memory)',
  },
  {
    name: 'balanced: older and fallen: low, broad, firm, fastened, bevelled, not slippery',
    findings: { body: { ageYears: 78, falls: 2, activities: ['everyday'] } },
    expects: [
      { feature: 'heelStack', best: [10, 26] },
      { feature: 'heelHeight', best: [0, 25] },
      { feature: 'midsoleHardness', best: [3.25, 4.5] },
      { feature: 'closure', excludes: ['slip-on'] },
      { feature: 'tread', excludes: ['smooth', 'lugs'] },
      { feature: 'heelBevel', excludes: ['none'] },
      { feature: 'category', excludes: ['maximal'] },
    ],
    source: 'Menant 2008, Koepsell 2004, Tencer 2004 (from memory)',
  },
  {
    name: 'balanced: inner-side knee arthritis follows the pain trial, not the laboratory',
    findings: { body: { conditions: ['knee-arthritis-inner'] }, ...both({ pain: ['knee-inner'] }) },
    expects: [
      { feature: 'heelCounter', best: [4, 5] },
      { feature: 'torsionalStiffness', best: [3.5, 5] },
      { feature: 'drop', best: [0, 10] },
      { feature: 'medialSupport', excludes: ['post'] },
    ],
    source: 'Paterson 2021, Parkes 2013 (from memory)',
  },
  {
    name: 'balanced: a stiff big toe is rolled over or not bent',
    findings: both({ bigToeRange: 25, pain: ['big-toe'] }),
    expects: [
      { feature: 'forefootStiffness', best: [4, 5] },
      { feature: 'rocker', best: [2, 3] },
      { feature: 'insertKind', side: 'right', within: ['stiffener'] },
    ],
    source: 'Menz 2016, Munteanu 2021 (from memory)',
  },
  {
    name: 'balanced: a low, flexible arch in a child is not corrected',
    findings: { body: { ageYears: 8 }, ...both({ arch: 'low', archMobility: 'flexible', roll: 'in' }) },
    expects: [
      { feature: 'medialSupport', excludes: ['post', 'rail'] },
      { feature: 'insertKind', side: 'left', within: ['none'] },
      { feature: 'forefootStiffness', best: [1, 2] },
      { feature: 'toeRoom', best: [12, 17] },
    ],
    source: 'Wenger 1989 (from memory); handbook 04',
  },
];
