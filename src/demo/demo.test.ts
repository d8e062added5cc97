import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import { resolve } from '@/core/prescribe/engine/resolve';
import { FEATURES, isFeatureId } from '@/core/shoe/features';
import { STEP_CONTENT } from '@/core/visit/contents';
import { demoClinic } from './clinic';
import { examined } from './examination';
import { DEMO_HOUSE_RULES } from './house-rules';
import { random } from './random';

const TODAY = '2030-06-15';
const demo = demoClinic(TODAY);

describe('the demo clinic', () => {
  it('is the same from the same seed, and another from another', () => {
    expect(JSON.stringify(demoClinic(TODAY))).toBe(JSON.stringify(demo));
    expect(demoClinic(TODAY, 5).patients[20]!.id).not.toBe(demo.patients[20]!.id);
  });

  it('has about sixty patients, each name once, and at least 60 models over every use of the vocabulary', () => {
    expect(demo.patients).toHaveLength(60);
    expect(new Set(demo.patients.map(({ persona }) => `${persona.given} ${persona.family}`)).size).toBe(60);
    expect(demo.models.length).toBeGreaterThanOrEqual(60);
    expect(new Set(demo.models.map((model) => model.features.use))).toEqual(
      new Set(Object.keys(FEATURES.use.options)),
    );
  });

  it('gives every model at least 20 features within bounds, drop being heel minus forefoot', () => {
    for (const { features } of demo.models) {
      const entries = Object.entries(features);
      expect(entries.length).toBeGreaterThanOrEqual(20);
      for (const [id, value] of entries) {
        if (!isFeatureId(id)) throw new Error(`${id} is no feature`);
        const feature = FEATURES[id];
        if (feature.kind === 'choice') expect(Object.keys(feature.options)).toContain(value);
        if (feature.kind === 'scale') {
          expect(value, id).toBeGreaterThanOrEqual(feature.bounds[0]);
          expect(value, id).toBeLessThanOrEqual(feature.bounds[1]);
        }
      }
      expect(Number(features.heelStack) - Number(features.forefootStack)).toBe(features.drop);
    }
  });

  it('holds only dates up to today, and steps that the server would accept', () => {
    for (const patient of demo.patients) {
      expect(patient.bornOn < TODAY).toBe(true);
      for (const visit of patient.visits) {
        expect(visit.day <= TODAY).toBe(true);
        for (const entry of visit.handOver?.log ?? []) expect(entry.on <= TODAY).toBe(true);
        for (const [step, content] of Object.entries(visit.steps)) {
          const plain = JSON.parse(JSON.stringify(content));
          expect(
            STEP_CONTENT[step as keyof typeof STEP_CONTENT].safeParse(plain).error,
            `${patient.persona.given} ${step}`,
          ).toBeUndefined();
        }
      }
    }
  });

  it('shows what reasoning is for: a deadlock, two peaks, a contested push, an overruled target, a rule that changed', () => {
    const of = (given: string) => demo.patients.find(({ persona }) => persona.given === given)!;
    const issued = (given: string) => of(given).visits.findLast((visit) => visit.handOver)!.handOver!;
    const inForce = knowledgeOf(DEMO_HOUSE_RULES.at(-1)!);
    const deckhand = resolve(clinicalPicture(examined(of('Kasimir').persona, random(1))), {
      knowledge: inForce,
    });
    expect(deckhand.deadlocks[0]?.rules.toSorted()).toEqual(['house-deck-boots', 'swelling-in-the-day']);
    const drop = (given: string) =>
      issued(given).specification.targets.find((target) => target.feature === 'drop')!;
    // She lifts and runs: two pairs, and the one handed over is for lifting.
    expect(drop('Dagny').alternatives.length).toBeGreaterThan(0);
    expect(issued('Dagny').purpose).toBe('lifting-upright');
    expect(drop('Ysolde').decision?.kind).toBe('overrule');
    expect(
      issued('Leonie').specification.targets.some((target) =>
        target.pushes.some((push) => push.contestedBy.length > 0),
      ),
    ).toBe(true);
    const editions = of('Odran').visits.flatMap((visit) => visit.handOver?.specification.knowledge ?? []);
    expect(new Set(editions).size).toBeGreaterThan(1);
  });

  it('prescribes without a deadlock and replaces pairs in order', () => {
    for (const { visits } of demo.patients)
      for (const { handOver, day } of visits) {
        expect(handOver?.specification.deadlocks ?? []).toEqual([]);
        if (handOver?.endedOn) expect(handOver.endedOn > day).toBe(true);
      }
  });
});

describe('the seeded source', () => {
  it('keeps its ends and its steps', () => {
    const source = random(1);
    for (let draw = 0; draw < 500; draw += 1) {
      expect([1, 2, 3]).toContain(source.int(1, 3));
      expect([6, 6.5, 7]).toContain(source.near(6, 7, 0.5));
      expect(source.uuid()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    }
    expect(random(1).chance(0)).toBe(false);
  });
});
