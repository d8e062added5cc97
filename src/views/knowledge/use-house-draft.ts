import type { HouseChange, HouseRules, HouseSettings } from '@/core/knowledge/house-rules';
import { useKeptDraft } from '../use-kept-draft';

/** House rules being worked on, from the version they started from. */
export interface HouseDraft {
  basedOn: number;
  changes: readonly HouseChange[];
  settings: HouseSettings;
  note: string;
}

const isHouseDraft = (kept: unknown): kept is HouseDraft =>
  typeof kept === 'object' && kept !== null && 'basedOn' in kept && 'changes' in kept && 'settings' in kept;

const draftFrom = ({ version, changes, settings }: HouseRules): HouseDraft => ({
  basedOn: version,
  changes,
  settings,
  note: '',
});

/** A draft that outlives a reload; a version put in force by somebody else does not wipe it. */
export function useHouseDraft(
  current: HouseRules,
): [HouseDraft, (draft: HouseDraft) => void, (from?: HouseRules) => void] {
  const [draft, put, drop] = useKeptDraft('sovet house rules draft', draftFrom(current), isHouseDraft);
  return [draft, put, (from = current) => drop(draftFrom(from))];
}
