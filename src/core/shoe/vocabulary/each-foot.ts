import type { FeatureDefinition } from '../feature-kinds';
import { YES_NO } from './scales';

/** What may differ between the two shoes of a pair: lifts, inserts, pads. */
export const FOOT_FEATURES = {
  heelLift: {
    kind: 'scale',
    label: 'Lift inside, under the heel',
    unit: 'mm',
    bounds: [0, 12],
    step: 0.5,
    usual: 0,
    reach: 4,
    group: 'each foot',
    plain: 'a wedge under the heel, inside the shoe',
    measured: 'thickness at the centre of the heel',
    drawn: 'words',
  },
  soleLift: {
    kind: 'scale',
    label: 'Sole raised outside',
    unit: 'mm',
    bounds: [0, 60],
    step: 1,
    usual: 0,
    reach: 8,
    group: 'each foot',
    plain: 'a thicker sole on one shoe',
    measured: 'added thickness at heel and ball',
    drawn: 'words',
  },
  insertKind: {
    kind: 'choice',
    label: 'Insert',
    options: {
      none: 'none',
      cushion: 'cushioning, flat',
      contoured: 'contoured, prefabricated',
      custom: 'moulded to the foot',
      stiffener: 'stiffening plate',
    },
    usual: 'none',
    group: 'each foot',
    plain: 'what lies under your foot in the shoe',
    measured: 'seen and felt',
    drawn: 'words',
  },
  metatarsalPad: {
    kind: 'choice',
    label: 'Pad behind the ball',
    options: YES_NO,
    usual: 'no',
    group: 'each foot',
    plain: 'a small pad just behind the ball of the foot',
    measured: '5–10 mm behind the metatarsal heads',
    drawn: 'words',
  },
} as const satisfies Record<string, FeatureDefinition>;
