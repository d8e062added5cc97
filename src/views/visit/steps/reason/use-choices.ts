import type { Decision } from '@/core/prescribe/engine/specification';
import type { FeatureId } from '@/core/shoe/features';
import type { Choices } from '@/core/visit/contents';
import { useExamined } from '../../visit-context';

/** The choices of this visit: school, what was set aside, what was decided, the pinned what-if. */
export function useChoices() {
  const { store, state, mayDecide } = useExamined();
  const choices = state.steps.reason.content;
  const save = (part: Choices) => store.change('reason', { ...choices, ...part });
  const aside = choices.setAside ?? [];
  const decisions = choices.decisions ?? [];
  const others = (rule: string, feature: FeatureId) =>
    aside.filter((entry) => entry.rule !== rule || entry.feature !== feature);
  const otherDecisions = ({ feature, side }: Pick<Decision, 'feature' | 'side'>) =>
    decisions.filter((entry) => entry.feature !== feature || entry.side !== side);
  return {
    choices,
    /** Closed, or not for this reader to decide. */
    readOnly: !mayDecide,
    save,
    setAside: (rule: string, feature: FeatureId, reason: string) =>
      save({ setAside: [...others(rule, feature), { rule, feature, reason }] }),
    takeBack: (rule: string, feature: FeatureId) => save({ setAside: others(rule, feature) }),
    decide: (decision: Decision) => save({ decisions: [...otherDecisions(decision), decision] }),
    undecide: (place: Pick<Decision, 'feature' | 'side'>) => save({ decisions: otherDecisions(place) }),
  };
}
