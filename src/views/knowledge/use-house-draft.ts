import { useEffect, useState } from 'react';
import type { HouseChange, HouseRules } from '@/core/knowledge/house-rules';
import type { WhatIfSettings } from '@/core/what-if/what-if';

/** House rules being worked on, from the version they started from. */
export interface HouseDraft {
  basedOn: number;
  changes: readonly HouseChange[];
  settings: WhatIfSettings;
  note: string;
}

const KEY = 'sovet house rules draft';

const fresh = ({ version, changes, settings }: HouseRules): HouseDraft => ({
  basedOn: version,
  changes,
  settings,
  note: '',
});

/** A draft that outlives a reload; a version put in force by somebody else does not wipe it. */
export function useHouseDraft(
  current: HouseRules,
): [HouseDraft, (draft: HouseDraft) => void, (from?: HouseRules) => void] {
  const [draft, setDraft] = useState(() => fresh(current));
  useEffect(() => {
    try {
      const kept = localStorage.getItem(KEY);
      if (kept) setDraft(JSON.parse(kept) as HouseDraft);
    } catch {
      // A full or closed store keeps nothing; the page still works.
    }
  }, []);
  const put = (next: HouseDraft) => {
    setDraft(next);
    try {
      localStorage.setItem(KEY, JSON.stringify(next));
    } catch {
      // As above.
    }
  };
  const forget = (from: HouseRules = current) => {
    setDraft(fresh(from));
    try {
      localStorage.removeItem(KEY);
    } catch {
      // As above.
    }
  };
  return [draft, put, forget];
}
