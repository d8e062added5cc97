import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { lacingDrawing } from './drawing';
import { eyeletKey, type ShoeEyelets } from './eyelets';
import { isLacedGently, LACING_NEEDS, type LacingNeed, lacingNeeds } from './needs';
import { readBack } from './path';
import { planLacing } from './plan';
import { lacingSteps } from './steps';

const SIX: ShoeEyelets = { zones: [6], extra: true };
const BARE: ShoeEyelets = { zones: [6], extra: false };
const plan = (kinds: readonly LacingNeed[], eyelets = SIX, isGentle = false) =>
  planLacing(kinds, eyelets, isGentle);

const anyNeeds: fc.Arbitrary<LacingNeed[]> = fc
  .uniqueArray(fc.constantFrom(...LACING_NEEDS), { maxLength: 5 })
  .chain((kinds) =>
    fc.tuple(
      ...kinds.map((kind) =>
        fc.record({
          kind: fc.constant(kind),
          share: fc.double({ min: 0, max: 1, noNaN: true }),
          isLarge: fc.boolean(),
        }),
      ),
    ),
  );
const anyEyelets: fc.Arbitrary<ShoeEyelets> = fc.record({
  zones: fc.array(fc.integer({ min: 2, max: 8 }), { minLength: 1, maxLength: 3 }),
  extra: fc.boolean(),
});

