import type { BodyMark } from '../body-map/mark';
import { TEMPERATURE_LINE } from '../examination/bands';
import { SIDES, type Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED, numberAt } from '../findings/picture';
import { type AnkleAnswers, ankleInjuryRules } from './ankle-injury-rules';
import type { WarningSignId } from './warning-signs';

/** What else a visit holds that can point at a warning sign. */
export interface WarningContext {
  marks?: readonly BodyMark[] | undefined;
  ankle?: Partial<Record<Side, AnkleAnswers>> | undefined;
}

/** One side of a visit, with all that can point at a sign. */
interface Looked {
  picture: ClinicalPicture;
  side: Side;
  other: Side;
  /** Marks on this side. */
  marks: readonly BodyMark[];
  ankle: AnkleAnswers;
}

/** Findings of one side that together point at a warning sign. */
interface SuggestionRow {
  sign: WarningSignId;
  /** In a few words, for whoever reads the table. */
  when: string;
  found: (looked: Looked) => boolean;
  mark: string;
}

/** A difference in calf girth from here on is asked about, mm. */
const CALF_DIFFERENCE_MM = 30;

/** Places where an ache at night can be a bone. */
const BONE_SITES: readonly string[] = [
  'shin',
  'midfoot',
  'forefoot',
  'fifth-head',
  'fifth-base',
  'navicular',
  'plantar-heel',
  'hip',
];

/** Whether a set of options was examined and holds one of them. */
const holds = (found: readonly string[] | typeof NOT_EXAMINED, ...options: string[]): boolean =>
  found !== NOT_EXAMINED && options.some((option) => found.includes(option));

/** Without protective sensation, or in somebody with diabetes or neuropathy whose sensation nobody has tested. */
const isInsensate = ({ picture, side }: Looked): boolean => {
  const { sensation } = picture[side];
  return (
    sensation === 'lost' ||
    (sensation === NOT_EXAMINED && holds(picture.body.conditions, 'diabetes', 'neuropathy'))
  );
};

/** Insensate, without pulses, or in somebody with diabetes whose pulses nobody has felt. */
const isAtRisk = (looked: Looked): boolean => {
  const { picture, side } = looked;
  const { pulses } = picture[side];
  return (
    isInsensate(looked) ||
    pulses === 'absent' ||
    (pulses === NOT_EXAMINED && holds(picture.body.conditions, 'diabetes', 'poor-circulation'))
  );
};

/** Swollen here, and looked at and not swollen there. */
const isSwollenAlone = ({ picture, side, other }: Looked): boolean =>
  (picture[side].swelling === 'constant' || picture[side].swelling === 'changes') &&
  picture[other].swelling === 'none';

const isWarmerAlone = ({ picture, side, other }: Looked): boolean =>
  picture[side].skinWarmth === 'warm' ||
  (numberAt(picture, 'temperatureExcess', side) ?? 0) > TEMPERATURE_LINE ||
  (picture[side].heatFelt === 'yes' && picture[other].heatFelt !== 'yes');

const isRedAlone = ({ picture, side, other }: Looked): boolean =>
  picture[side].skinColour === 'red' && picture[other].skinColour !== 'red';

/** An injury of this side that is still healing explains warmth, redness and swelling there. */
const hasFreshInjury = ({ marks }: Looked): boolean =>
  marks.some((mark) => mark.layer === 'injury' && mark.state === 'recovering');

/** A bony place that aches, by day or by night. */
const bonyAches = ({ marks }: Looked) =>
  marks.filter((mark) => mark.layer === 'ache' && BONE_SITES.includes(mark.site));

const hasSkinMark = ({ marks }: Looked, ...kinds: string[]): boolean =>
  marks.some((mark) => mark.layer === 'skin' && mark.kind !== undefined && kinds.includes(mark.kind));

