import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { deriveFindings } from '../../examination/derive';
import { FINDING_IDS } from '../../findings/findings';
import { enteredPicture, withoutFinding } from '../../findings/picture';
import { resolve } from '../engine/resolve';
import { costInWords, costsOfUnknown } from './cost-of-unknown';

describe('what leaving a finding out costs', () => {
  it('an untested sensation costs limits, and the sentence names them', () => {
    const costs = costsOfUnknown(resolve(clinicalPicture()), clinicalPicture());
    const sensation = costs.find((cost) => cost.finding === 'sensation')!;
    expect(sensation.sides).toEqual(['left', 'right']);
    expect(sensation.limits).toContain('closure');
    expect(costInWords(sensation)).toMatch(/^10 g monofilament, both: no limit on .*closure/);
  });

  it('a tested sensation costs nothing any more; on one side only the other is still open', () => {
    const felt = { sensation: 'felt', pulses: 'present', injuries: [] } as const;
    const cost = (picture: ReturnType<typeof clinicalPicture>) =>
      costsOfUnknown(resolve(picture), picture).find((entry) => entry.finding === 'sensation');
    const foot = { ...felt, injuries: [] };
    expect(cost(clinicalPicture({ left: foot, right: foot }))).toBeUndefined();
    expect(cost(clinicalPicture({ left: foot }))?.sides).toEqual(['right']);
  });

  it('what is derived stands for the examinations that are missing', () => {
    const picture = clinicalPicture({
      left: { sensation: 'felt' },
      right: { sensation: 'felt', pulses: 'present' },
    });
    const costs = costsOfUnknown(resolve(picture), picture);
    expect(costs.map((cost) => cost.finding)).not.toContain('atRiskCategory');
    expect(costs.find((cost) => cost.finding === 'pulses')?.sides).toEqual(['left']);
    expect(costs.map((cost) => cost.weight)).toEqual(
      costs.map((cost) => cost.weight).toSorted((a, b) => b - a),
    );
  });

  it('every finding can be left out: the specification still resolves and its cost is said or nothing', () => {
    const full = enteredPicture({
      body: {
        ageYears: 70,
        activities: ['walking'],
        conditions: ['diabetes'],
        falls: 1,
        reach: 'effort',
        hands: 'pull',
      },
      left: {
        footLength: 262,
        sensation: 'lost',
        pulses: 'present',
        arch: 'low',
        archMobility: 'rigid',
        swelling: 'changes',
      },
      right: {
        footLength: 260,
        sensation: 'lost',
        pulses: 'present',
        arch: 'low',
        archMobility: 'rigid',
        swelling: 'none',
      },
    });
    for (const id of FINDING_IDS) {
      const picture = deriveFindings(withoutFinding(full, id));
      const costs = costsOfUnknown(resolve(picture), picture);
      for (const cost of costs) {
        expect(cost.features.length).toBeGreaterThan(0);
        expect(costInWords(cost)).toMatch(/: no (limit|push) on /);
      }
    }
  });
});
