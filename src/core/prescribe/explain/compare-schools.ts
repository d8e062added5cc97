import { SIDES, type Side } from '../../findings/finding-kinds';
import type { ClinicalPicture } from '../../findings/picture';
import { SCHOOL_CHOICES, type SchoolChoice } from '../../knowledge/schools';
import { FEATURE_IDS, type FeatureId } from '../../shoe/features';
import { keysOf } from '../../tables/keys-of';
import { type ResolveOptions, resolve } from '../engine/resolve';
import type { Specification, Target } from '../engine/specification';
import { targetInWords } from './in-words';

export interface ComparedTargetRow {
  feature: FeatureId;
  side?: Side;
  /** The target under each specification, null where nothing asks for the feature. */
  targets: (Target | null)[];
  /** Whether the columns read differently. */
  differs: boolean;
}

/** Specifications side by side, feature by feature; what none asks for is left out. */
export function compareSpecifications(specifications: readonly Specification[]): ComparedTargetRow[] {
  const row = (feature: FeatureId, side?: Side): ComparedTargetRow[] => {
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
): { schools: SchoolChoice[]; specifications: Specification[]; rows: ComparedTargetRow[] } {
  const schools = keysOf(SCHOOL_CHOICES);
  const specifications = schools.map((school) => resolve(picture, { ...options, school }));
  return { schools, specifications, rows: compareSpecifications(specifications) };
}
