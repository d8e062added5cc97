import fc from 'fast-check';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { definitionOf, FINDINGS, type FindingId, isFindingId } from '../findings/findings';
import { type FootFindings, NOT_EXAMINED } from '../findings/picture';
import { keysOf } from '../tables/keys-of';
import { BANDS, type BandScale, bandOf } from './bands';
import { clinicalPicture } from './clinical-picture';
import { archIndex } from './footprint/arch-index';
import { centileOf, normalShare } from './measures/centile';
import { growthRate, usualGrowth } from './measures/growth';
import { archFlexibility, archHeightIndex, footMobility } from './posture/arch-height';
import { hypermobilityCut, readHypermobility } from './posture/hypermobility';
import { degreesPerCentimetre } from './posture/lunge';
import { postureTotal } from './posture/six-items';
import { REAL_DIFFERENCE, readDifference, smallestDetectableChange } from './real-difference';
import { protectiveSensation } from './sensation';
import { EXAMINATION_SOURCES, markInWords } from './sources';

/** Bands of the reference, on both sides of each boundary. Source and trust stand in the scale itself. */
const EXPECTED: [FindingId, [value: number, label: string][]][] = [
  // Cavanagh & Rodgers 1987, from memory (95 %; boundary convention 85 %).
  [
    'archIndex',
    [
      [0.21, 'high arch'],
      [0.2101, 'medium arch'],
      [0.2599, 'medium arch'],
      [0.26, 'low arch'],
    ],
  ],
  // Forriol & Pascual 1990, from memory (85 %).
  [
    'chippauxSmirak',
    [
      [0, 'interrupted print'],
      [0.1, 'normal'],
      [29.9, 'normal'],
      [30, 'intermediate'],
      [36.4, 'intermediate'],
      [40, 'lowered'],
      [44.9, 'lowered'],
      [45, 'flat'],
    ],
  ],
  // Lavery 2004 and 2007, Diabetes Care; Armstrong 2007, Am J Med, from memory (85 %).
  [
    'temperatureExcess',
    [
      [2.2, 'within the usual'],
      [2.21, 'past the line for an at-risk foot'],
    ],
  ],
  // Staheli 1987, from memory, check (80 %).
  [
    'staheli',
    [
      [0.29, 'below the usual range'],
      [0.3, 'in the usual range'],
      [0.68, 'in the usual range'],
      [1, 'in the usual range'],
      [1.01, 'above the usual range'],
    ],
  ],
  // Forriol & Pascual 1990, from memory, check (80 %).
  [
    'clarkeAngle',
    [
      [29.9, 'flat'],
      [30, 'lowered'],
      [35, 'intermediate'],
      [38.2, 'intermediate'],
      [42, 'normal'],
    ],
  ],
  // Butler 2008 mean ± 1.5 SD, from memory (85 %).
  [
    'archHeightIndex',
    [
      [0.295, 'low arch'],
      [0.34, 'medium arch'],
      [0.385, 'high arch'],
    ],
  ],
  // Brody 1982, from memory (88 %).
  [
    'navicularDrop',
    [
      [8, 'usual'],
      [10, 'commonly called large'],
      [15, 'commonly called large'],
      [15.5, 'abnormal in the first description'],
    ],
  ],
  // Redmond 2006, from memory (95 %).
  [
    'postureTotal',
    [
      [-12, 'highly supinated'],
      [-5, 'highly supinated'],
      [-4, 'supinated'],
      [-1, 'supinated'],
      [0, 'normal'],
      [5, 'normal'],
      [6, 'pronated'],
      [9, 'pronated'],
      [10, 'highly pronated'],
      [12, 'highly pronated'],
    ],
  ],
  // Bennell 1998, Powden 2015 and common practice, from memory, check (60 %).
  [
    'lungeDistance',
    [
      [8.5, 'commonly flagged'],
      [9.5, 'borderline'],
      [10.5, 'not flagged'],
    ],
  ],
  [
    'lungeAngle',
    [
      [34, 'commonly flagged'],
      [36.9, 'borderline'],
      [45, 'not flagged'],
    ],
  ],
  // Coughlin & Shurnas 2003, from memory (88 %; boundaries ours).
  [
    'bigToeRange',
    [
      [10, 'grade 3 by range'],
      [30, 'grade 2 by range'],
      [35, 'grade 1 by range'],
      [40, 'grade 0 by range'],
    ],
  ],
  // STEADI 12 s, Shumway-Cook 13.5 s, World guidelines 15 s, from memory (95, 95, 80 %).
  [
    'timedUpAndGo',
    [
      [11.9, 'under every cut'],
      [13, 'at risk by one cut (12 s)'],
      [13.5, 'at risk by two cuts (12 and 13.5 s)'],
      [15.1, 'at risk by all cuts (12, 13.5 and 15 s)'],
    ],
  ],
  [
    'chairStands',
    [
      [11.9, 'under the cut'],
      [12, 'slow: at risk by one cut (12 s)'],
    ],
  ],
  [
    'singleLegStance',
    [
      [4.9, 'under 5 s'],
      [5, '5 s or more'],
    ],
  ],
  // Song 1996 with cohort fifths, from memory, check (65 %).
  [
    'excursionIndex',
    [
      [7.3, 'inner fifth of one cohort'],
      [12.6, 'middle of that cohort'],
      [21, 'middle of that cohort'],
      [21.1, 'outer fifth of that cohort'],
    ],
  ],
];

