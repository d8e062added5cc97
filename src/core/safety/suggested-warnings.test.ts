import { describe, expect, it } from 'vitest';
import type { AcheTime, BodyMark, SkinKind } from '../body-map/mark';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { suggestedWarnings, type WarningContext } from './suggested-warnings';
import { WARNING_SIGNS, type WarningSignId } from './warning-signs';

const ache = (site: string, ...when: AcheTime[]): BodyMark => ({
  id: `${site} ache`,
  side: 'left',
  x: 50,
  y: 90,
  layer: 'ache',
  view: 'sole',
  site,
  when,
});
const skin = (kind: SkinKind, side: 'left' | 'right' = 'left'): BodyMark => ({
  id: `${kind} ${side}`,
  side,
  x: 50,
  y: 90,
  layer: 'skin',
  view: 'sole',
  site: 'first-head',
  kind,
});
const sprain = (state: 'recovering' | 'healed'): BodyMark => ({
  id: 'sprain',
  side: 'left',
  x: 50,
  y: 90,
  layer: 'injury',
  view: 'outer',
  site: 'outer-ankle',
  what: 'lateral-sprain',
  state,
});

interface Case {
  says: string;
  findings: Findings;
  context?: WarningContext;
}

/** Handbook 02, “Warning signs”: what asks for each sign, and what comes near and does not. */
const TABLE: Record<WarningSignId, { asks: Case[]; near: Case[] }> = {
  'hot-swollen-insensate': {
    asks: [
      {
        says: 'warmer by hand, sensation lost',
        findings: { left: { sensation: 'lost', skinWarmth: 'warm' }, right: { skinWarmth: 'cold' } },
      },
      {
        says: 'swollen alone, diabetes and nobody tested sensation',
        findings: {
          body: { conditions: ['diabetes'] },
          left: { swelling: 'constant' },
          right: { swelling: 'none' },
        },
      },
      {
        says: 'red alone, sensation lost',
        findings: { left: { sensation: 'lost', skinColour: 'red' }, right: { skinColour: 'usual' } },
      },
      {
        says: 'one site 2.3 °C warmer',
        findings: {
          left: { sensation: 'lost', temperatureMidfoot: 33.3 },
          right: { temperatureMidfoot: 31 },
        },
      },
      {
        says: 'hot to the patient, with an old sprain that healed',
        findings: { left: { sensation: 'lost', heatFelt: 'yes' }, right: { heatFelt: 'no' } },
        context: { marks: [sprain('healed')] },
      },
    ],
    near: [
      {
        says: 'the same in a foot that feels',
        findings: {
          body: { conditions: ['diabetes'] },
          left: { sensation: 'felt', skinWarmth: 'warm', swelling: 'constant' },
          right: { swelling: 'none' },
        },
      },
      {
        says: 'untested sensation without diabetes or neuropathy',
        findings: { body: { conditions: ['gout'] }, left: { skinWarmth: 'warm' } },
      },
      { says: 'midfoot pain alone', findings: { left: { sensation: 'lost', pain: ['midfoot'] } } },
      {
        says: 'both feet swollen, both red',
        findings: {
          left: { sensation: 'lost', swelling: 'constant', skinColour: 'red' },
          right: { sensation: 'lost', swelling: 'constant', skinColour: 'red' },
        },
      },
      {
        says: 'a sprain that is healing explains it',
        findings: { left: { sensation: 'lost', skinWarmth: 'warm' } },
        context: { marks: [sprain('recovering')] },
      },
      {
        says: '2.2 °C are at the line, not past it',
        findings: { left: { sensation: 'lost', temperatureHeel: 33.2 }, right: { temperatureHeel: 31 } },
      },
      {
        says: 'swollen, and nobody looked at the other foot',
        findings: { left: { sensation: 'lost', swelling: 'constant' } },
      },
    ],
  },
  'open-wound': {
    asks: [
      { says: 'a wound on anybody', findings: {}, context: { marks: [skin('wound')] } },
      {
        says: 'a blister on a foot that does not feel',
        findings: { left: { sensation: 'lost', skin: ['blister'] } },
      },
      {
        says: 'redness on a foot with diabetes whose pulses nobody felt',
        findings: { body: { conditions: ['diabetes'] }, left: { sensation: 'felt' } },
        context: { marks: [skin('redness')] },
      },
    ],
    near: [
      {
        says: 'a blister on a foot that feels',
        findings: { left: { sensation: 'felt', skin: ['blister'] } },
      },
      { says: 'callus at risk', findings: { left: { sensation: 'lost', skin: ['callus'] } } },
      {
        says: 'redness on the other foot, which feels and has pulses',
        findings: {
          body: { conditions: ['diabetes'] },
          left: { sensation: 'lost', pulses: 'present' },
          right: { sensation: 'felt', pulses: 'present' },
        },
        context: { marks: [skin('redness', 'right')] },
      },
    ],
  },
  ischaemia: {
    asks: [
      { says: 'no pulses, fragile skin', findings: { left: { pulses: 'absent', skin: ['fragile'] } } },
      { says: 'no pulses, blue', findings: { left: { pulses: 'absent', skinColour: 'blue' } } },
      {
        says: 'no pulses, the foot aches at night',
        findings: { left: { pulses: 'absent' } },
        context: { marks: [ache('arch', 'night')] },
      },
      {
        says: 'colder and pale, pulses not felt for',
        findings: { left: { skinWarmth: 'cold', skinColour: 'pale' } },
      },
    ],
    near: [
      { says: 'no pulses alone', findings: { left: { pulses: 'absent' } } },
      {
        says: 'cold and pale with pulses',
        findings: { left: { pulses: 'present', skinWarmth: 'cold', skinColour: 'pale' } },
      },
      { says: 'cold alone', findings: { left: { skinWarmth: 'cold' } } },
    ],
  },
  'calf-swelling': {
    asks: [
      { says: 'calves 30 mm apart', findings: { left: { calfGirth: 390 }, right: { calfGirth: 360 } } },
      {
        says: 'swollen alone with an aching calf',
        findings: { left: { swelling: 'changes', pain: ['calf'] }, right: { swelling: 'none' } },
      },
    ],
    near: [
      { says: 'calves 29 mm apart', findings: { left: { calfGirth: 389 }, right: { calfGirth: 360 } } },
      {
        says: 'both swollen with an aching calf',
        findings: { left: { swelling: 'constant', pain: ['calf'] }, right: { swelling: 'constant' } },
      },
      {
        says: 'an aching calf',
        findings: { left: { swelling: 'none', pain: ['calf'] }, right: { swelling: 'none' } },
      },
    ],
  },
  'fracture-rule': {
    asks: [
      {
        says: 'pain at the malleoli and no four steps',
        findings: {},
        context: { ankle: { left: { malleolarPain: 'yes', fourSteps: 'no' } } },
      },
    ],
    near: [
      {
        says: 'pain at the malleoli, no tenderness, four steps',
        findings: {},
        context: {
          ankle: {
            left: { malleolarPain: 'yes', outerMalleolus: 'no', innerMalleolus: 'no', fourSteps: 'yes' },
          },
        },
      },
    ],
  },
  'bone-stress': {
    asks: [
      {
        says: 'aches under load and at night',
        findings: {},
        context: { marks: [ache('shin', 'during', 'night')] },
      },
      {
        says: 'aches at night after a rise in load',
        findings: { body: { loadRise: 'yes' } },
        context: { marks: [ache('midfoot', 'night')] },
      },
    ],
    near: [
      {
        says: 'aches at night only',
        findings: { body: { loadRise: 'no' } },
        context: { marks: [ache('shin', 'night')] },
      },
      {
        says: 'a rise in load, ache only under load',
        findings: { body: { loadRise: 'yes' } },
        context: { marks: [ache('shin', 'during')] },
      },
      { says: 'soft tissue', findings: {}, context: { marks: [ache('calf', 'during', 'night')] } },
    ],
  },
  'achilles-rupture': {
    asks: [
      {
        says: 'the cord aches, only the other side rises',
        findings: { left: { pain: ['achilles-mid'], heelRises: 0 }, right: { heelRises: 12 } },
      },
    ],
    near: [
      {
        says: 'neither side rises',
        findings: { left: { pain: ['achilles-mid'], heelRises: 0 }, right: { heelRises: 0 } },
      },
      {
        says: 'it rises once',
        findings: { left: { pain: ['achilles-mid'], heelRises: 1 }, right: { heelRises: 12 } },
      },
      {
        says: 'no rise without an ache there',
        findings: { left: { pain: [], heelRises: 0 }, right: { heelRises: 12 } },
      },
    ],
  },
  nerve: {
    asks: [{ says: 'a foot has begun to drop', findings: { right: { footDrop: 'new' } } }],
    near: [{ says: 'it has dropped for long', findings: { right: { footDrop: 'known' } } }],
  },
  'tibialis-posterior': {
    asks: [{ says: 'flattened, no rise', findings: { left: { archFlattening: 'yes', heelRises: 0 } } }],
    near: [
      { says: 'flattened, rises', findings: { left: { archFlattening: 'yes', heelRises: 3 } } },
      { says: 'flattened, nobody asked for a rise', findings: { left: { archFlattening: 'yes' } } },
      {
        says: 'flattened on one side, no rise on the other',
        findings: { left: { archFlattening: 'yes' }, right: { archFlattening: 'no', heelRises: 0 } },
      },
    ],
  },
  systemic: {
    asks: [
      {
        says: 'night sweats and a bony ache',
        findings: { body: { generalSigns: ['night-sweats'] } },
        context: { marks: [ache('shin', 'after')] },
      },
    ],
    near: [
      { says: 'fever without an ache', findings: { body: { generalSigns: ['fever'] } } },
      {
        says: 'a bony ache and none of these',
        findings: { body: { generalSigns: [] } },
        context: { marks: [ache('shin', 'after')] },
      },
    ],
  },
  'residual-limb': {
    asks: [
      {
        says: 'redness on the side of the prosthesis',
        findings: { body: { prosthesisSide: 'left' } },
        context: { marks: [skin('redness')] },
      },
      {
        says: 'an ache there',
        findings: { body: { prosthesisSide: 'left' } },
        context: { marks: [ache('knee-front', 'during')] },
      },
    ],
    near: [
      {
        says: 'redness on the sound side',
        findings: { body: { prosthesisSide: 'left' } },
        context: { marks: [skin('redness', 'right')] },
      },
      {
        says: 'no prosthesis',
        findings: { body: { prosthesisSide: 'none' } },
        context: { marks: [skin('redness')] },
      },
    ],
  },
};

