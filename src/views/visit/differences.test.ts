import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differences, withMine } from './differences';

describe('two people on one step', () => {
  const mine = { findings: { body: { falls: 1 }, left: { arch: 'low', pain: ['shin'] } } };
  const theirs = { findings: { body: { falls: 2 }, left: { arch: 'low' }, right: { arch: 'high' } } };

  it('names each value that differs, and only those', () => {
    expect(differences(mine, theirs).map((entry) => entry.path.join('.'))).toEqual([
      'findings.body.falls',
      'findings.left.pain',
      'findings.right.arch',
    ]);
    expect(differences(mine, structuredClone(mine))).toEqual([]);
  });

  it('keeps what was chosen of mine and the rest of theirs', () => {
    const [falls] = differences(mine, theirs);
    expect(withMine(theirs, [falls!])).toEqual({ findings: { ...theirs.findings, body: { falls: 1 } } });
    expect(theirs.findings.body.falls).toBe(2);
  });

  it('taking all of mine gives my version', () => {
    const value = fc.dictionary(
      fc.constantFrom('a', 'b', 'c'),
      fc.oneof(fc.integer(), fc.array(fc.integer(), { maxLength: 2 })),
      { maxKeys: 3 },
    );
    const step = fc.record({ left: value, right: value });
    fc.assert(
      fc.property(step, step, (a, b) => {
        expect(withMine(b, differences(a, b))).toEqual(a);
      }),
    );
  });
});
