import type { Proposal } from '@/core/insights/propose-changes';
import { type HouseChange, ruleOfChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import type { HouseDraft } from './use-house-draft';

const findingOf = (id: string) => RULES.find((rule) => rule.id === id)?.finding ?? id;

const says = ({ change }: Proposal): string =>
  change === null
    ? 'It is a limit: talk about it; nothing looser is proposed.'
    : change.kind === 'off'
      ? 'Could be switched off.'
      : `Could be made ${change.strength}.`;

/** Rules that this clinic's own record speaks against: each with its evidence, to take into the draft or to leave. */
export function Proposals({
  proposals,
  draft,
  onAdd,
}: {
  proposals: readonly Proposal[];
  draft: HouseDraft;
  onAdd: (change: HouseChange) => void;
}) {
  if (proposals.length === 0) return null;
  const drafted = new Set(draft.changes.map(ruleOfChange));
  return (
    <section
      aria-label="Proposed from this clinic’s own record"
      className="bg-desk px-4 py-3 mb-4 grid gap-2"
    >
      <h2>Proposed from this clinic’s own record</h2>
      <ul className="grid gap-2">
        {proposals.map((proposal) => (
          <li
            key={proposal.rule}
            className="grid md:grid-cols-[minmax(0,1fr)_auto] gap-4 items-start border-b border-line pb-1"
          >
            <p>
              <strong>{findingOf(proposal.rule)}</strong>. {proposal.evidence} {says(proposal)}
            </p>
            {proposal.change && (
              <button
                type="button"
                className="press"
                disabled={drafted.has(proposal.rule)}
                onClick={() => proposal.change && onAdd(proposal.change)}
              >
                {drafted.has(proposal.rule) ? 'In the draft' : 'Take into the draft'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="text-faint text-sm">
        Nothing changes by itself: the preview says which past prescriptions would differ, and the clinic’s
        lead puts a draft in force. Proposed from six prescriptions on, once even the low end of Wilson’s
        interval (95 %) has a quarter overruled; from half on, the rule could go. Ours.
      </p>
    </section>
  );
}
