import { FINDINGS } from '../findings/findings';

/** Where a blister or a hot spot sits. */
export type SpotPlace = keyof typeof FINDINGS.rubbedAt.options;

/** What can lead to it (handbook 07), as it is written down once it is found. */
export const CAUSES = FINDINGS.rubCause.options;
export type Cause = keyof typeof CAUSES;

/** How much likelier a cause makes something: ++, +, nothing, −, −−. */
export type Weight = 2 | 1 | 0 | -1 | -2;
/** Log-odds of one mark: about two and a half times as likely. Ours, and the same in the whole table. */
export const LOG_ODDS_OF_A_MARK = 0.9;

/**
 * How often each cause is behind a spot at each place, in marks. The first suspects are those of handbook 07 (common practice);
 * that one of them weighs two and another one is ours.
 */
export const AT_PLACE: Readonly<Record<SpotPlace, Partial<Record<Cause, Weight>>>> = {
  'toe-tips': {
    'too-short': 2,
    'slides-forward': 2,
    'too-narrow': 0,
    'heel-slips': -1,
    collar: -2,
    'contour-high': -2,
    'contour-missing': -2,
  },
  'between-toes': {
    'too-narrow': 2,
    sock: 2,
    'too-short': 0,
    'heel-slips': -2,
    collar: -2,
    'contour-high': -2,
  },
  knuckles: { 'too-narrow': 2, collar: 1, 'too-short': 1, 'heel-slips': -2, 'contour-high': -2 },
  ball: {
    'slides-forward': 1,
    'too-wide': 2,
    spent: 1,
    'long-contact': 2,
    sock: 1,
    collar: -2,
    'heel-slips': -1,
  },
  arch: {
    'contour-high': 2,
    'contour-missing': 2,
    'rolls-in': 1,
    collar: -2,
    'too-short': -2,
    'heel-slips': -2,
  },
  instep: { collar: 2, 'too-narrow': 1, 'too-wide': 1, 'too-short': -2, 'heel-slips': -1 },
  'heel-back': {
    'heel-slips': 2,
    collar: 2,
    spent: 1,
    'too-wide': 1,
    'too-short': -1,
    'contour-high': -2,
    'slides-forward': -2,
  },
  'outer-edge': {
    'rolls-out': 2,
    'contour-high': 1,
    'too-narrow': 1,
    camber: 1,
    'heel-slips': -2,
    'too-short': -2,
  },
  'inner-edge': { 'rolls-in': 2, 'too-narrow': 2, camber: 0, 'heel-slips': -2, 'too-short': -1 },
  ankle: {
    collar: 2,
    'too-wide': 0,
    'too-short': -2,
    'slides-forward': -2,
    'too-narrow': -2,
    'contour-high': -2,
  },
};

/** What is done about it, the cheapest and easiest to undo first. */
export const REMEDY_STEPS = ['lace', 'sock', 'pad', 'insert', 'size', 'model', 'way'] as const;
export type RemedyStep = (typeof REMEDY_STEPS)[number];

export interface Remedy {
  step: RemedyStep;
  text: string;
}
interface CauseAdvice {
  remedies: readonly Remedy[];
  /** What would show that this is the one. */
  confirm: string;
}

