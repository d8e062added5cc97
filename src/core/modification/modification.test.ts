import { describe, expect, it } from 'vitest';
import { keysOf } from '../tables/keys-of';
import {
  amountOf,
  MODIFICATIONS,
  type Modification,
  modificationInWords,
  modificationProblem,
} from './modification';
import { modificationSchema } from './schema';

describe('changes to a pair in words', () => {
  it.each([
    [{ kind: 'heel-lift', side: 'left', amount: 6 }, 'left: lift inside 6 mm'],
    [{ kind: 'medial-wedge', side: 'right', amount: 3 }, 'right: wedge, inner side 3°'],
    [{ kind: 'rocker', side: 'both', amount: 60 }, 'both: rocker added, apex 60 %'],
    [
      { kind: 'stretch', side: 'left', amount: 3, place: 'ball-inner' },
      'left: stretched 3 mm at the big-toe joint',
    ],
    [{ kind: 'lacing', side: 'both', note: 'heel lock' }, 'both: relaced (heel lock)'],
  ] as const)('%j', (modification, words) => expect(modificationInWords(modification)).toBe(words));
});

describe('the check at collection', () => {
  const lift: Modification = { kind: 'heel-lift', side: 'left', amount: 6 };
  it.each<[Modification, string | null]>([
    [lift, 'Not checked yet: left: lift inside 6 mm.'],
    [{ ...lift, check: { isMade: false } }, 'Not made yet: left: lift inside 6 mm.'],
    [{ ...lift, check: { isMade: true } }, 'Not measured yet: left: lift inside 6 mm.'],
    [{ ...lift, check: { isMade: true, measured: 7 } }, null],
    [
      { ...lift, check: { isMade: true, measured: 7.5 } },
      'left: lift inside 6 mm: measured 7.5 mm, ordered 6 mm.',
    ],
    [
      { ...lift, check: { isMade: true, measured: 4 } },
      'left: lift inside 6 mm: measured 4 mm, ordered 6 mm.',
    ],
    [{ kind: 'insert', side: 'both', check: { isMade: true } }, null],
    [{ kind: 'sole-lift', side: 'right', amount: 20, check: { isMade: true, measured: 21.5 } }, null],
  ])('%j: %s', (modification, problem) => expect(modificationProblem(modification)).toBe(problem));

  it('takes what is measured to within less than half of the least that is worth ordering', () => {
    for (const kind of keysOf(MODIFICATIONS)) {
      const { most, within } = MODIFICATIONS[kind];
      expect(within).toBeLessThanOrEqual(most / 4);
      expect(amountOf({ kind, amount: most }) === null).toBe(most === 0);
    }
  });
});

describe('an order for the technician', () => {
  it('refuses more than a shoe can take, and a place where the change is not made', () => {
    const problems = (value: object) => {
      const read = modificationSchema.safeParse({ side: 'left', ...value });
      return read.success
        ? []
        : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
    };
    expect(problems({ kind: 'heel-lift', amount: 12 })).toEqual([]);
    expect(problems({ kind: 'heel-lift', amount: 13 })).toEqual(['amount: At most 12.']);
    expect(problems({ kind: 'stretch', amount: 3, place: 'heel' })).toEqual([
      'place: This change is not made there.',
    ]);
    expect(problems({ kind: 'stretch', amount: 3, place: 'ball-outer' })).toEqual([]);
  });
});