describe.each(WARNING_SIGNS.map(({ id }) => id))('%s', (sign) => {
  const suggests = ({ findings, context }: Case) =>
    suggestedWarnings(clinicalPicture(findings), context).map((suggestion) => suggestion.sign);

  it.each(TABLE[sign].asks)('asks: $says', (entry) => {
    expect(suggests(entry)).toContain(sign);
  });

  it.each(TABLE[sign].near)('does not: $says', (entry) => {
    expect(suggests(entry)).not.toContain(sign);
  });
});

describe('what points at a sign', () => {
  it('is said with its side, once for each side that it is found on', () => {
    const findings: Findings = { left: { footDrop: 'new' }, right: { footDrop: 'new' } };
    expect(suggestedWarnings(clinicalPicture(findings))).toEqual(
      (['left', 'right'] as const).map((side) => ({
        sign: 'nerve',
        side,
        because: 'a foot has begun to drop',
        mark: 'common practice',
      })),
    );
  });

  it('nothing does in somebody of whom nothing is known', () => {
    expect(suggestedWarnings(clinicalPicture())).toEqual([]);
  });

  it('a danger more never takes a sign away, but for an injury that explains it', () => {
    const asked = Object.values(TABLE).flatMap(({ asks }) => asks);
    for (const { findings, context } of asked) {
      const before = suggestedWarnings(clinicalPicture(findings), context);
      const more: WarningContext = { ...context, marks: [...(context?.marks ?? []), skin('wound')] };
      expect(suggestedWarnings(clinicalPicture(findings), more)).toEqual(expect.arrayContaining(before));
    }
  });
});
