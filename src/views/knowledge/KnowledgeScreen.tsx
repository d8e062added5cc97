import { useState } from 'react';
import { Tab, TabList, TabPanel, Tabs } from 'react-aria-components';
import type { HouseRulesVersion, RuleUse } from '@/contract/records';
import type { Proposal } from '@/core/insights/propose-changes';
import { type HouseChange, NO_HOUSE_RULES, ruleOfChange, rulesInForce } from '@/core/knowledge/house-rules';
import { HouseRulesPanel } from './HouseRulesPanel';
import { KnowledgeList } from './KnowledgeList';
import { Proposals } from './Proposals';
import { type HouseDraft, useHouseDraft } from './use-house-draft';
import { Vocabulary } from './Vocabulary';

type Part = 'rules' | 'house' | 'vocabulary';

interface Props {
  versions: HouseRulesVersion[];
  use: RuleUse[];
  /** Changes that this clinic's own record speaks for. */
  proposals: readonly Proposal[];
  /** Only the lead puts house rules in force; everyone may look and try. */
  mayChange: boolean;
}

/** All rules with how they fared in this clinic, and the clinic's own departures from them. */
export function KnowledgeScreen({ versions: first, use, proposals, mayChange }: Props) {
  const [versions, setVersions] = useState(first);
  const current = versions[0] ?? NO_HOUSE_RULES;
  const [draft, setDraft, forget] = useHouseDraft(current);
  const [tab, setTab] = useState<Part>('rules');
  const add = (change: HouseChange) => {
    const rest = draft.changes.filter((entry) => ruleOfChange(entry) !== ruleOfChange(change));
    setDraft({ ...draft, changes: [...rest, change] });
  };
  const put = (part: Partial<HouseDraft>) => setDraft({ ...draft, ...part });
  const title = (id: Part, words: string) => (
    <Tab
      id={id}
      className="pb-1 cursor-pointer outline-offset-4 data-[selected]:font-semibold data-[selected]:border-b-2 data-[selected]:border-accent data-[focus-visible]:outline-2 data-[focus-visible]:outline-accent"
    >
      {words}
    </Tab>
  );
  return (
    <Tabs selectedKey={tab} onSelectionChange={(key) => setTab(key as Part)}>
      <TabList aria-label="Parts of the knowledge" className="flex gap-5 border-b border-line mb-3">
        {title('rules', 'Rules')}
        {title(
          'house',
          `House rules (${current.changes.length})${proposals.length > 0 ? `, ${proposals.length} proposed` : ''}`,
        )}
        {title('vocabulary', 'Vocabulary')}
      </TabList>
      <TabPanel id="rules" className="outline-none">
        <KnowledgeList
          rules={rulesInForce(current)}
          changes={current.changes}
          use={use}
          onChange={(change) => {
            add(change);
            setTab('house');
          }}
        />
      </TabPanel>
      <TabPanel id="house" className="outline-none">
        <Proposals proposals={proposals} draft={draft} onAdd={add} />
        <HouseRulesPanel
          versions={versions}
          draft={draft}
          onDraft={put}
          onAdd={add}
          onForget={forget}
          mayChange={mayChange}
          onSaved={(version) => {
            setVersions([version, ...versions]);
            forget(version);
          }}
        />
      </TabPanel>
      <TabPanel id="vocabulary" className="outline-none">
        <Vocabulary />
      </TabPanel>
    </Tabs>
  );
}
