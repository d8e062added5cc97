import { expect, it } from 'vitest';
import { USUAL_ROOM } from '../shoe/room';
import { misfitsOf, type TriedPair } from './misfits';
import { stepTimesOf } from './step-times';

const tried = (part: Partial<TriedPair>): TriedPair => ({
  maker: 'Brindlemoor',
  size: 'EU 39',
  patient: crypto.randomUUID(),
  feet: [{ roomMm: 12, widthFit: 'right' }],
  ...part,
});

it('a size is too short or too narrow where either foot says so, of pairs in which it was read', () => {
  const { groups } = misfitsOf(
    [
      tried({
        feet: [
          { roomMm: 12, widthFit: 'right' },
          { roomMm: 6, widthFit: 'tight' },
        ],
      }),
      tried({ feet: [{ roomMm: 18, widthFit: null }] }),
      tried({ feet: [{ roomMm: null, widthFit: 'loose' }] }),
    ],
    USUAL_ROOM,
    2,
  );
  const [group] = groups;
  expect(group).toMatchObject({ maker: 'Brindlemoor', size: 'EU 39', pairs: 3, patients: 3 });
  expect([group!.short.count, group!.short.of]).toEqual([1, 2]);
  expect([group!.long.count, group!.long.of]).toEqual([1, 2]);
  expect([group!.narrow.count, group!.narrow.of]).toEqual([1, 2]);
  expect([group!.wide.count, group!.wide.of]).toEqual([1, 2]);
});

it('of few people only their number is said, however often they tried', () => {
  const one = Array.from({ length: 9 }, () => tried({ patient: 'the same' }));
  expect(misfitsOf(one, USUAL_ROOM, 2)).toEqual({ groups: [], withheld: 1 });
});

it('the clinic’s own room decides what is short', () => {
  const pairs = [
    tried({ feet: [{ roomMm: 8, widthFit: null }] }),
    tried({ feet: [{ roomMm: 8, widthFit: null }] }),
  ];
  const short = (least: number) => misfitsOf(pairs, { ...USUAL_ROOM, least }, 2).groups[0]!.short.count;
  expect([short(10), short(6)]).toEqual([2, 0]);
});

it('a step takes as long as half of the visits took, in the order of a visit; few visits say nothing', () => {
  const times = [60, 120, 180, 240, 3000].map((seconds) => ({ step: 'feet' as const, seconds }));
  expect(stepTimesOf([...times, { step: 'ask', seconds: 30 }], 2)).toEqual([
    { step: 'feet', visits: 5, median: 3, from: 2, to: 4 },
  ]);
  const order = stepTimesOf([...times, { step: 'ask', seconds: 30 }], 1).map(({ step }) => step);
  expect(order).toEqual(['ask', 'feet']);
});