const SCALES: BandScale[] = Object.values(BANDS).filter((scale) => scale !== null);

describe('bands', () => {
  it.each(EXPECTED)('%s falls into the published bands on both sides of each boundary', (id, rows) => {
    for (const [value, label] of rows) expect(bandOf(id, value, 40)?.label, `${value}`).toBe(label);
  });

  it('covers every scale, and each names its boundary rule and its source', () => {
    expect(new Set(EXPECTED.map(([id]) => id))).toEqual(
      new Set(keysOf(BANDS).filter((id) => BANDS[id] !== null)),
    );
    for (const scale of SCALES) {
      expect(scale.boundary.length).toBeGreaterThan(8);
      for (const mark of [scale.mark, ...(scale.also ?? [])])
        expect(markInWords(mark)).toMatch(/from memory|common practice/);
    }
  });

  it('no band forecasts an injury, and none exists for a heel angle', () => {
    for (const scale of SCALES)
      for (const cut of scale.cuts) expect(cut.label).not.toMatch(/injur|over-?pronat/i);
    expect(bandOf('heelAngleRun', 14, 30)).toBeNull();
  });

  it('says when the band was made on older people, or the age is unknown', () => {
    expect(bandOf('archIndex', 0.3, 5)?.misfit).toContain('does not fit at 5');
    expect(bandOf('archIndex', 0.3, null)?.misfit).toContain('not known');
    expect(bandOf('archIndex', 0.3, 30)?.misfit).toBeNull();
  });

  it('rests on nothing recalled with less than 60 %', () => {
    for (const source of Object.values(EXAMINATION_SOURCES)) expect(source.recall).toBeGreaterThanOrEqual(60);
  });
});

