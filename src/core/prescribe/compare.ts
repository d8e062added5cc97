import { SCHOOL_CHOICES, type SchoolChoice } from '../knowledge/schools';
import type { ClinicalPicture } from '../picture/clinical-picture';
import { SIDES, type Side } from '../picture/finding-kinds';
import { FEATURE_IDS, type FeatureId } from '../shoe/features';
import { targetInWords } from './explain';
import { type ResolveOptions, resolve } from './resolve';
import type { Specification, Target } from './specification';

export interface ComparedRow {
  feature: FeatureId;
  side?: Side;
  /** The target under each specification, null where nothing asks for the feature. */
  targets: (Target | null)[];
  /** Whether the columns read differently. */
  differs: boolean;
}

/** Specifications side by side, feature by feature; what none asks for is left out. */
export function compareSpecifications(specifications: readonly Specification[]): ComparedRow[] {
  const row = (feature: FeatureId, side?: Side): ComparedRow[] => {
    const targets = specifications.map((specification) => {
      const list = side ? specification.feet[side] : specification.targets;
      const target = list.find((entry) => entry.feature === feature);
      return target && targetInWords(target) !== 'any' ? target : null;
    });
    if (targets.every((target) => target === null)) return [];
    const words = targets.map((target) => (target ? targetInWords(target) : ''));
    return [{ feature, ...(side ? { side } : {}), targets, differs: new Set(words).size > 1 }];
  };
  return FEATURE_IDS.flatMap((feature) => [...row(feature), ...SIDES.flatMap((side) => row(feature, side))]);
}

/** The same picture under every school. */
export function compareSchools(
  picture: ClinicalPicture,
  options: ResolveOptions = {},
): { schools: SchoolChoice[]; specifications: Specification[]; rows: ComparedRow[] } {
  const schools = Object.keys(SCHOOL_CHOICES) as SchoolChoice[];
  const specifications = schools.map((school) => resolve(picture, { ...options, school }));
  return { schools, specifications, rows: compareSpecifications(specifications) };
}
