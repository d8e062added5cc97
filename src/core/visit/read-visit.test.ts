import { generatedVisits } from '@tests/fixtures/generated-visits';
import { testShoe } from '@tests/fixtures/invented-shoe';
import { savedSteps, visitRecord } from '@tests/fixtures/visit-record';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonical } from '../prescribe/counterfactual/replay';
import { checkContent, stepRecord, type VisitContents } from './contents';
import { readExamined } from './examined';
import { contentsOf, stepsHeld } from './held';
import { prescribeFor, readVisit } from './read-visit';

const nobody = visitRecord();
const read = (contents: VisitContents, record = nobody) => readVisit(record, contents, null);
const blocks = (contents: VisitContents) => read(contents).blocks.map(({ code, step }) => `${step}: ${code}`);

const mark = { id: 'm', side: 'left', x: 50, y: 100 } as const;
const wound = { ...mark, layer: 'skin', view: 'sole', site: 'first-head', kind: 'wound' } as const;
const SHOE = testShoe('7d0f4b1e-58a4-4d3c-9a63-0c4f3f5a2b22');
const CHECKED = { checked: true } as const;

describe('what blocks a hand-over', () => {
  it('a wound marked on the drawing, though no sign was ticked', () => {
    const contents: VisitContents = { feet: { findings: {}, marks: [wound] }, warnings: CHECKED };
    expect(blocks(contents)).toContain('warnings: warning');
    expect(read(contents).blocks[0]?.path).toEqual(['open-wound']);
  });

  it('an ankle injury that the rules would X-ray, answered on the warnings panel only', () => {
    const contents: VisitContents = {
      warnings: { ...CHECKED, ankle: { right: { malleolarPain: 'yes', outerMalleolus: 'yes' } } },
    };
    expect(read(contents).blocks.map(({ path }) => path[0])).toContain('fracture-rule');
  });

  it('a decision that a limit forbids', () => {
    const contents: VisitContents = {
      warnings: CHECKED,
      feet: { findings: { left: { sensation: 'lost' }, right: { sensation: 'lost' } } },
      reason: {
        decisions: [
          { feature: 'closure', kind: 'pin', options: ['slip-on'], reason: 'asked for by the patient' },
        ],
      },
    };
    const refused = read(contents).blocks.find(({ code }) => code === 'refused-decision');
    expect(refused).toMatchObject({ step: 'reason', path: ['closure'] });
    expect(refused?.message).toContain('slip-on');
  });

  it('nobody has looked for warning signs yet, and no pair was chosen', () => {
    expect(blocks({})).toEqual(['warnings: warning', 'try-on: no-pair']);
  });

  it('a pair that starts before the visit; on its day it may', () => {
    const from = (startedOn: string) => blocks({ warnings: CHECKED, 'hand-over': { startedOn } });
    expect(from('2029-12-31')).toContain('hand-over: starts-too-early');
    expect(from('2030-01-01')).not.toContain('hand-over: starts-too-early');
  });

  it('a chosen pair whose model nobody has looked up, or that left the catalogue', () => {
    const chosen: VisitContents = {
      warnings: CHECKED,
      'try-on': { tryOns: [{ model: SHOE.id, verdict: 'chosen' }] },
    };
    const codes = (model: ReturnType<typeof testShoe> | null | undefined) =>
      readVisit(nobody, chosen, model).blocks.map(({ code }) => code);
    expect(codes(undefined)).toEqual(['model-unread']);
    expect(codes(null)).toEqual(['model-gone']);
    expect(codes(SHOE)).toEqual([]);
  });

  it('a check that stops the chosen pair, until the reason is written with its verdict', () => {
    const model = SHOE;
    const tryOn = { model: model.id, verdict: 'chosen', left: { roomMm: 2 } } as const;
    const codes = (because?: string) =>
      readVisit(
        nobody,
        { warnings: CHECKED, 'try-on': { tryOns: [{ ...tryOn, ...(because ? { because } : {}) }] } },
        model,
      ).blocks.map(({ code }) => code);
    expect(codes()).toEqual(['pair']);
    expect(codes('a house shoe, never walked far in')).toEqual([]);
  });
});