describe('the lacing for what a foot asks', () => {
  it('a slipping heel is locked; without the extra eyelet it is held by a twist below the top, and that is said', () => {
    const locked = plan([{ kind: 'heel-slips' }]);
    expect(locked.laces[0]!.isLocked).toBe(true);
    expect(locked.nextBest).toEqual([]);
    expect(locked.tension.slice(-2)).toEqual(['firm', 'firm']);
    const bare = plan([{ kind: 'heel-slips' }], BARE);
    expect(bare.laces[0]).toMatchObject({ isLocked: false, twistAfter: 4 });
    expect(bare.nextBest).toEqual([{ need: 'heel-slips', instead: 'twist', because: 'no-extra-eyelet' }]);
  });

  it('nothing crosses a pressed instep; the window lies where the place was marked', () => {
    const high = plan([{ kind: 'instep-pressed', share: 0.9 }]).laces[0]!;
    const low = plan([{ kind: 'instep-pressed', share: 0.1 }]).laces[0]!;
    const straight = (lace: typeof high) =>
      lace.nodes.slice(1).flatMap((to, at) => {
        const from = lace.nodes[at]!;
        return from.side === to.side ? [Math.min(from.row, to.row)] : [];
      });
    expect(new Set(straight(high))).toEqual(new Set([4]));
    expect(new Set(straight(low))).toEqual(new Set([0]));
  });

  it('a big-toe joint has its side left open, a large one more of it, and the forefoot is drawn easily', () => {
    const used = (kinds: LacingNeed[]) => plan(kinds).laces[0]!.nodes.map(eyeletKey);
    expect(used([{ kind: 'big-toe-joint' }])).not.toContain('inner 0');
    expect(used([{ kind: 'big-toe-joint' }])).toContain('outer 0');
    expect(used([{ kind: 'big-toe-joint', isLarge: true }])).not.toContain('inner 1');
    expect(plan([{ kind: 'big-toe-joint' }]).tension.slice(0, 3)).toEqual(['easy', 'easy', 'easy']);
  });

  it('tight in front and loose behind: easy below, a twist between, locked above', () => {
    const { laces, tension } = plan([{ kind: 'forefoot-tight' }, { kind: 'heel-slips' }]);
    expect(laces[0]).toMatchObject({ isLocked: true, twistAfter: 2 });
    expect(tension).toEqual(['easy', 'easy', 'easy', 'firm', 'firm']);
  });

  it('a swollen foot comes before a sore nail, which is then eased, and said', () => {
    const both = plan([{ kind: 'swells' }, { kind: 'big-toe-nail' }]);
    expect(both.laces[0]!.base).toBe('parallel');
    expect(both.nextBest).toContainEqual({
      need: 'big-toe-nail',
      instead: 'easy-below',
      because: 'another-need',
    });
    expect(plan([{ kind: 'big-toe-nail' }]).laces[0]!.base).toBe('toe-lift');
  });

  it('nothing is drawn firmly on skin that must be spared', () => {
    fc.assert(
      fc.property(anyNeeds, anyEyelets, (needs, eyelets) => {
        expect(plan(needs, eyelets, true).tension).not.toContain('firm');
      }),
    );
    const gentle = (findings: Findings) => isLacedGently(clinicalPicture(findings), 'left');
    expect(gentle({ left: { skin: ['fragile'] } })).toBe(true);
    expect(gentle({ left: { sensation: 'lost', pulses: 'present' } })).toBe(true);
    expect(gentle({ left: { sensation: 'felt', pulses: 'present', skin: [] } })).toBe(false);
  });

  it('whatever is asked of whatever shoe: each lace is one lace, every step names rows that are there, and the drawing is the path', () => {
    fc.assert(
      fc.property(
        anyNeeds,
        anyEyelets,
        fc.constantFrom('left' as const, 'right' as const),
        (needs, eyelets, side) => {
          const lacing = plan(needs, eyelets);
          const rows = eyelets.zones.reduce((sum, pairs) => sum + pairs, 0);
          for (const step of lacingSteps(lacing))
            for (const key of ['row', 'from', 'to'] as const)
              if (key in step) {
                const row = Number(step[key as keyof typeof step]);
                expect(row).toBeGreaterThanOrEqual(1);
                expect(row).toBeLessThanOrEqual(rows);
              }
          const drawing = lacingDrawing(side, eyelets, lacing);
          const drawn = lacing.laces.map(({ nodes }) => {
            const own = new Set(nodes.map(eyeletKey));
            const read = readBack(drawing.laces.filter(({ from }) => own.has(eyeletKey(from))));
            return read.ok ? read.value.map(eyeletKey).join() : read.problem.message;
          });
          for (const [at, { nodes }] of lacing.laces.entries()) {
            const keys = nodes.map(eyeletKey);
            expect([keys.join(), keys.toReversed().join()]).toContain(drawn[at]);
          }
          // Whatever cannot be had is named once with what is done instead.
          expect(new Set(lacing.nextBest.map(({ need }) => need)).size).toBe(lacing.nextBest.length);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the drawing', () => {
  it('shows a foot as its wearer sees it: the big toe on the right of a left foot, and mirrored for the other', () => {
    const lacing = plan([{ kind: 'big-toe-joint' }]);
    const [left, right] = (['left', 'right'] as const).map((side) => lacingDrawing(side, SIX, lacing));
    const x = (drawing: typeof left, side: string) =>
      drawing!.eyelets.find(({ at }) => at.side === side && at.row === 0)!.x;
    expect(x(left, 'inner')).toBeGreaterThan(x(left, 'outer'));
    expect(x(right, 'inner')).toBeLessThan(x(right, 'outer'));
    expect(x(left, 'inner') + x(right, 'inner')).toBeCloseTo(left!.width, 1);
    expect(left!.eyelets.filter(({ isUsed }) => !isUsed).map(({ at }) => eyeletKey(at))).toEqual([
      'inner 0',
      'inner 6',
      'outer 6',
    ]);
  });
});

describe('the steps', () => {
  it('say the lock after the crossings, and how firmly to draw in stretches', () => {
    expect(lacingSteps(plan([{ kind: 'heel-slips' }]))).toEqual([
      { do: 'lay-in', row: 1 },
      { do: 'cross', from: 2, to: 6 },
      { do: 'lock', row: 6 },
      { do: 'draw', tension: 'snug', from: 1, to: 4 },
      { do: 'draw', tension: 'firm', from: 4, to: 6 },
    ]);
  });

  it('climb the free side, stay on their side past a sore place, lift the toe, and bar by bar for a ladder', () => {
    const steps = (kinds: LacingNeed[]) =>
      lacingSteps(plan(kinds, BARE)).filter((step) => step.do !== 'draw');
    expect(steps([{ kind: 'big-toe-joint', isLarge: true }])).toEqual([
      { do: 'lay-in-slanting', long: 'outer', row: 1, to: 3 },
      { do: 'climb', side: 'outer', from: 2, to: 3 },
      { do: 'cross', from: 4, to: 6 },
    ]);
    expect(steps([{ kind: 'instep-pressed', share: 0.5 }])).toEqual([
      { do: 'lay-in', row: 1 },
      { do: 'cross', from: 2, to: 3 },
      { do: 'straight-up', row: 3, to: 4 },
      { do: 'cross', from: 5, to: 6 },
    ]);
    expect(steps([{ kind: 'big-toe-nail' }])).toEqual([
      { do: 'lift', side: 'inner', to: 6 },
      { do: 'close-the-rest', side: 'inner', from: 1, to: 6 },
    ]);
    expect(steps([{ kind: 'other-nails' }])).toEqual([
      { do: 'lift', side: 'outer', to: 6 },
      { do: 'close-the-rest', side: 'outer', from: 1, to: 6 },
    ]);
    expect(steps([{ kind: 'swells' }])).toEqual([
      { do: 'lay-in', row: 1 },
      { do: 'bar', side: 'inner', row: 2 },
      { do: 'bar', side: 'outer', row: 3 },
      { do: 'bar', side: 'outer', row: 4 },
      { do: 'bar', side: 'inner', row: 5 },
      { do: 'to-the-top', row: 6 },
    ]);
  });
});

describe('what is read from findings and fitting', () => {
  const needs = (findings: Findings, tryOn: Parameters<typeof lacingNeeds>[2] = null) =>
    lacingNeeds(clinicalPicture(findings), 'left', tryOn).map(({ kind }) => kind);

  it('nothing asks for nothing; each sign asks for its own, on its own side', () => {
    expect(needs({})).toEqual([]);
    expect(needs({ right: { bunion: 'severe' } })).toEqual([]);
    expect(needs({ left: { bunion: 'severe', skin: ['nail'], swelling: 'changes' } })).toEqual([
      'big-toe-joint',
      'big-toe-nail',
      'swells',
    ]);
    expect(needs({ left: { rubbedAt: ['toe-tips', 'heel-back', 'instep'] } })).toEqual([
      'heel-slips',
      'instep-pressed',
      'other-nails',
    ]);
  });

  it('a rub that was looked into asks for what leads to it, and no longer for what it looks like', () => {
    const rubbed = clinicalPicture({ left: { rubbedAt: ['heel-back'] } });
    const of = (found: Parameters<typeof lacingNeeds>[3]) =>
      lacingNeeds(rubbed, 'left', null, found).map(({ kind }) => kind);
    expect(of({})).toEqual(['heel-slips']);
    expect(of({ 'heel-back': 'heel-slips' })).toEqual(['heel-slips']);
    expect(of({ 'heel-back': 'collar' })).toEqual([]);
    expect(of({ 'heel-back': 'collar', 'toe-tips': 'slides-forward' })).toEqual(['slides-forward']);
  });

  it('what was felt at the fitting counts, and a marked place says where the window lies', () => {
    const at = (y: number) =>
      lacingNeeds(clinicalPicture({}), 'left', {
        model: 'm',
        left: { heelSlip: 'slight', instep: 'presses' },
        points: [{ id: 'p', side: 'left', view: 'top', site: 'instep', x: 50, y, kind: 'presses' }],
      });
    expect(at(140).map(({ kind }) => kind)).toEqual(['heel-slips', 'instep-pressed']);
    expect(at(140)[1]!.share!).toBeGreaterThan(at(100)[1]!.share!);
  });
});
