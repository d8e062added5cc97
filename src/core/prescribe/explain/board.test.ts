import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { BUILT_IN, resolve } from '../engine/resolve';
import { boardOf, wayOf } from './board';

const picture = clinicalPicture({
  body: { ageYears: 72, activities: ['walking'] },
  left: { pain: ['achilles-mid'], sensation: 'lost' },
  right: { pain: [], sensation: 'felt' },
});
const specification = resolve(picture);
const board = boardOf(specification, picture, BUILT_IN);
const row = (finding: string) => board.rows.findIndex((entry) => entry.finding === finding);
const column = (feature: string) => board.columns.findIndex(({ target }) => target.feature === feature);

describe('the board', () => {
  it('puts every push in one cell, under the finding that made its rule speak', () => {
    const placed = board.cells.flat(2);
    const pushed = board.columns.flatMap(({ target }) => target.pushes);
    expect(placed).toHaveLength(pushed.length);
    expect(new Set(placed)).toEqual(new Set(pushed));
    expect(board.cells[row('pain')]![column('drop')]!.map((push) => push.rule)).toContain('achilles-pain');
    expect(board.cells[row('ageYears')]![column('heelStack')]!.map((push) => push.rule)).toContain(
      'older-or-falls',
    );
  });

  it('says what was found and on which side, in the order of work', () => {
    expect(board.rows[row('pain')]).toEqual({
      finding: 'pain',
      sides: ['left'],
      says: 'heel cord, mid-portion',
    });
    expect(row('ageYears')).toBeLessThan(row('pain'));
    expect(board.rows[row('sensation')]?.says ?? board.rows[row('atRiskCategory')]?.says).toBeTruthy();
  });

  it('keeps in sight what was set aside, though nothing else asks for the feature', () => {
    const court = clinicalPicture({ body: { activities: ['court'] } });
    const aside = [
      { rule: 'task-court-outdoors', feature: 'outsoleHardness' as const, reason: 'plays on carpet' },
    ];
    const kept = boardOf(resolve(court, { setAside: aside }), court, BUILT_IN);
    expect(kept.columns.map(({ target }) => target.feature)).toContain('outsoleHardness');
  });

  it('limits stand first in their cell', () => {
    for (const cell of board.cells.flat())
      for (const [at, push] of cell.entries())
        if (push.strength === 'limit')
          expect(cell.slice(0, at).every((before) => before.strength === 'limit')).toBe(true);
  });

  it('points up or down from a usual shoe, toward or away from options', () => {
    expect(wayOf('drop', { band: { from: 10, to: 14 }, reach: 8 })).toBe('up');
    expect(wayOf('drop', { band: { from: 0, to: 4 }, reach: 8 })).toBe('down');
    expect(wayOf('drop', { band: { from: 4, to: 12 }, reach: 8 })).toBe('holds');
    expect(wayOf('closure', { prefer: ['dial'] })).toBe('toward');
    expect(wayOf('closure', { prefer: ['laces', 'dial'] })).toBe('holds');
    expect(wayOf('closure', { avoid: ['slip-on'] })).toBe('away');
    expect(wayOf('heelKind', { worth: { wedge: 1, flat: 0.4 } })).toBe('toward');
    expect(
      wayOf('heelHeight', {
        curve: [
          [0, 0.4],
          [40, 1],
          [110, 0],
        ],
      }),
    ).toBe('up');
  });
});