/** What points at which sign, on either side (handbook 02). A finding that nobody took points at nothing. */
export const SUGGESTIONS: readonly SuggestionRow[] = [
  {
    sign: 'hot-swollen-insensate',
    when: 'a foot that may not feel is warmer, redder or swollen, alone, and no fresh injury explains it',
    found: (looked) =>
      isInsensate(looked) &&
      (isWarmerAlone(looked) || isRedAlone(looked) || isSwollenAlone(looked)) &&
      !hasFreshInjury(looked),
    mark: 'IWGDF 2023, from memory; line of 2.2 °C: Lavery 2004, 2007, from memory',
  },
  {
    sign: 'open-wound',
    when: 'a wound is marked on the skin',
    found: (looked) => hasSkinMark(looked, 'wound'),
    mark: 'IWGDF 2023, from memory',
  },
  {
    sign: 'open-wound',
    when: 'the skin of an at-risk foot is blistered, or red in one place',
    found: (looked) =>
      isAtRisk(looked) &&
      (holds(looked.picture[looked.side].skin, 'blister') || hasSkinMark(looked, 'blister', 'redness')),
    mark: 'IWGDF 2023, from memory',
  },
  {
    sign: 'ischaemia',
    when: 'pulses are absent, and the skin is fragile, pale or blue, or the foot aches at night',
    found: ({ picture, side, marks }) =>
      picture[side].pulses === 'absent' &&
      (holds(picture[side].skin, 'fragile') ||
        picture[side].skinColour === 'pale' ||
        picture[side].skinColour === 'blue' ||
        marks.some((mark) => mark.layer === 'ache' && mark.view === 'sole' && mark.when?.includes('night'))),
    mark: 'common practice',
  },
  {
    sign: 'ischaemia',
    when: 'one foot is colder and pale or blue, and its pulses were not felt',
    found: ({ picture, side }) =>
      picture[side].skinWarmth === 'cold' &&
      (picture[side].skinColour === 'pale' || picture[side].skinColour === 'blue') &&
      picture[side].pulses !== 'present',
    mark: 'common practice',
  },
  {
    sign: 'calf-swelling',
    when: 'one calf is 30 mm larger in girth',
    found: ({ picture, side, other }) => {
      const [own, theirs] = [numberAt(picture, 'calfGirth', side), numberAt(picture, 'calfGirth', other)];
      return own !== null && theirs !== null && own - theirs >= CALF_DIFFERENCE_MM;
    },
    mark: 'a clinical rule for thrombosis (3 cm), from memory, check',
  },
  {
    sign: 'calf-swelling',
    when: 'one side is swollen, the other not, and the calf aches there',
    found: (looked) => isSwollenAlone(looked) && holds(looked.picture[looked.side].pain, 'calf'),
    mark: 'common practice',
  },
  {
    sign: 'fracture-rule',
    when: 'the ankle-injury rules ask for an X-ray',
    found: ({ ankle }) => {
      const { ankle: atAnkle, foot } = ankleInjuryRules(ankle);
      return atAnkle === 'x-ray' || foot === 'x-ray';
    },
    mark: 'Stiell 1992/1993 ankle rules, from memory',
  },
  {
    sign: 'bone-stress',
    when: 'a bony place aches at night, and under load or after a rise in load',
    found: (looked) =>
      bonyAches(looked).some(
        (mark) =>
          mark.layer === 'ache' &&
          mark.when?.includes('night') === true &&
          (mark.when.includes('during') || looked.picture.body.loadRise === 'yes'),
      ),
    mark: 'common practice',
  },
  {
    sign: 'bone-stress',
    when: 'a bone is sore to one finger, or a hop hurts at one point, in somebody who runs or has taken on more load',
    found: ({ picture, side }) =>
      (picture[side].boneTender === 'yes' || picture[side].hopTest === 'hurts') &&
      (picture.body.loadRise === 'yes' ||
        holds(picture.body.activities, 'road-running', 'racing', 'trail', 'court', 'indoor-court')),
    mark: 'common practice',
  },
  {
    sign: 'achilles-rupture',
    when: 'the heel cord aches and only the other side rises on its toes',
    found: ({ picture, side, other }) =>
      holds(picture[side].pain, 'achilles-mid', 'achilles-insertion') &&
      picture[side].heelRises === 0 &&
      (numberAt(picture, 'heelRises', other) ?? 0) > 0,
    mark: 'common practice',
  },
  {
    sign: 'nerve',
    when: 'a foot has begun to drop',
    found: ({ picture, side }) => picture[side].footDrop === 'new',
    mark: 'common practice',
  },
  {
    sign: 'tibialis-posterior',
    when: 'the arch has flattened and there is no heel rise',
    found: ({ picture, side }) => picture[side].archFlattening === 'yes' && picture[side].heelRises === 0,
    mark: 'common practice',
  },
  {
    sign: 'systemic',
    when: 'a bony place aches in somebody with fever, night sweats or unexplained weight loss',
    found: (looked) => {
      const { generalSigns } = looked.picture.body;
      return generalSigns !== NOT_EXAMINED && generalSigns.length > 0 && bonyAches(looked).length > 0;
    },
    mark: 'common practice',
  },
  {
    sign: 'residual-limb',
    when: 'skin is broken or red, or something aches, on the side of the prosthesis',
    found: (looked) =>
      looked.picture.body.prosthesisSide === looked.side &&
      (hasSkinMark(looked, 'wound', 'blister', 'redness', 'fragile') ||
        looked.marks.some(({ layer }) => layer === 'ache')),
    mark: 'common practice',
  },
];

/** A sign that findings point at, on which side, and why. */
export interface SuggestedWarning {
  sign: WarningSignId;
  side: Side;
  because: string;
  mark: string;
}

/** Both sides of a visit. */
const lookedAt = (picture: ClinicalPicture, { marks = [], ankle = {} }: WarningContext): Looked[] =>
  SIDES.map((side) => ({
    picture,
    side,
    other: side === 'left' ? 'right' : 'left',
    marks: marks.filter((mark) => mark.side === side),
    ankle: ankle[side] ?? {},
  }));

/** Whether either foot is at risk, or may be: what nobody tested in somebody with diabetes counts as lost. */
export const hasAtRiskFoot = (picture: ClinicalPicture): boolean => lookedAt(picture, {}).some(isAtRisk);

/** Warning signs that recorded findings point at, so that a tired eye does not pass over them; each with its reasons. */
export function suggestedWarnings(
  picture: ClinicalPicture,
  context: WarningContext = {},
): SuggestedWarning[] {
  const looked = lookedAt(picture, context);
  return SUGGESTIONS.flatMap(({ sign, when, found, mark }) =>
    looked.filter(found).map(({ side }) => ({ sign, side, because: when, mark })),
  );
}
