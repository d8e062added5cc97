import type { BodyMark } from '../body-map/mark';
import { SIDES, type Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED, numberAt } from '../findings/picture';
import { type AnkleAnswers, ankleInjuryRules } from './ankle-injury-rules';
import type { WarningSignId } from './warning-signs';

/** What else a visit holds that can point at a warning sign. */
export interface WarningContext {
  marks?: readonly BodyMark[] | undefined;
  ankle?: Partial<Record<Side, AnkleAnswers>> | undefined;
}

/** A difference in calf girth from here on is asked about, mm. */
const CALF_DIFFERENCE_MM = 30;

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** Whether a set of options was examined and holds one of them. */
const holds = (found: readonly string[] | typeof NOT_EXAMINED, option: string): boolean =>
  found !== NOT_EXAMINED && found.includes(option);

/** Findings of one side that together point at a warning sign. */
interface SuggestionRow {
  sign: WarningSignId;
  /** In a few words, for whoever reads the table. */
  when: string;
  found: (picture: ClinicalPicture, side: Side, context: WarningContext) => boolean;
  mark: string;
}

/** Places where an ache at night that is also there under load can be a bone. */
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

/** What points at which sign, on either side. */
export const SUGGESTIONS: readonly SuggestionRow[] = [
  {
    sign: 'open-wound',
    when: 'a wound is marked on the skin',
    found: (_, side, { marks = [] }) =>
      marks.some((mark) => mark.side === side && mark.layer === 'skin' && mark.kind === 'wound'),
    mark: 'IWGDF 2023, from memory',
  },
  {
    sign: 'bone-stress',
    when: 'a bony place aches under load and at night',
    found: (_, side, { marks = [] }) =>
      marks.some(
        (mark) =>
          mark.side === side &&
          mark.layer === 'ache' &&
          BONE_SITES.includes(mark.site) &&
          mark.when?.includes('night') === true &&
          mark.when.includes('during'),
      ),
    mark: 'common practice',
  },
  {
    sign: 'fracture-rule',
    when: 'the ankle-injury rules ask for an X-ray',
    found: (_, side, { ankle }) => {
      const { ankle: atAnkle, foot } = ankleInjuryRules(ankle?.[side] ?? {});
      return atAnkle === 'x-ray' || foot === 'x-ray';
    },
    mark: 'Stiell 1992/1993 ankle rules, from memory',
  },
  {
    sign: 'calf-swelling',
    when: 'one calf is 30 mm larger in girth',
    found: (picture, side) => {
      const [own, other] = [side, otherSide(side)].map((foot) => numberAt(picture, 'calfGirth', foot));
      return own !== null && other !== null && own! - other! >= CALF_DIFFERENCE_MM;
    },
    mark: 'a clinical rule for thrombosis (3 cm), from memory, check',
  },
  {
    sign: 'calf-swelling',
    when: 'one side is swollen for good, the other not, and the calf aches there',
    found: (picture, side) =>
      picture[side].swelling === 'constant' &&
      picture[otherSide(side)].swelling === 'none' &&
      holds(picture[side].pain, 'calf'),
    mark: 'common practice',
  },
  {
    sign: 'tibialis-posterior',
    when: 'the arch has flattened and there is no heel rise',
    found: (picture, side) => picture[side].archFlattening === 'yes' && picture[side].heelRises === 0,
    mark: 'common practice',
  },
  {
    sign: 'ischaemia',
    when: 'pulses are absent and the skin is fragile',
    found: (picture, side) => picture[side].pulses === 'absent' && holds(picture[side].skin, 'fragile'),
    mark: 'common practice',
  },
];

/** Warning signs that recorded findings point at, so that a tired eye does not pass over them. */
export const suggestedWarnings = (
  picture: ClinicalPicture,
  context: WarningContext = {},
): WarningSignId[] => [
  ...new Set(
    SUGGESTIONS.filter((row) => SIDES.some((side) => row.found(picture, side, context))).map(
      ({ sign }) => sign,
    ),
  ),
];
