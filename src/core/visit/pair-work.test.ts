import { visitRecord } from '@tests/fixtures/visit-record';
import { describe, expect, it } from 'vitest';
import type { VisitContents } from './contents';
import { checkContent } from './contents';
import { issuedFor, pairsLeft } from './examined';
import { choicesOf, isPairStep, PAIR_STEPS, turnToPair } from './pair-work';
import { readVisit } from './read-visit';

const lifterWhoRuns: VisitContents = {
  ask: {
    findings: { body: { activities: ['road-running', 'lifting-upright'], surfaces: ['road', 'gym-floor'] } },
  },
};
const model = '4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c22';
const read = (contents: VisitContents, record = visitRecord()) => readVisit(record, contents, undefined);

describe('a visit that asks for several pairs', () => {
  it('reads the first until another is picked; each has its own purposes, grounds and shoe', () => {
    const running = read(lifterWhoRuns);
    expect(running.pairs.map(({ id }) => id)).toEqual(['road-running', 'lifting-upright']);
    expect(running.pair?.id).toBe('road-running');
    expect(running.picture.body.surfaces).toEqual(['road']);
    const lifting = read({ ...lifterWhoRuns, reason: { pair: 'lifting-upright' } });
    expect(lifting.picture.body.activities).toEqual(['lifting-upright']);
    expect(lifting.picture.body.surfaces).toEqual(['gym-floor']);
    expect(lifting.whole.body?.activities).toEqual(['road-running', 'lifting-upright']);
    const use = (of: typeof lifting) =>
      of.specification.targets.find(({ feature }) => feature === 'use')!.best;
    expect([use(running), use(lifting)]).toEqual(['road-running', 'lifting']);
    expect([running, lifting].flatMap(({ specification }) => specification.deadlocks)).toEqual([]);
  });

  it('turning parks what was done for one pair and brings back the other as it was left', () => {
    const begun: VisitContents = {
      ...lifterWhoRuns,
      reason: { school: 'load', setAside: [{ rule: 'r', feature: 'drop', reason: 'her own word' }] },
      candidates: { chosen: [model] },
      'try-on': { tryOns: [{ model, verdict: 'chosen' }] },
      'hand-over': { weeklyKm: 20 },
    };
    const lifting = { ...begun, ...turnToPair(begun, 'road-running', 'lifting-upright') };
    expect(lifting.reason).toMatchObject({ pair: 'lifting-upright', school: 'load' });
    expect(choicesOf(lifting)).toEqual({ school: 'load' });
    expect(lifting.candidates?.chosen).toBeUndefined();
    expect(lifting['try-on']?.tryOns).toBeUndefined();
    const back = { ...lifting, ...turnToPair(lifting, 'lifting-upright', 'road-running') };
    expect(choicesOf(back)).toEqual(begun.reason);
    expect(back.candidates?.chosen).toEqual([model]);
    expect(back['try-on']?.tryOns).toEqual(begun['try-on']!.tryOns);
    expect(back['hand-over']?.weeklyKm).toBe(20);
    for (const step of PAIR_STEPS) expect(checkContent(step, back[step]).success).toBe(true);
  });

  it('what was issued for one pair stands for that pair only, and is not issued twice', () => {
    const { specification, pairs } = read(lifterWhoRuns);
    const record = visitRecord({
      issued: [{ id: 'i', purpose: 'road-running', specification, rules: null, sheet: null, order: null }],
    });
    expect(read(lifterWhoRuns, record).blocks.map(({ code }) => code)).toEqual(['issued-already']);
    const lifting = read({ ...lifterWhoRuns, reason: { pair: 'lifting-upright' } }, record);
    expect(lifting.issued).toBeNull();
    expect(lifting.blocks.map(({ code }) => code)).not.toContain('issued-already');
    expect(pairsLeft(pairs, record.issued).map(({ id }) => id)).toEqual(['lifting-upright']);
    // A visit that asked for one pair names no purpose.
    expect(issuedFor([{ purpose: null, specification, rules: null }], null)).not.toBeNull();
  });

  it('only reasons, candidates, fitting and hand-over belong to a pair', () => {
    expect(['ask', 'feet', 'warnings', ...PAIR_STEPS].filter(isPairStep)).toEqual([...PAIR_STEPS]);
  });
});
