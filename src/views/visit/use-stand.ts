import { useMemo } from 'react';
import type { FootToStandOn } from '@/core/match/on-foot';
import { prostheticFootOf } from '@/core/prosthesis/on-this-foot';
import { useExamined } from './visit-context';

/** The prosthetic foot of this visit under the clinic’s tolerance; null without one. */
export function useStand(): FootToStandOn | null {
  const { picture, visit } = useExamined();
  const tolerance = visit.house.settings.prosthesis;
  return useMemo(() => {
    const foot = prostheticFootOf(picture);
    return foot && { foot, tolerance };
  }, [picture, tolerance]);
}
