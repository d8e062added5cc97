import { printIn } from '../units/parse';
import type { FeatureDefinition } from './feature-kinds';

const FIVE_STIFF = ['very flexible', 'flexible', 'medium', 'stiff', 'rigid'] as const;
const YES_NO = { no: 'no', yes: 'yes' } as const;

/**
 * One vocabulary for prescriptions (targets), the catalogue (what a model has), bench tests (what was measured)
 * and the drawing. Typical values are common practice.
 */
export const FEATURES = {
  drop: {
    kind: 'scale', label: 'Heel-to-toe drop', unit: 'mm', bounds: [0, 25], step: 0.5, usual: 8, reach: 8, group: 'heights',
    plain: 'how much higher the heel sits than the ball', measured: 'heel stack minus forefoot stack, insole in',
  },
  heelStack: {
    kind: 'scale', label: 'Heel stack', unit: 'mm', bounds: [4, 60], step: 1, usual: 28, reach: 14, group: 'heights',
    plain: 'how thick the sole is under the heel', measured: 'ground to foot at the centre of the heel, insole in',
  },
  forefootStack: {
    kind: 'scale', label: 'Forefoot stack', unit: 'mm', bounds: [3, 45], step: 1, usual: 20, reach: 12, group: 'heights',
    plain: 'how thick the sole is under the ball', measured: 'ground to foot under the ball, insole in',
  },
  mass: {
    kind: 'scale', label: 'Mass', unit: 'g', bounds: [90, 900], step: 10, usual: 290, reach: 180, group: 'use',
    plain: 'how heavy one shoe is', measured: 'one shoe at EU 42 (women’s last: EU 38)',
  },
  midsoleHardness: {
    kind: 'grade', label: 'Midsole hardness', anchors: ['very soft', 'soft', 'medium', 'firm', 'very firm'], usual: 3, reach: 2, group: 'sole',
    plain: 'how firm the foam is', measured: 'Asker C or thumb',
  },
  heelCushioning: {
    kind: 'grade', label: 'Heel cushioning', anchors: ['none', 'little', 'medium', 'much', 'very much'], usual: 3, reach: 2.5, group: 'sole',
    plain: 'how softly the heel lands', measured: 'give under the heel: foam and thickness together',
  },
  forefootCushioning: {
    kind: 'grade', label: 'Forefoot cushioning', anchors: ['none', 'little', 'medium', 'much', 'very much'], usual: 3, reach: 2.5, group: 'sole',
    plain: 'how soft it is under the ball', measured: 'give under the ball: foam and thickness together',
  },
  forefootStiffness: {
    kind: 'grade', label: 'Forefoot bending stiffness', anchors: FIVE_STIFF, usual: 2.5, reach: 2.5, group: 'sole',
    plain: 'how hard the front is to bend', measured: 'bend test',
  },
  plate: {
    kind: 'choice', label: 'Plate', options: { none: 'none', flexible: 'flexible', rigid: 'rigid' }, usual: 'none', group: 'sole',
    plain: 'a stiff plate inside the sole', measured: 'maker, or bend test',
  },
  torsionalStiffness: {
    kind: 'grade', label: 'Torsional stiffness', anchors: FIVE_STIFF, usual: 3, reach: 2.5, group: 'sole',
    plain: 'how hard the middle is to twist', measured: 'wring test',
  },
  bendPoint: {
    kind: 'scale', label: 'Bend point', unit: '%', bounds: [50, 85], step: 1, usual: 73, reach: 10, group: 'sole',
    plain: 'where the shoe folds', measured: 'share of length from the heel where the sole folds',
  },
  rocker: {
    kind: 'grade', label: 'Rocker', anchors: ['none', 'forefoot', 'full'], usual: 1, reach: 1.5, group: 'sole',
    plain: 'a curved sole that rolls you forward', measured: 'on a level table, from the side',
  },
  rockerApex: {
    kind: 'scale', label: 'Rocker apex', unit: '%', bounds: [48, 75], step: 1, usual: 63, reach: 10, group: 'sole',
    plain: 'where the curve starts', measured: 'share of length from the heel where the sole leaves the table',
  },
  toeSpring: {
    kind: 'scale', label: 'Toe spring', unit: 'mm', bounds: [0, 35], step: 1, usual: 12, reach: 12, group: 'sole',
    plain: 'how far the tip curls up', measured: 'gap at the toe tip with the ball flat',
  },
  heelBevel: {
    kind: 'choice', label: 'Heel bevel', options: { none: 'none', central: 'central', lateral: 'outer side' }, usual: 'none', group: 'sole',
    plain: 'a slanted back edge that smooths the landing', measured: 'seen from the side and behind',
  },
  outsoleHardness: {
    kind: 'grade', label: 'Outsole hardness', anchors: ['soft gum', 'soft', 'medium', 'hard', 'very hard'], usual: 3, reach: 2, group: 'sole',
    plain: 'how hard the bottom rubber is', measured: 'Shore A or thumbnail',
  },
  tread: {
    kind: 'choice', label: 'Tread', group: 'sole', usual: 'road',
    options: { smooth: 'smooth', road: 'road pattern', lugs: 'lugs', herringbone: 'herringbone', 'slip-rated': 'slip-rated' },
    plain: 'the pattern under the shoe', measured: 'seen; slip rating as marked',
  },
  heelCounter: {
    kind: 'grade', label: 'Heel counter stiffness', anchors: ['none', 'soft', 'medium', 'firm', 'rigid'], usual: 3, reach: 2.5, group: 'heel and sides',
    plain: 'how firmly the back holds your heel', measured: 'squeeze from the sides and press from above',
  },
  counterReach: {
    kind: 'scale', label: 'Heel counter reach', unit: '%', bounds: [0, 50], step: 1, usual: 28, reach: 20, group: 'heel and sides',
    plain: 'how far forward the firm back part runs', measured: 'felt, share of shoe length',
  },
  softCounterEdge: {
    kind: 'choice', label: 'Soft counter edge', options: YES_NO, usual: 'no', group: 'heel and sides',
    plain: 'a soft rim at the heel cord', measured: 'felt at the top of the counter',
  },
  medialSupport: {
    kind: 'choice', label: 'Medial support', group: 'heel and sides', usual: 'none',
    options: { none: 'none', foam: 'firmer medial foam', rail: 'guide rail, sidewall', post: 'medial post' },
    plain: 'help on the inner side', measured: 'two-density check by thumbnail',
  },
  lateralSupport: {
    kind: 'choice', label: 'Lateral support', options: { none: 'none', sidewall: 'sidewall, rail', flare: 'sole flare' }, usual: 'none', group: 'heel and sides',
    plain: 'help on the outer side', measured: 'seen from behind',
  },
  heelBase: {
    kind: 'scale', label: 'Base width, heel', unit: 'mm', bounds: [20, 120], step: 1, usual: 82, reach: 18, group: 'heel and sides',
    plain: 'how broad the sole is under the heel', measured: 'outsole width at the heel',
  },
  forefootBase: {
    kind: 'scale', label: 'Base width, forefoot', unit: 'mm', bounds: [60, 140], step: 1, usual: 108, reach: 18, group: 'heel and sides',
    plain: 'how broad the sole is under the ball', measured: 'outsole width at the ball',
  },
  archContour: {
    kind: 'grade', label: 'Arch contour', anchors: ['none', 'mild', 'marked'], usual: 2, reach: 1.25, group: 'heel and sides',
    plain: 'how much the insole rises under the arch', measured: 'felt, insole in',
  },
  toeBoxShape: {
    kind: 'choice', label: 'Toe-box shape', options: { tapered: 'tapered', round: 'round', square: 'square', anatomic: 'anatomic' }, usual: 'round', group: 'forefoot',
    plain: 'the shape of the front', measured: 'outline seen from above',
  },
  toeBoxDepth: {
    kind: 'grade', label: 'Toe-box depth', anchors: ['low', 'standard', 'deep'], usual: 2, reach: 1.5, group: 'forefoot',
    plain: 'how much height your toes have', measured: 'pinch over the toes',
  },
  width: {
    kind: 'grade', label: 'Internal width at the ball', anchors: ['narrow', 'standard', 'wide', 'extra wide'], usual: 2, reach: 1.5, group: 'forefoot',
    plain: 'how wide it is inside', measured: 'internal width or girth; letter where known',
  },
  toeBoxMaterial: {
    kind: 'choice', label: 'Toe-box material', options: { mesh: 'soft mesh', stretch: 'stretch', leather: 'leather', cap: 'protective cap' }, usual: 'mesh', group: 'forefoot',
    plain: 'what covers your toes', measured: 'seen, felt',
  },
  toeProtection: {
    kind: 'choice', label: 'Protective parts', group: 'forefoot', usual: 'none',
    options: { none: 'none', bumper: 'toe bumper', 'rock-plate': 'rock plate', safety: 'safety cap or puncture plate' },
    plain: 'what protects your toes and sole', measured: 'maker; safety marking',
  },
  seamFree: {
    kind: 'choice', label: 'Seam-free lining', options: YES_NO, usual: 'no', group: 'upper',
    plain: 'nothing inside that rubs', measured: 'hand inside',
  },
  upperFirmness: {
    kind: 'grade', label: 'Upper', anchors: ['soft, stretch', 'standard', 'firm sides'], usual: 2, reach: 1.5, group: 'upper',
    plain: 'how firmly the sides hold', measured: 'felt; lace pull',
  },
  overlaysReachSole: {
    kind: 'grade', label: 'Lace overlays reach the sole', anchors: ['no', 'partly', 'yes'], usual: 2, reach: 2, group: 'upper',
    plain: 'laces that tighten the sides', measured: 'lace pull test',
  },
  collarHeight: {
    kind: 'grade', label: 'Collar height', anchors: ['low', 'mid', 'high'], usual: 1, reach: 1.5, group: 'upper',
    plain: 'how high it comes at the ankle', measured: 'seen against the ankle bones',
  },
  collarPadding: {
    kind: 'grade', label: 'Collar padding', anchors: ['thin', 'medium', 'thick'], usual: 2, reach: 1.5, group: 'upper',
    plain: 'how soft the rim is', measured: 'felt',
  },
  closure: {
    kind: 'choice', label: 'Closure', group: 'upper', usual: 'laces',
    options: {
      laces: 'laces', 'laces-extra-eyelet': 'laces with an extra top eyelet', 'hook-and-loop': 'hook-and-loop', dial: 'dial',
      zip: 'zip', buckle: 'buckle', elastic: 'elastic laces', 'slip-on': 'slip-on',
    },
    plain: 'how it closes', measured: 'seen',
  },
  opening: {
    kind: 'grade', label: 'Throat', anchors: ['narrow', 'standard', 'wide, long'], usual: 2, reach: 1.5, group: 'upper',
    plain: 'how wide it opens', measured: 'opened fully',
  },
  removableInsole: {
    kind: 'choice', label: 'Removable insole', options: YES_NO, usual: 'yes', group: 'upper',
    plain: 'an inner sole that comes out', measured: 'insole-out test',
  },
  insoleDepth: {
    kind: 'scale', label: 'Depth freed by the insole', unit: 'mm', bounds: [0, 16], step: 0.5, usual: 4, reach: 4, group: 'upper',
    plain: 'room for an insert', measured: 'insole thickness, heel',
  },
  water: {
    kind: 'choice', label: 'Water', options: { breathable: 'breathable', resistant: 'resistant', proof: 'proof' }, usual: 'breathable', group: 'use',
    plain: 'how it deals with wet', measured: 'maker',
  },
  use: {
    kind: 'choice', label: 'Intended use', group: 'use', usual: 'everyday',
    options: {
      'road-running': 'road running', racing: 'racing', trail: 'trail', walking: 'walking', hiking: 'hiking', court: 'court', 'indoor-court': 'indoor court',
      lifting: 'lifting', gym: 'gym', work: 'work', safety: 'safety', dress: 'dress', house: 'house', everyday: 'everyday', therapeutic: 'therapeutic extra depth', 'post-operative': 'post-operative',
    },
    plain: 'what it is made for', measured: 'maker',
  },
  category: {
    kind: 'choice', label: 'Category', group: 'use', usual: 'neutral',
    options: {
      neutral: 'neutral', structured: 'structured cushioning', stability: 'stability', 'motion-control': 'motion control', maximal: 'maximal cushioning', minimal: 'minimal',
    },
    plain: 'the kind of shoe', measured: 'trade name for the whole; features decide',
  },
  heelKind: {
    kind: 'choice', label: 'Heel kind', options: { flat: 'flat', wedge: 'wedge', block: 'block', platform: 'platform', slender: 'slender' }, usual: 'flat', group: 'heights',
    plain: 'the kind of heel', measured: 'seen',
  },
  toeRoom: {
    kind: 'scale', label: 'Room beyond the longest toe', unit: 'mm', bounds: [4, 26], step: 0.5, usual: 12, reach: 5, group: 'fit',
    plain: 'free space in front of your longest toe', measured: 'standing, longer foot, sock and insert in',
  },
} as const satisfies Record<string, FeatureDefinition>;

export type FeatureId = keyof typeof FEATURES;
export const FEATURE_IDS = Object.keys(FEATURES) as FeatureId[];
export const featureOf = (id: FeatureId): FeatureDefinition => FEATURES[id];
export const isFeatureId = (id: string): id is FeatureId => Object.hasOwn(FEATURES, id);

/** What a model has: a number on a numeric feature's axis, an option of a choice; absent is unknown. */
export type FeatureValue = number | string;
export type FeatureValues = { readonly [K in FeatureId]?: FeatureValue };

/** The anchor nearest to a grade. */
export const gradeName = (anchors: readonly string[], grade: number): string =>
  anchors[Math.min(anchors.length, Math.max(1, Math.round(grade))) - 1]!;

/** A value as people read it: `8 mm`, `firm`, `hook-and-loop`. */
export function printFeature(id: FeatureId, value: FeatureValue): string {
  const feature = featureOf(id);
  if (feature.kind === 'choice') return feature.options[String(value)] ?? String(value);
  if (feature.kind === 'grade') return gradeName(feature.anchors, Number(value));
  return printIn(feature.unit, Number(value));
}
