import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import type { FindingId } from '../../findings/findings';
import { above, all, any, atLeast, atMost, below, type Condition, has, is, not } from '../../knowledge/rule';
import { directionOf, firmnessWord, movedInWords, targetInWords, wantInWords } from '../explain/in-words';
import { degreeOf, evaluate, type ThreeValued } from './evaluate';
import { resolve } from './resolve';
import { utilityAt } from './utility';

const picture = clinicalPicture({
  body: { ageYears: 70, activities: ['trail'] },
  left: { arch: 'low', pain: [] },
});
const ask = (condition: Condition, side: 'left' | 'right' = 'left') => evaluate(condition, picture, side);
const YES = is('arch', 'low');
const NO = is('arch', 'high');
const UNKNOWN = is('bunion', 'mild');

describe('conditions with three answers', () => {
  it('reads choices, sets and numbers', () => {
    expect(ask(is('arch', ['low', 'medium']))).toBe('yes');
    expect(ask(has('activities', ['trail', 'court']))).toBe('yes');
    expect(ask(has('pain', 'shin'))).toBe('no');
    expect(
      [atLeast('ageYears', 70), above('ageYears', 70), atMost('ageYears', 70), below('ageYears', 70)].map(
        (entry) => ask(entry),
      ),
    ).toEqual(['yes', 'no', 'yes', 'no']);
  });

  it('asks each foot for itself, and the body the same from either side', () => {
    expect(ask(YES, 'right')).toBe('unknown');
    expect(ask(atLeast('ageYears', 65), 'right')).toBe('yes');
  });

  it.each([
    [all(YES, UNKNOWN), 'unknown'],
    [all(NO, UNKNOWN), 'no'],
    [any(YES, UNKNOWN), 'yes'],
    [any(NO, UNKNOWN), 'unknown'],
    [not(UNKNOWN), 'unknown'],
    [not(NO), 'yes'],
    [all(), 'yes'],
    [any(), 'no'],
  ] as [Condition, ThreeValued][])('%j is %s (Kleene)', (condition, answer) => {
    expect(ask(condition)).toBe(answer);
  });

  it('a cut-off of ours comes in over its width; the least of all, the greatest of any, the rest of a not', () => {
    const degree = (condition: Condition) => degreeOf(condition, picture, 'left');
    const from = (at: number, over = 10) => atLeast('ageYears', { at, over });
    // 70 years: half-way at 70, in full from 65 on, not at all from 75 on.
    expect([64, 65, 67.5, 70, 72.5, 75, 76].map((at) => degree(from(at)))).toEqual([
      1, 1, 0.75, 0.5, 0.25, 0, 0,
    ]);
    expect(degree(below('ageYears', { at: 72.5, over: 10 }))).toBe(0.75);
    expect(degree(not(from(72.5)))).toBe(0.75);
    expect(degree(all(YES, from(70), from(72.5)))).toBe(0.25);
    expect(degree(any(NO, from(70), from(72.5)))).toBe(0.5);
    // Half of an answer is a yes already; what is unknown stays so unless something has begun to hold.
    expect(ask(from(72.5))).toBe('yes');
    expect(degree(all(from(70), UNKNOWN))).toBeNull();
    expect(degree(any(from(70), UNKNOWN))).toBe(0.5);
    // A published one comes in at once.
    expect([69, 70, 71].map((at) => degree(atLeast('ageYears', at)))).toEqual([1, 1, 0]);
  });

  it('names only the findings that could still settle it', () => {
    const missing = new Set<FindingId>();
    evaluate(any(all(NO, UNKNOWN), all(YES, is('toeShape', 'square'))), picture, 'left', missing);
    expect([...missing]).toEqual(expect.arrayContaining(['toeShape']));
    const settled = new Set<FindingId>();
    evaluate(any(YES, UNKNOWN), picture, 'left', settled);
    expect(settled.size).toBe(0);
  });

  it('knowing more never turns a yes into a no', () => {
    const leaf = fc.constantFrom<Condition>(YES, NO, UNKNOWN, is('toeShape', 'square'), has('pain', 'shin'));
    const tree = fc.letrec<{ node: Condition }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 3 },
        leaf,
        fc.array(tie('node'), { maxLength: 3 }).map((parts) => all(...parts)),
        fc.array(tie('node'), { maxLength: 3 }).map((parts) => any(...parts)),
        tie('node').map(not),
      ),
    })).node;
    const more = clinicalPicture({
      body: { ageYears: 70, activities: ['trail'] },
      left: { arch: 'low', pain: [], bunion: 'mild', toeShape: 'pointed' },
    });
    fc.assert(
      fc.property(tree, (condition) => {
        const before = evaluate(condition, picture, 'left');
        if (before !== 'unknown') expect(evaluate(condition, more, 'left')).toBe(before);
      }),
    );
  });
});

describe('utility of a want', () => {
  const want = { band: { from: 10, to: 14 }, reach: 8 };
  it('is full inside the band, falls with the square of the distance, and is nothing beyond reach', () => {
    expect([10, 12, 14].map((value) => utilityAt(want, value))).toEqual([1, 1, 1]);
    expect(utilityAt(want, 6)).toBeCloseTo(1 - (4 / 8) ** 2, 9);
    expect(utilityAt(want, 2)).toBe(0);
    expect(utilityAt(want, 25)).toBe(0);
  });
  it('of options is all or nothing', () => {
    expect(utilityAt({ prefer: ['laces'] }, 'laces')).toBe(1);
    expect(utilityAt({ prefer: ['laces'] }, 'zip')).toBe(0);
    expect(utilityAt({ avoid: ['zip'] }, 'zip')).toBe(0);
  });
});

describe('in words', () => {
  const specification = resolve(
    clinicalPicture({
      body: { activities: ['court'] },
      left: { pain: ['achilles-mid'], bunion: 'moderate', lesserToes: 'rigid' },
    }),
  );
  const target = (feature: string) => specification.targets.find((entry) => entry.feature === feature)!;

  it('a band that reaches the end of its axis is “at least” or “up to”', () => {
    expect(targetInWords(target('toeBoxDepth'))).toBe('deep');
    expect(targetInWords(target('heelStack'))).toMatch(/^up to 2\d.mm$/);
    expect(targetInWords(target('outsoleHardness'))).toBe('at least hard');
    expect(targetInWords(target('toeBoxShape'))).toBe('square or anatomic');
  });

  it('a want says what it asks for', () => {
    expect(wantInWords('drop', { band: { from: 10, to: 100 }, reach: 8 })).toBe('at least 10\u2009mm');
    expect(wantInWords('drop', { band: { from: 9.5, to: 9.5 }, reach: 5 })).toBe('9.5\u2009mm');
    expect(wantInWords('closure', { avoid: ['slip-on', 'zip'] })).toBe('not slip-on or zip');
    expect(wantInWords('heelCounter', { band: { from: 4, to: 5 }, reach: 2 })).toBe('at least firm');
  });

  it('a limit excludes, a pull moves, an agreeing push holds', () => {
    const shape = target('toeBoxShape');
    const limit = shape.pushes.find((push) => push.strength === 'limit')!;
    expect(directionOf(shape, limit)).toBe('limit');
    expect(movedInWords(shape, limit)).toMatch(/^limit/);
    expect(firmnessWord(shape)).toBe('limit');
    const hardness = target('outsoleHardness');
    const pull = hardness.pushes.find((push) => push.rule === 'task-court-outdoors')!;
    expect(directionOf(hardness, pull)).toBe('up');
    expect(movedInWords(hardness, pull)).toBe('up, otherwise medium');
  });
});
