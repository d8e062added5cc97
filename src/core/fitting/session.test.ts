import { halfSizes, testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import type { ShoeModel } from '../catalogue/model';
import { pairsOnShelf } from '../catalogue/shelf';
import { clinicalPicture } from '../examination/clinical-picture';
import { candidatesOf, obtainable, proposeFrom } from '../match/candidates';
import { rank } from '../match/rank';
import { resolve } from '../prescribe/engine/resolve';
import { sizePair } from '../sizing/size-pair';
import { handOverBlocks } from './hand-over-blocks';
import { readSession } from './session';
import type { TryOn } from './try-on';

const picture = clinicalPicture({
  body: { activities: ['court'], sizingGroup: 'men' },
  left: { footLength: 262, ballWidth: 99 },
  right: { footLength: 262, ballWidth: 99 },
});
const specification = resolve(picture);
const sizing = testSizing({ sizes: halfSizes(39, 46), widths: ['D', '2E'] });
const court = {
  use: 'court',
  midsoleHardness: 3,
  heelStack: 24,
  drop: 6,
  mass: 320,
  heelCounter: 4,
  forefootBase: 118,
  upperFirmness: 3,
  outsoleHardness: 4.5,
  tread: 'herringbone',
  category: 'structured',
  medialSupport: 'none',
} as const;
const shelf = [
  testShoe('middle', court, { sizing, stock: { '42 D': 2, '42 2E': 1 } }),
  testShoe('soft', { ...court, midsoleHardness: 1.5, mass: 250 }, { sizing }),
  testShoe('firm', { ...court, midsoleHardness: 4.5, heelCounter: 5, torsionalStiffness: 5 }, { sizing }),
  testShoe('runner', { ...court, use: 'road-running' }, { sizing }),
  testShoe('large', court, { sizing: testSizing({ sizes: [48, 49] }) }),
  testShoe('gone', court, { sizing, status: 'discontinued' }),
  testShoe('last pairs', { ...court, drop: 7 }, { sizing, status: 'discontinued', stock: { '46 D': 1 } }),
];
const models = new Map(shelf.map((model) => [model.id, model]));
const sizeOf = (model: ShoeModel) => sizePair(model, picture, specification);
const { ranked } = rank(obtainable(shelf), specification);

describe('candidates', () => {
  const { usable, noSize } = candidatesOf(ranked, models, sizeOf);
  const ids = usable.map(({ model }) => model.id);

  it('are made in the size needed, or still on the shelf in it; what is gone is no candidate at all', () => {
    expect(ids.toSorted()).toEqual(['firm', 'middle', 'soft']);
    expect(noSize.map(({ model }) => model.id).toSorted()).toEqual(['large', 'last pairs']);
    expect(noSize.find(({ model }) => model.id === 'last pairs')!.message).toContain('No longer made');
  });

  it('feet that nobody measured exclude nothing', () => {
    const nobody = clinicalPicture({ body: { activities: ['court'] } });
    const free = candidatesOf(ranked, models, (model) => sizePair(model, nobody, specification));
    expect(free.noSize).toEqual([]);
    expect(free.usable.every(({ pair }) => pair === null)).toBe(true);
    // Whether they are among the last pairs of a model nobody can say.
    expect(free.usable.map(({ model }) => model.id)).toContain('last pairs');
    const proposed = proposeFrom(free.usable, models, specification).proposals.map(({ id }) => id);
    expect(proposed.length).toBeGreaterThan(1);
    expect(proposed).not.toContain('last pairs');
  });

  it('the fewer of two boxes make up pairs; a shelf of no known size holds none', () => {
    const middle = models.get('middle')!;
    const at = (size: number, width: string) => ({ size, width });
    expect(pairsOnShelf(middle, [at(42, 'D'), at(42, 'D')])).toBe(2);
    expect(pairsOnShelf(middle, [at(42, 'D'), at(42, '2E')])).toBe(1);
    expect(pairsOnShelf(middle, [at(42, 'D'), at(43, 'D')])).toBe(0);
    expect(pairsOnShelf(middle, [null, at(42, 'D')])).toBe(2);
    expect(pairsOnShelf(middle, [null, null])).toBe(0);
  });

  it('are proposed from the shelf only where the shelf teaches something', () => {
    expect(proposeFrom(usable, models, specification).proposals).toHaveLength(3);
    const stocked = usable.map((candidate) => ({
      ...candidate,
      onShelf: candidate.model.id === 'firm' ? 0 : 1,
    }));
    expect(proposeFrom(stocked, models, specification).proposals.map(({ id }) => id)).not.toContain('firm');
  });
});

describe('a fitting', () => {
  const session = (tryOns: TryOn[], brought: string[]) =>
    readSession({ tryOns, brought, specification, ranked, models, sizeOf });

  it('letters stay with their pairs however they come and go', () => {
    const letters = (tryOns: TryOn[], brought: string[]) =>
      Object.fromEntries(session(tryOns, brought).pairs.map(({ letter, model }) => [model.id, letter]));
    const saved: TryOn[] = [{ model: 'middle' }, { model: 'soft' }];
    expect(letters([], ['middle', 'soft'])).toEqual({ middle: 'A', soft: 'B' });
    expect(letters(saved, ['middle', 'firm'])).toEqual({ middle: 'A', soft: 'B', firm: 'C' });
    expect(letters(saved, ['soft', 'middle'])).toEqual({ middle: 'A', soft: 'B' });
  });

  it('a pair that made room still says which way to go, but does not decide', () => {
    const tryOns: TryOn[] = [
      { model: 'firm', comfort: 90 },
      { model: 'middle', comfort: 60 },
    ];
    const { outcome, next, pairs } = session(tryOns, ['middle', 'soft']);
    expect(outcome.best?.model).toBe('middle');
    expect(next!.taste.firmness.points).toBeGreaterThan(0);
    expect(pairs.find(({ model }) => model.id === 'firm')!.brought).toBe(false);
  });

  it('begins in the size worked out, and ends in a way out when nothing fits', () => {
    expect(session([], ['middle']).pairs[0]!.tryOn).toMatchObject({ sizeLeft: 41, width: 'D' });
    const { outcome, fallbacks: ways } = session(
      [
        { model: 'middle', verdict: 'rejected' },
        { model: 'soft', verdict: 'rejected' },
      ],
      ['middle', 'soft'],
    );
    expect(outcome.nothingFits).toBe(true);
    expect(ways.map((way) => ('id' in way ? `${way.kind} ${way.id}` : way.kind))).toEqual([
      'order firm',
      'refer',
    ]);
  });
});

describe('what stands against handing over', () => {
  const middle = models.get('middle')!;
  it('a check that stops the pair, unless a reason is written', () => {
    const short: TryOn = { model: 'middle', sizeLeft: 42, width: 'D', left: { roomMm: 3 } };
    expect(handOverBlocks(short, middle, specification)).toEqual([
      expect.stringMatching(/^Left: 3 mm in front: too short\. .*write why/),
    ]);
    expect(handOverBlocks({ ...short, because: 'toes amputated' }, middle, specification)).toEqual([]);
    expect(handOverBlocks({ ...short, because: '  ' }, middle, specification)).toHaveLength(1);
    expect(
      handOverBlocks({ ...short, left: { roomMm: 12, archFeel: 'presses' } }, middle, specification),
    ).toEqual([]);
  });

  it('a limit that the model breaks, whatever reason stands with the verdict', () => {
    const runner = models.get('runner')!;
    expect(handOverBlocks({ model: 'runner', because: 'liked' }, runner, specification)).toEqual([
      'The chosen pair breaks a limit. Intended use road running: ruled out (for court, outdoors).',
    ]);
  });
});
