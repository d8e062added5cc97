import { memo, useDeferredValue, useState } from 'react';
import type { RuleUse } from '@/contract/records';
import { type HouseChange, ruleOfChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import type { EvidenceGrade, Rule, School } from '@/core/knowledge/rule';
import { memoize } from '@/core/memo/memoize';
import { conditionInWords, wishInWords } from '@/core/prescribe/explain/rule-in-words';
import { FEATURE_IDS, featureOf } from '@/core/shoe/features';
import { recallOf, sourceInWords } from '@/core/sources/sources';
import { MarkShape } from '@/ui/drawing/Marks';
import { ChangeRule } from './ChangeRule';

interface Filter {
  words: string;
  topic: string;
  feature: string;
  school: '' | School | 'every';
  evidence: '' | EvidenceGrade;
  only: '' | 'contested' | 'changed' | 'overruled' | 'never';
}
const ALL: Filter = { words: '', topic: '', feature: '', school: '', evidence: '', only: '' };

/** All that a search looks through, in small letters; worked out once a rule and not for each letter that is typed. */
const textOf = memoize((rule: Rule): string =>
  [
    rule.id,
    rule.finding,
    rule.because,
    rule.topic,
    ...rule.wishes.map(wishInWords),
    ...rule.sources.map(sourceInWords),
  ]
    .join(' ')
    .toLowerCase(),
);

interface Props {
  rules: readonly Rule[];
  changes: readonly HouseChange[];
  use: readonly RuleUse[];
  onChange: (change: HouseChange) => void;
}

const inTimes = (count: number): string => (count === 1 ? 'once' : `${count} times`);

/** Rules by topic, feature, school and evidence, each with how often it was applied and overruled here. */
export function KnowledgeList({ rules, changes, use, onChange }: Props) {
  const [filter, setFilter] = useState(ALL);
  const put = (part: Partial<Filter>) => setFilter({ ...filter, ...part });
  const off = new Set(changes.flatMap((change) => (change.kind === 'off' ? [change.rule] : [])));
  const changed = new Map(changes.map((change) => [ruleOfChange(change), change]));
  const uses = new Map(use.map((entry) => [entry.rule, entry]));
  // What is switched off stays in sight.
  const all = [...rules, ...RULES.filter((rule) => off.has(rule.id))];
  // The field is drawn first: hundreds of rules come after the letter that asks for them.
  const asked = useDeferredValue(filter);
  const words = asked.words.trim().toLowerCase();
  const found = all.filter(
    (rule) =>
      textOf(rule).includes(words) &&
      (!asked.topic || rule.topic === asked.topic) &&
      (!asked.feature || rule.wishes.some((wish) => wish.feature === asked.feature)) &&
      (!asked.school ||
        (asked.school === 'every' ? rule.schools.length === 0 : rule.schools.includes(asked.school))) &&
      (!asked.evidence || rule.evidence === asked.evidence) &&
      (asked.only !== 'contested' || rule.contestedBy !== undefined) &&
      (asked.only !== 'changed' || changed.has(rule.id)) &&
      (asked.only !== 'overruled' || (uses.get(rule.id)?.overruled ?? 0) > 0) &&
      (asked.only !== 'never' || !uses.has(rule.id)),
  );
  const topics = [...new Set(all.map((rule) => rule.topic))];
  return (
    <>
      <Filters filter={filter} topics={topics} onChange={put} />
      <p role="status" className="text-faint mb-2">
        {found.length} of {all.length} rules
        {filter !== ALL && (
          <button type="button" className="press press-quiet" onClick={() => setFilter(ALL)}>
            Show all
          </button>
        )}
      </p>
      {topics
        .filter((topic) => found.some((rule) => rule.topic === topic))
        .map((topic) => (
          <section key={topic} className="grid md:grid-cols-[11rem_1fr] gap-6 border-t border-rule pt-2 mb-4">
            <h2>{topic}</h2>
            <ul>
              {found
                .filter((rule) => rule.topic === topic)
                .map((rule) => (
                  <KeptEntry
                    key={rule.id}
                    rule={rule}
                    use={uses.get(rule.id)}
                    change={changed.get(rule.id)}
                    onChange={onChange}
                  />
                ))}
            </ul>
          </section>
        ))}
      {found.length === 0 && <p>No rule matches.</p>}
    </>
  );
}

function Filters({
  filter,
  topics,
  onChange,
}: {
  filter: Filter;
  topics: readonly string[];
  onChange: (part: Partial<Filter>) => void;
}) {
  const select = (key: keyof Filter, label: string, options: readonly (readonly [string, string])[]) => (
    <label>
      <span className="block text-faint text-xs">{label}</span>
      <select
        className="w-36"
        value={filter[key]}
        onChange={(event) => onChange({ [key]: event.target.value })}
      >
        <option value="">any</option>
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="flex flex-wrap gap-2 mb-2 items-end">
      <label className="grow max-w-56">
        <span className="block text-faint text-xs">Search rules</span>
        <input
          className="w-full"
          value={filter.words}
          onChange={(event) => onChange({ words: event.target.value })}
        />
      </label>
      {select(
        'topic',
        'Topic',
        topics.map((topic) => [topic, topic]),
      )}
      {select(
        'feature',
        'Feature',
        FEATURE_IDS.map((id) => [id, featureOf(id).label]),
      )}
      {select('school', 'School', [
        ['every', 'every school'],
        ['shape', 'shape-led'],
        ['comfort', 'comfort-led'],
        ['load', 'load-led'],
      ])}
      {select('evidence', 'Evidence', [
        ['A', 'A, guideline or trial'],
        ['B', 'B, cohort or laboratory'],
        ['C', 'C, common practice'],
      ])}
      {select('only', 'Only', [
        ['contested', 'contested'],
        ['changed', 'changed by this clinic'],
        ['overruled', 'overruled here'],
        ['never', 'never applied here'],
      ])}
    </div>
  );
}

interface EntryProps {
  rule: Rule;
  use: RuleUse | undefined;
  change: HouseChange | undefined;
  onChange: (change: HouseChange) => void;
}

function RuleEntry({ rule, use, change, onChange }: EntryProps) {
  const recall = recallOf(rule.sources);
  return (
    <li
      id={rule.id}
      className="border-b border-line pb-2 mb-2 grid md:grid-cols-[1fr_9rem] gap-4 scroll-mt-4"
    >
      <div className={change?.kind === 'off' ? 'text-faint' : ''}>
        <p>
          <strong className={change?.kind === 'off' ? 'line-through' : ''}>{rule.finding}</strong>{' '}
          <span className="text-faint">
            {rule.strength}, evidence {rule.evidence}
            {rule.schools.length > 0 && `, ${rule.schools.join(' and ')} school`}
          </span>
          {rule.contestedBy && (
            <span className="text-sm">
              {' '}
              <MarkShape mark="contested" /> contested by{' '}
              {rule.contestedBy.map((id, at) => (
                <span key={id}>
                  {at > 0 && ', '}
                  <a href={`#${id}`}>{RULES.find((other) => other.id === id)?.finding ?? id}</a>
                </span>
              ))}
            </span>
          )}
        </p>
        <p className="text-sm text-faint">When {conditionInWords(rule.when)}.</p>
        <p>
          {rule.wishes
            .map(
              (wish) =>
                wishInWords(wish) +
                (wish.strength && wish.strength !== rule.strength ? ` (${wish.strength})` : ''),
            )
            .join('; ')}
          .
        </p>
        <p className="text-faint">{rule.because}</p>
        <p className="text-faint text-sm">
          {rule.sources.map(sourceInWords).join('; ')}
          {recall !== null && `. Recalled with ${recall} % confidence`}.
        </p>
        {rule.caution && <p className="text-hold text-sm">{rule.caution}</p>}
      </div>
      <div className="text-sm">
        <p className="figure">
          {use ? `applied ${inTimes(use.fired)}` : 'never applied'}
          {use && use.overruled > 0 && (
            <span className="text-hold">, overruled {inTimes(use.overruled)}</span>
          )}
        </p>
        {change ? (
          <p className="text-hold">
            {change.kind === 'off'
              ? 'switched off here'
              : change.kind === 'strength'
                ? `made ${change.strength} here`
                : 'this clinic’s own'}
            : {change.reason}
          </p>
        ) : (
          <ChangeRule rule={rule} onChange={onChange} />
        )}
      </div>
    </li>
  );
}

/** One of hundreds: drawn again only where something of its own has changed. */
const KeptEntry = memo(RuleEntry);