/** Remedies by cost and by how easily they are undone, and what would confirm the cause. Common practice; their order is ours. */
export const ADVICE: Readonly<Record<Cause, CauseAdvice>> = {
  'too-short': {
    remedies: [
      { step: 'lace', text: 'Cut the nails; lace firmly at the ankle, so that the foot stays back.' },
      { step: 'size', text: 'Half a size longer.' },
    ],
    confirm: 'Standing with a load, less than 10 mm free in front of the longest toe.',
  },
  'slides-forward': {
    remedies: [
      { step: 'lace', text: 'Firm at the ankle, a heel lock on descents.' },
      { step: 'pad', text: 'A tongue pad over the instep.' },
      { step: 'model', text: 'A model that holds over the instep.' },
    ],
    confirm: 'Room enough at rest, none going downhill; better with the ankle laced firmly.',
  },
  'heel-slips': {
    remedies: [
      { step: 'lace', text: 'Heel lock through the extra eyelet, or a twist below the top.' },
      { step: 'pad', text: 'Heel grips.' },
      { step: 'size', text: 'Next narrower width, or half a size shorter where the room allows it.' },
      { step: 'model', text: 'A narrower heel, a firmer counter.' },
    ],
    confirm: 'The heel lifts when walking uphill or on tip-toe; the lock stops it.',
  },
  'too-narrow': {
    remedies: [
      { step: 'lace', text: 'Leave the lowest eyelets out.' },
      { step: 'sock', text: 'A thinner sock.' },
      { step: 'pad', text: 'Have the place stretched.' },
      { step: 'size', text: 'Next width.' },
      { step: 'model', text: 'A wider, straighter last.' },
    ],
    confirm: 'The forefoot bulges over the insole when it is taken out and stood on.',
  },
  'too-wide': {
    remedies: [
      { step: 'lace', text: 'Draw the lowest rows snug.' },
      { step: 'sock', text: 'A thicker sock.' },
      { step: 'insert', text: 'A flat insole under the one that is in it.' },
      { step: 'size', text: 'Next narrower width.' },
    ],
    confirm: 'The upper can be pinched into a fold over the ball.',
  },
  'contour-high': {
    remedies: [
      { step: 'insert', text: 'Take the insert out, or wear it by the hour; a flatter insole.' },
      { step: 'model', text: 'A model that is flatter under the arch.' },
    ],
    confirm: 'The spot does not come back in a shoe with a flat insole.',
  },
  'contour-missing': {
    remedies: [
      { step: 'insert', text: 'An insole that meets the arch.' },
      { step: 'model', text: 'A model with more under the arch.' },
    ],
    confirm: 'A soft contour under the arch takes the spot away.',
  },
  'rolls-out': {
    remedies: [
      { step: 'insert', text: 'A lateral wedge or a flatter arch.' },
      { step: 'model', text: 'A neutral, broad base; nothing under the inner side.' },
    ],
    confirm: 'The heel tips outward on the clip from behind; the pair tilts outward on a table.',
  },
  'rolls-in': {
    remedies: [
      { step: 'insert', text: 'Support under the inner side.' },
      { step: 'model', text: 'More hold on the inner side.' },
    ],
    confirm: 'The heel tips inward on the clip from behind; better with support.',
  },
  camber: {
    remedies: [{ step: 'way', text: 'The other side of the road in turn, or a level way.' }],
    confirm: 'It sits on one foot only and changes feet with the side of the road.',
  },
  collar: {
    remedies: [
      { step: 'lace', text: 'Lace past the place.' },
      { step: 'pad', text: 'Tape before setting out; have the rim softened or stretched.' },
      { step: 'model', text: 'A softer rim, no seam there.' },
    ],
    confirm: 'A finger inside finds an edge or a seam exactly there.',
  },
  sock: {
    remedies: [
      { step: 'sock', text: 'Thin wool or wicking yarn, dry; change when wet.' },
      { step: 'pad', text: 'Powder or a lubricant between the toes.' },
    ],
    confirm: 'It came on a wet day or in cotton, and does not come in a dry wool sock.',
  },
  spent: {
    remedies: [{ step: 'model', text: 'Replace the pair; the same again where it suited.' }],
    confirm: 'The insole or the counter is worn through at the place; it does not come in a fresh pair.',
  },
  'long-contact': {
    remedies: [
      {
        step: 'way',
        text: 'Five to ten per cent more steps a minute at the same speed, from one’s own rate. Not while calf or heel cord is sore.',
      },
    ],
    confirm: 'Count one foot for a minute, running: under about 85.',
  },
};
