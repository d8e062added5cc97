import { describe, expect, it } from 'vitest';
import { decisionProblems } from './decision-problems';
import type { Decision } from './specification';

const onDrop = (part: Partial<Decision>) =>
  decisionProblems({
    feature: 'drop',
    kind: 'overrule',
    band: { from: 4, to: 8 },
    reason: 'as agreed',
    ...part,
  });
const onClosure = (options: string[] | undefined) =>
  decisionProblems({
    feature: 'closure',
    kind: 'overrule',
    reason: 'as agreed',
    ...(options ? { options } : {}),
  });
const fields = (problems: { field: string }[]) => problems.map(({ field }) => field);

describe('what is wrong with a decision', () => {
  it('nothing, when it says what, where and why', () => {
    expect(onDrop({})).toEqual([]);
    expect(onDrop({ band: { from: 6, to: 6 } })).toEqual([]);
    expect(onDrop({ band: { from: 0, to: 25 }, reason: 'yes' })).toEqual([]);
    expect(onClosure(['zip', 'dial'])).toEqual([]);
  });

  it.each(['', 'ok', '    ', ' a  '])('a reason of %j is none', (reason) => {
    expect(fields(onDrop({ reason }))).toEqual(['reason']);
  });

  it.each([
    [undefined],
    [{ from: Number.NaN, to: 4 }],
    [{ from: 4, to: Number.POSITIVE_INFINITY }],
    [{ from: 8, to: 4 }],
    [{ from: -1, to: 4 }],
    [{ from: 4, to: 101 }],
  ])('a band of %j is refused at the band', (band) => {
    const { band: _, ...rest } = { feature: 'drop', kind: 'overrule', reason: 'as agreed' } as Decision;
    expect(fields(decisionProblems(band ? { ...rest, band } : rest))).toEqual(['band']);
  });

  it('options are chosen among those that there are', () => {
    expect(fields(onClosure(undefined))).toEqual(['options']);
    expect(fields(onClosure([]))).toEqual(['options']);
    expect(onClosure(['zip', 'string'])).toEqual([{ field: 'options', message: 'Closure has no “string”.' }]);
  });

  it('what each foot has for itself names the foot, what the pair has alike does not', () => {
    const lift = { feature: 'heelLift', kind: 'pin', band: { from: 4, to: 4 }, reason: 'as agreed' } as const;
    expect(decisionProblems(lift)).toEqual([{ field: 'side', message: 'Say which foot.' }]);
    expect(decisionProblems({ ...lift, side: 'left' })).toEqual([]);
    expect(fields(onDrop({ side: 'left' }))).toEqual(['side']);
  });
});