describe('worked examples of the reference', () => {
  it('areas 45, 30, 55 make an arch index of 0.231: medium', () => {
    expect(archIndex({ rear: 45, mid: 30, fore: 55 })).toBeCloseTo(0.231, 3);
  });

  it('dorsum 62 and 66 mm over 185 mm: 0.335 and 0.357; 4 mm under 70 kg are 14.6 mm/kN', () => {
    expect(archHeightIndex(62, 185)).toBeCloseTo(0.335, 3);
    expect(archHeightIndex(66, 185)).toBeCloseTo(0.357, 3);
    expect(archFlexibility(66, 62, 70)).toBeCloseTo(14.6, 1);
  });

  it('a fall of 12 and a spread of 9 mm are a mobility of 15; a foot that rises under load is measured again', () => {
    expect(footMobility({ dorsumFallMm: 12, spreadMm: 9 })).toBe(15);
    expect(footMobility({ dorsumFallMm: -4, spreadMm: 9 })).toBeNull();
  });

  it('a lunge of 10 cm with a 40 cm shank is 36.9°; one more centimetre is about 1.8°, not 3.6°', () => {
    // Reference, section 9: ankle to toe 19 cm, kneecap 5 cm in front of the knee.
    const angle = (distanceCm: number) => (Math.asin((distanceCm + 19 - 5) / 40) * 180) / Math.PI;
    expect(angle(10)).toBeCloseTo(36.9, 1);
    expect(degreesPerCentimetre(38, 40)).toBeCloseTo(1.82, 2);
    expect((angle(10.01) - angle(10)) / 0.01).toBeCloseTo(degreesPerCentimetre(angle(10), 40), 2);
  });

  it('the warmest site that both feet have says how much warmer a foot is; one foot alone says nothing', () => {
    const feet = clinicalPicture({
      left: { temperatureHeel: 31.5, temperatureMidfoot: 33.3, temperatureBigToe: 29 },
      right: { temperatureHeel: 31, temperatureMidfoot: 31 },
    });
    expect([feet.left.temperatureExcess, feet.right.temperatureExcess]).toEqual([2.3, -0.5]);
    expect(clinicalPicture({ left: { temperatureHeel: 31 } }).left.temperatureExcess).toBe(NOT_EXAMINED);
  });

  it('+1 +1 +1 0 +1 +1 is +5; a missing item leaves the total unknown', () => {
    expect(postureTotal([1, 1, 1, 0, 1, 1])).toBe(5);
    expect(postureTotal([1, 1, 1, null, 1, 1])).toBeNull();
  });

  it('a navicular SEM of 2.7 mm is a smallest change of 7.5 mm; a lunge side difference of 2.0 cm passes 1.9', () => {
    expect(smallestDetectableChange(2.7)).toBeCloseTo(7.5, 1);
    expect(REAL_DIFFERENCE.navicularDrop!.least).toBeCloseTo(7.5, 1);
    expect(readDifference('navicularDrop', 4)).toBe('within error');
    expect(readDifference('lungeDistance', 10.5 - 8.5)).toBe('beyond error');
    expect(readDifference('figureOfEight', 528 - 512)).toBe('beyond error');
    expect(readDifference('figureOfEight', 523 - 528)).toBe('within error');
    expect(readDifference('heelRises', 9)).toBe('error unknown');
  });

  it('the least real difference itself is real, whichever way it goes; a hair less is not', () => {
    for (const [id, real] of Object.entries(REAL_DIFFERENCE)) {
      if (!real || !isFindingId(id)) continue;
      for (const sign of [1, -1]) {
        expect(readDifference(id, sign * real.least)).toBe('beyond error');
        expect(readDifference(id, sign * (real.least - 0.001))).toBe('within error');
      }
    }
  });

  it('a man’s foot of 280 mm is z 0.69, about the 75th centile of the survey', () => {
    const centile = centileOf('footLength', 280, 'men', 40)!;
    expect(centile.z).toBeCloseTo(0.69, 2);
    expect(centile.centile).toBeCloseTo(75.4, 0);
    expect(centileOf('footLength', 280, 'men', 12)).toBeNull();
    expect(centileOf('instepGirth', 258, 'men', 40)).toBeNull();
    expect(centileOf('footLength', 280, null, 40)).toBeNull();
  });

  it('the normal distribution agrees with a general-purpose library', () => {
    for (const z of [-3, -1.2, 0, 0.69, 2.4])
      expect(normalShare(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 2);
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), (z) => {
        expect(normalShare(z) + normalShare(-z)).toBeCloseTo(1, 6);
      }),
    );
  });

  it('a child’s foot of 172, 177, 182 mm at half-year steps grows 10 mm a year, as it should at 7', () => {
    const lengths = [
      { on: '2029-01-01', mm: 172 },
      { on: '2029-07-02', mm: 177 },
      { on: '2030-01-01', mm: 182 },
    ];
    expect(growthRate(lengths)).toBeCloseTo(10, 1);
    expect(usualGrowth(7)).toEqual([8, 10]);
    expect(usualGrowth(30)).toBeNull();
    expect(growthRate(lengths.slice(0, 1))).toBeNull();
    expect(growthRate([lengths[0]!, { on: '2029-01-20', mm: 173 }])).toBeNull();
  });

  it('five signs of nine at 30 years reach the cut; at 12 six are needed, over 50 four', () => {
    expect([12, 30, 60].map(hypermobilityCut)).toEqual([6, 5, 4]);
    expect(readHypermobility(5, 30)).toContain('at or over');
    expect(readHypermobility(5, 12)).toContain('under');
    expect(readHypermobility(5, null)).toContain('not known');
  });

  it('a filament site with 1 of 3 is lost; two sites alone leave the foot unknown (IWGDF, from memory)', () => {
    expect(protectiveSensation([2, 3, 1])).toBe('lost');
    expect(protectiveSensation([2, 2, 3])).toBe('felt');
    expect(protectiveSensation([3, 3, null])).toBeNull();
    expect(protectiveSensation([null, null, 0])).toBe('lost');
  });
});

