import { describe, expect, it } from 'vitest';
import { sideProfile } from './drawing/side-profile';
import { solePlan } from './drawing/sole-plan';
import { FEATURE_IDS, featureOf, printFeature } from './features';
import { minimalistIndex } from './minimalist-index';

/** Esculier 2015, J Foot Ankle Res 8:42, bins and example from memory. */
describe('Minimalist Index', () => {
  it('the worked example scores 44 %', () => {
    const shoe = { massG: 260, heelStackMm: 28, dropMm: 8, technologies: 1, longitudinal: 1, torsional: 1 };
    expect(minimalistIndex(shoe)).toBe(44);
  });

  it('a bare sock shoe scores 100 %, a heavy stiff one 0 %', () => {
    expect(
      minimalistIndex({
        massG: 110,
        heelStackMm: 6,
        dropMm: 0,
        technologies: 0,
        longitudinal: 2.5,
        torsional: 2.5,
      }),
    ).toBe(100);
    expect(
      minimalistIndex({
        massG: 325,
        heelStackMm: 32,
        dropMm: 13,
        technologies: 6,
        longitudinal: 0,
        torsional: 0,
      }),
    ).toBe(0);
  });

  it.each([
    [124, 5],
    [125, 4],
    [175, 3],
    [225, 2],
    [275, 1],
    [325, 0],
  ])(
    '%d g falls into the bin of %d points: a value on an edge belongs to the heavier bin',
    (massG, points) => {
      const rest = { heelStackMm: 40, dropMm: 20, technologies: 6, longitudinal: 0, torsional: 0 };
      expect(minimalistIndex({ massG, ...rest })).toBe(points * 4);
    },
  );
});

describe('the vocabulary', () => {
  it('prints every usual value and keeps it within bounds', () => {
    for (const id of FEATURE_IDS) {
      const feature = featureOf(id);
      expect(printFeature(id, feature.usual).length).toBeGreaterThan(0);
      if (feature.kind === 'scale') {
        expect(feature.usual).toBeGreaterThanOrEqual(feature.bounds[0]);
        expect(feature.usual).toBeLessThanOrEqual(feature.bounds[1]);
      }
    }
  });
});

const lowest = (d: string): number =>
  Math.min(...[...d.matchAll(/-?\d+(?:\.\d+)?,(-?\d+(?:\.\d+)?)/g)].map((match) => Number(match[1])));

describe('the drawing', () => {
  it('shows stack and drop to scale', () => {
    const { dimensions } = sideProfile({ heelStack: 30, forefootStack: 22 });
    const length = (feature: string) => {
      const { from, to } = dimensions.find((entry) => entry.feature === feature)!;
      return Math.abs(from[1] - to[1]);
    };
    expect(length('heelStack')).toBe(30);
    expect(length('forefootStack')).toBe(22);
    expect(length('drop')).toBe(8);
  });

  it('moves smoothly: a small change of drop is a small change of the drawing', () => {
    const top = (heelStack: number) =>
      lowest(sideProfile({ heelStack, forefootStack: 20 }).parts.find((part) => part.id === 'upper')!.d);
    expect(Math.abs(top(28) - top(28.5))).toBeLessThan(1);
    expect(top(28)).toBeGreaterThan(top(34));
  });

  it('draws what the features say and every part names its feature', () => {
    const ids = (values: Parameters<typeof sideProfile>[0]) =>
      sideProfile(values).parts.map((part) => part.id);
    expect(ids({ medialSupport: 'post' })).toContain('post');
    expect(ids({ medialSupport: 'none' })).not.toContain('post');
    expect(ids({ closure: 'hook-and-loop' })).toContain('strap-0');
    expect(ids({ tread: 'lugs' }).filter((id) => id.startsWith('lug-')).length).toBeGreaterThan(5);
    for (const part of [...sideProfile({}).parts, ...solePlan({}, null).parts]) {
      expect(part.features.length).toBeGreaterThan(0);
      expect(part.d).not.toMatch(/NaN|undefined/);
    }
  });

  it('lays the patient’s own foot on the sole plan', () => {
    const foot = { lengthMm: 262, ballWidthMm: 101, heelBallMm: 192 };
    const outline = solePlan({}, foot, 275).parts.find((part) => part.id === 'foot')!.d;
    const xs = [...outline.matchAll(/(-?\d+(?:\.\d+)?),-?\d/g)].map((match) => Number(match[1]));
    expect(Math.max(...xs)).toBeLessThan(275);
    expect(Math.max(...xs)).toBeGreaterThan(262);
    expect(solePlan({}, null).parts.some((part) => part.id === 'foot')).toBe(false);
  });
});