describe('one reading, two sides', () => {
  /** What the server makes of a visit: every step stored as JSON, read back and checked. */
  const stored = (contents: VisitContents): VisitContents =>
    contentsOf(
      savedSteps(contents).map(({ content, ...saved }) =>
        stepRecord(saved, JSON.parse(JSON.stringify(content))),
      ),
    );

  it('a visit that is typed in the browser and one that comes back from the database read alike', () => {
    fc.assert(
      fc.property(generatedVisits, (contents) => {
        const browser = read(contents);
        const server = readVisit(nobody, stored(contents), null);
        expect(canonical(server.specification)).toBe(canonical(browser.specification));
        expect(server.blocks).toEqual(browser.blocks);
        expect(server.warnings).toEqual(browser.warnings);
      }),
      { numRuns: 60 },
    );
  });

  it('reading on from an earlier reading is the same as reading anew', () => {
    fc.assert(
      fc.property(generatedVisits, generatedVisits, (before, after) => {
        const anew = read(after);
        const onwards = readVisit(nobody, after, null, read(before));
        expect(canonical(onwards.specification)).toBe(canonical(anew.specification));
        expect(onwards.blocks).toEqual(anew.blocks);
        expect(onwards.findings).toEqual(anew.findings);
      }),
      { numRuns: 40 },
    );
  });

  it('in two halves says the same as at once, also where the rules came after something had been entered', () => {
    fc.assert(
      fc.property(generatedVisits, generatedVisits, generatedVisits, (opened, entered, later) => {
        const without = readExamined(nobody, entered, readExamined(nobody, opened));
        const come = prescribeFor(without, entered, null);
        const next = prescribeFor(readExamined(nobody, later, without), later, null, come);
        for (const [contents, halves] of [
          [entered, come],
          [later, next],
        ] as const) {
          const { inputs: _, ...whole } = read(contents);
          const { inputs: __, ...said } = halves;
          expect(canonical(said)).toBe(canonical(whole));
        }
      }),
      { numRuns: 40 },
    );
  });

  it('what did not change stays the same object, so that nothing is redrawn or asked again', () => {
    const contents: VisitContents = { feet: { findings: { left: { arch: 'high' } } }, warnings: CHECKED };
    const first = read(contents);
    const noted = readVisit(
      nobody,
      { ...contents, 'hand-over': { note: 'bring the old pair' } },
      null,
      first,
    );
    expect(noted.picture).toBe(first.picture);
    expect(noted.specification).toBe(first.specification);
    const changed = readVisit(
      nobody,
      { ...contents, feet: { findings: { left: { arch: 'low' } } } },
      null,
      first,
    );
    expect(changed.picture).not.toBe(first.picture);
    expect(changed.options).toBe(first.options);
  });
});

describe('what a visit is read by', () => {
  it('the visit’s own school before the patient’s, the patient’s before the clinic’s', () => {
    const { patient } = nobody;
    const ofPatient = visitRecord({ patient: { ...patient, school: 'load' } });
    expect(read({}).options.school).toBe('balanced');
    expect(read({}, ofPatient).options.school).toBe('load');
    expect(read({ reason: { school: 'shape' } }, ofPatient).options.school).toBe('shape');
  });

  it('the age on the day the visit began, whenever it is read', () => {
    const { patient } = nobody;
    const born = (bornOn: string) =>
      read({}, visitRecord({ patient: { ...patient, bornOn } })).picture.body.ageYears;
    expect(born('1980-01-01')).toBe(50);
    expect(born('1980-01-02')).toBe(49);
  });

  it('what still holds from an earlier visit gives way to what was found at this one', () => {
    const carried = {
      findings: { body: { conditions: ['gout' as const] } },
      injuries: [],
      from: '2029-06-01',
    };
    const record = visitRecord({ carried });
    expect(read({}, record).picture.body.conditions).toEqual(['gout']);
    const today: VisitContents = { ask: { findings: { body: { conditions: [] } } } };
    expect(read(today, record).picture.body.conditions).toEqual([]);
  });

  it('what was issued reads as it was issued, by the rules of that day', () => {
    const { specification } = read({ feet: { findings: { left: { arch: 'high' } } } });
    const rules = [] as const;
    const issued = visitRecord({
      issued: [
        {
          id: 'i',
          purpose: null,
          specification: { ...specification, knowledge: 'old' },
          rules,
          sheet: null,
          order: null,
        },
      ],
    });
    expect(read({}, issued).specification.targets).toEqual(specification.targets);
    expect(read({}, issued).options.knowledge).toEqual({ edition: 'old', rules });
  });
});

describe('contents of the steps', () => {
  it('each is checked by the schema of its own step', () => {
    expect(checkContent('prosthesis', { shoeRise: 5 }).success).toBe(true);
    expect(checkContent('load', { shoeRise: 5 }).success).toBe(false);
  });

  it('what is stored but does not fit says which step and where', () => {
    const saved = { step: 'prosthesis', state: 'done', revision: 1, savedBy: '', savedAt: '' } as const;
    expect(() => stepRecord(saved, { wantedPly: 'five' })).toThrow(/“prosthesis”.*wantedPly/);
  });

  it('are held in the order of work, and only those that were begun', () => {
    expect(stepsHeld({ warnings: {}, ask: { findings: {} }, reason: {} }).map(({ step }) => step)).toEqual([
      'ask',
      'reason',
      'warnings',
    ]);
  });
});