describe('what follows from other findings', () => {
  const left = (foot: FootFindings, ageYears: number | undefined = 40) =>
    clinicalPicture({ body: { ageYears, bodyMass: 70 }, left: foot }).left;

  it('derives indices, and nothing where a part is missing', () => {
    const foot = left({
      dorsumHeight: 62,
      dorsumHeightSeated: 66,
      heelBallLength: 185,
      navicularStart: 45,
      navicularRelaxed: 37,
    });
    expect(foot.archHeightIndex).toBeCloseTo(0.335, 3);
    expect(foot.archFlexibility).toBeCloseTo(14.6, 1);
    expect(foot.navicularDrop).toBe(8);
    expect(foot.footMobility).toBe(NOT_EXAMINED);
    expect(foot.postureTotal).toBe(NOT_EXAMINED);
    expect(left({ pittingDepth: 5, pittingSeconds: 20 }).pittingGrade).toBe(3);
  });

  it('takes the arch from a measured index only where nobody judged it, and only in adults', () => {
    expect(left({ archIndex: 0.28 }).arch).toBe('low');
    expect(left({ archIndex: 0.28, arch: 'high' }).arch).toBe('high');
    expect(left({ archIndex: 0.28 }, 7).arch).toBe(NOT_EXAMINED);
    expect(left({ dorsumHeight: 75, heelBallLength: 185 }).arch).toBe('high');
    expect(left({}).arch).toBe(NOT_EXAMINED);
  });

  it('takes sensation from its sites, and the at-risk category from it', () => {
    const foot = left({ monofilamentBigToe: 1, pulses: 'present' });
    expect(foot.sensation).toBe('lost');
    expect(foot.atRiskCategory).toBe(1);
    expect(left({ monofilamentBigToe: 3, pulses: 'present' }).atRiskCategory).toBe(NOT_EXAMINED);
  });

  it('a lost site outweighs “felt at every site”: nothing said of the foot hides it', () => {
    expect(left({ sensation: 'felt', monofilamentFifthHead: 0, pulses: 'present' })).toMatchObject({
      sensation: 'lost',
      atRiskCategory: 1,
    });
    const felt = { monofilamentBigToe: 3, monofilamentFirstHead: 3, monofilamentFifthHead: 2 };
    expect(left({ sensation: 'lost', ...felt }).sensation).toBe('lost');
  });

  it('mirrors: what holds for the left holds for the right', () => {
    const foot: FootFindings = {
      archIndex: 0.2,
      dorsumHeight: 60,
      heelBallLength: 180,
      monofilamentFifthHead: 0,
    };
    const one = clinicalPicture({ body: { ageYears: 40 }, left: foot });
    const other = clinicalPicture({ body: { ageYears: 40 }, right: foot });
    expect(other.right).toEqual(one.left);
    expect(other.left).toEqual(one.right);
  });

  it('never types in a derived finding: none belongs to a step', () => {
    for (const id of ['postureTotal', 'navicularDrop', 'archHeightIndex', 'footMobility'] as const)
      expect(definitionOf(id).step).toBeNull();
    expect(Object.keys(FINDINGS).length).toBeGreaterThan(110);
  });
});
