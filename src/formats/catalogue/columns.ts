import { FEATURE_IDS, type FeatureId, featureOf, isPerFoot } from '@/core/shoe/features';

/** A column of the catalogue's CSV. */
export interface Column {
  name: string;
  required: boolean;
  /** What it holds, for people. */
  about: string;
  feature?: FeatureId;
}

const snake = (id: string): string => id.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const SUFFIX: Record<string, string> = { mm: '_mm', g: '_g', '%': '_percent', deg: '_deg' };

function featureColumn(feature: FeatureId): Column {
  const definition = featureOf(feature);
  const about =
    definition.kind === 'choice'
      ? `${definition.label}: ${Object.keys(definition.options).join(', ')}`
      : definition.kind === 'grade'
        ? `${definition.label}: ${definition.anchors.join(', ')}, or 1–${definition.anchors.length}`
        : `${definition.label}, ${definition.unit}, ${definition.bounds[0]}–${definition.bounds[1]}`;
  const suffix = definition.kind === 'scale' ? (SUFFIX[definition.unit] ?? '') : '';
  return { name: `${snake(feature)}${suffix}`, required: false, about, feature };
}

/** Features that a model can have: what each foot has for itself and room in front are no part of a model. */
export const MODEL_FEATURES: readonly FeatureId[] = FEATURE_IDS.filter(
  (id) => id !== 'toeRoom' && !isPerFoot(id),
);

/** All columns in the order of an export. */
export const COLUMNS: readonly Column[] = [
  { name: 'maker', required: true, about: 'Maker' },
  { name: 'name', required: true, about: 'Model' },
  { name: 'version', required: true, about: 'Version as the box says it' },
  { name: 'group', required: true, about: 'men, women or child' },
  {
    name: 'system',
    required: true,
    about: 'eu, uk, us-men, us-women, us-women-wide-gap, uk-child, japan or mondopoint',
  },
  { name: 'allowance_mm', required: true, about: 'What the maker adds to the foot, 5–25 mm' },
  { name: 'sizes', required: true, about: '39-46 for half sizes, 39-46/1 for whole ones, or 39 40.5 42' },
  { name: 'widths', required: true, about: 'Letters, narrow first: B D 2E' },
  {
    name: 'ball_width_mm',
    required: true,
    about: 'Inside width at the ball of the narrowest letter at 270 mm inside length, 60–130 mm',
  },
  {
    name: 'stock',
    required: false,
    about: 'Pairs on the shelf: 42 D:3; 42.5 D:1, or none; empty leaves the shelf as it is',
  },
  { name: 'batch', required: false, about: 'As the boxes on the shelf say; empty leaves it as it is' },
  { name: 'made_on', required: false, about: 'Day on the boxes, as 2031-05-20; empty leaves it as it is' },
  { name: 'price', required: false, about: 'In the clinic’s currency; empty leaves it as it is' },
  {
    name: 'status',
    required: false,
    about: 'current or discontinued; empty leaves it as it is, a new model is current',
  },
  { name: 'replaces', required: false, about: 'Version of the same model that it took the place of' },
  { name: 'values_from', required: false, about: 'maker (usual), bench, fitting or estimate' },
  { name: 'values_on', required: false, about: 'Day of the values, as 2031-05-20; today where empty' },
  ...MODEL_FEATURES.map(featureColumn),
];

export const COLUMN_NAMES: ReadonlySet<string> = new Set(COLUMNS.map(({ name }) => name));
