import { describe, expect, it } from 'vitest';
import { definitionOf, FINDING_IDS } from '../findings/findings';
import { carriedKeys, carriedOver, examinedAt, injuriesOf, numbersOf, swellingOf } from './earlier-visit';

const taken = { at: '2030-01-01T09:00:00Z', by: 'Somebody', with: 'hand' } as const;

describe('what an earlier visit hands on', () => {
  it('history holds until somebody says otherwise; what was measured or felt that day does not', () => {
    const findings = {
      body: { conditions: ['diabetes' as const], falls: 2, legLengthDifference: 9 },
      left: { injuries: ['foot-ulcer' as const], footLength: 262, pain: ['calf' as const] },
      taken: { 'left.footLength': taken },
    };
    expect(carriedOver(findings)).toEqual({
      body: { conditions: ['diabetes'], legLengthDifference: 9 },
      left: { injuries: ['foot-ulcer'] },
      right: {},
    });
  });

  it('no measurement of a foot and no pain carries over', () => {
    const measured = FINDING_IDS.filter((id) => definitionOf(id).carries).map((id) => definitionOf(id));
    expect(measured.length).toBeGreaterThan(8);
    // What follows from the pairs that are named in the history has no field of its own.
    for (const { step, label } of measured) expect(['ask', 'feet', null], label).toContain(step);
    for (const id of ['pain', 'worstPain', 'footLength', 'swelling', 'sensation'] as const)
      expect(definitionOf(id).carries, id).toBe(false);
  });

  it('a review without findings hands on nothing', () => {
    expect(examinedAt({ 'try-on': {} })).toBeNull();
    expect(examinedAt({ feet: { findings: { left: { arch: 'low' } } } })).toMatchObject({
      left: { arch: 'low' },
    });
  });

  it('what is carried is marked as such only where this visit did not examine it itself', () => {
    const carried = { body: { conditions: ['gout' as const] }, left: { insert: 'insole' as const } };
    expect([...carriedKeys(carried, {})]).toEqual(['body.conditions', 'left.insert']);
    const own = { ask: { findings: { body: { conditions: [] } } } };
    expect([...carriedKeys(carried, own)]).toEqual(['left.insert']);
  });

  it('only numbers are laid beside today’s', () => {
    expect(numbersOf({ body: { falls: 1, reach: 'no' }, left: { arch: 'low', footLength: 255 } })).toEqual({
      body: { falls: 1 },
      left: { footLength: 255 },
      right: {},
    });
  });

  it('injuries come from the drawing, swelling from the tape', () => {
    const injury = {
      id: 'i',
      layer: 'injury',
      side: 'left',
      view: 'outer',
      site: 'ankle-outer',
      x: 1,
      y: 2,
    } as const;
    const ache = { ...injury, id: 'a', layer: 'ache' } as const;
    const swelling = [{ at: '2030-01-01T09:00', left: { calfGirth: 360 } }];
    expect(injuriesOf({ ask: { findings: {}, marks: [ache, injury] } })).toEqual([injury]);
    expect(injuriesOf({})).toEqual([]);
    expect(swellingOf({ feet: { findings: {}, swelling } })).toEqual(swelling);
    expect(swellingOf({})).toEqual([]);
  });
});
