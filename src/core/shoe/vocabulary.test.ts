import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { shoeValues } from '../prescribe/engine/shoe-values';
import type { Drawing } from './drawing/part';
import { sideProfile } from './drawing/side-profile';
import { solePlan } from './drawing/sole-plan';
import { axisOf } from './feature-kinds';
import { FEATURE_IDS, type FeatureValues, featureOf, isPerFoot } from './features';
import { minimalistIndexOf } from './minimalist-index';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from './motion-control-scale';

const usual: FeatureValues = Object.fromEntries(FEATURE_IDS.map((id) => [id, featureOf(id).usual]));

describe('the vocabulary', () => {
  it('gives every feature a unit and bounds, or named anchors, or options, with how it is measured and plain words', () => {
    for (const id of FEATURE_IDS) {
      const feature = featureOf(id);
      expect(feature.measured.length, id).toBeGreaterThan(3);
      expect(feature.plain.length, id).toBeGreaterThan(5);
      if (feature.kind === 'choice') {
        expect(Object.keys(feature.options), id).toContain(feature.usual);
        continue;
      }
      const { from, to, step } = axisOf(feature);
      expect(feature.usual, id).toBeGreaterThanOrEqual(from);
      expect(feature.usual, id).toBeLessThanOrEqual(to);
      expect(Number.isInteger(Math.round(((to - from) / step) * 1e6) / 1e6), id).toBe(true);
    }
  });

  it('draws what it says it draws: some part or measure shows each such feature', () => {
    // One shoe with everything on it, since a part that is absent cannot be lit.
    const loaded = {
      ...usual,
      medialSupport: 'post',
      lateralSupport: 'flare',
      plate: 'rigid',
      rocker: 2,
      toeProtection: 'safety',
      toeDragZone: 'reinforced',
      sideGuard: 'guard',
      archContour: 3,
      tread: 'lugs',
      torsionalStiffness: 5,
    };
    const shown = (...drawings: ReturnType<typeof sideProfile>[]) =>
      new Set(
        drawings.flatMap(({ parts, dimensions }) => [
          ...parts.flatMap((part) => part.features),
          ...dimensions.map((measure) => measure.feature),
        ]),
      );
    const foot = { lengthMm: 262, ballWidthMm: 100, heelBallMm: 192 };
    const walled = { ...loaded, lateralSupport: 'sidewall', medialSupport: 'rail' };
    const heeled = { ...loaded, heelKind: 'block', heelHeight: 60, heelStack: 60, forefootStack: 10 };
    const side = shown(sideProfile(loaded, 285), sideProfile(walled, 285), sideProfile(heeled, 285));
    const plan = shown(solePlan(loaded, foot, 285), solePlan(walled, foot, 285));
    for (const id of FEATURE_IDS) {
      const { drawn } = featureOf(id);
      expect(side.has(id), `${id} in the side profile`).toBe(drawn === 'side' || drawn === 'both');
      expect(plan.has(id), `${id} in the sole plan`).toBe(drawn === 'plan' || drawn === 'both');
    }
  });

  it('knows which features each foot has for itself', () => {
    expect(FEATURE_IDS.filter(isPerFoot)).toEqual(['heelLift', 'soleLift', 'insertKind', 'metatarsalPad']);
  });
});

/** Esculier 2015, J Foot Ankle Res 8:42, bins from memory; hand grades stand for the hand tests. */
describe('the Minimalist Index of a shoe in the vocabulary', () => {
  const sock: FeatureValues = {
    mass: 110,
    heelStack: 6,
    drop: 0,
    forefootStiffness: 1,
    torsionalStiffness: 1,
    medialSupport: 'none',
    heelCounter: 1,
    archContour: 1,
    upperFirmness: 1,
  };

  it('a bare sock shoe is 100 %, a rigid boot with every device 0 %', () => {
    expect(minimalistIndexOf(sock)).toEqual({ least: 100, most: 100, missing: [] });
    const boot = {
      mass: 700,
      heelStack: 40,
      drop: 20,
      forefootStiffness: 5,
      torsionalStiffness: 5,
      medialSupport: 'post',
      heelCounter: 5,
      archContour: 3,
      upperFirmness: 3,
    };
    expect(minimalistIndexOf(boot)).toEqual({ least: 0, most: 0, missing: [] });
  });

  it('the worked example: 260 g, 28 mm, 8 mm, a rigid counter, medium resistance: 44 %, give or take the grade', () => {
    const shoe = {
      ...sock,
      mass: 260,
      heelStack: 28,
      drop: 8,
      heelCounter: 5,
      forefootStiffness: 3.5,
      torsionalStiffness: 3.5,
    };
    expect(minimalistIndexOf(shoe).least).toBe(44);
  });

  it('what nobody knows leaves a range and is named', () => {
    const { mass: _, ...unweighed } = sock;
    expect(minimalistIndexOf(unweighed)).toEqual({ least: 80, most: 100, missing: ['mass'] });
    expect(minimalistIndexOf({})).toMatchObject({ least: 0, most: 100 });
  });
});

/** Barton 2009, J Foot Ankle Res 2:10, total 0–11 from memory, check. */
describe('the motion-control scale', () => {
  it('runs from nothing to eleven', () => {
    const most = {
      medialSupport: 'post',
      closure: 'laces',
      heelCounter: 5,
      forefootStiffness: 5,
      torsionalStiffness: 5,
    };
    const none = {
      medialSupport: 'none',
      closure: 'slip-on',
      heelCounter: 1,
      forefootStiffness: 1,
      torsionalStiffness: 1,
    };
    expect(motionControlScaleOf(most)).toEqual({
      least: MOTION_CONTROL_MOST,
      most: MOTION_CONTROL_MOST,
      missing: [],
    });
    expect(motionControlScaleOf(none)).toEqual({ least: 0, most: 0, missing: [] });
    expect(motionControlScaleOf({ closure: 'laces' })).toMatchObject({ least: 2, most: 11 });
  });

  it('a specification for a weak inner tendon scores higher than one for a usual shoe', () => {
    const specified = shoeValues(resolve(clinicalPicture({ left: { pain: ['ankle-inner'] } })));
    expect(motionControlScaleOf(specified).least).toBeGreaterThan(motionControlScaleOf(usual).least);
  });
});

describe('where a feature says it is drawn', () => {
  const FOOT = { lengthMm: 262, ballWidthMm: 100, heelBallMm: 190 };
  const drawnIn = (drawing: Drawing) => new Set(drawing.parts.flatMap((part) => part.features));
  /** Every option and both ends of every scale: a part that only some shoes have is drawn in one of them. */
  const shoes: FeatureValues[] = FEATURE_IDS.flatMap((id): FeatureValues[] => {
    const feature = featureOf(id);
    if (feature.kind === 'choice') return Object.keys(feature.options).map((option) => ({ [id]: option }));
    const axis = axisOf(feature);
    return [axis.from, axis.to].map((value) => ({ [id]: value }));
  });
  const side = new Set(shoes.flatMap((shoe) => [...drawnIn(sideProfile(shoe))]));
  const plan = new Set(shoes.flatMap((shoe) => [...drawnIn(solePlan(shoe, FOOT))]));

  it.each(FEATURE_IDS)('%s', (id) => {
    const { drawn } = featureOf(id);
    if (drawn === 'side' || drawn === 'both') expect(side).toContain(id);
    if (drawn === 'plan' || drawn === 'both') expect(plan).toContain(id);
  });
});
