import { useState } from 'react';
import { wishInWords } from '@/core/knowledge/in-words';
import { RULES } from '@/core/knowledge/knowledge-base';
import type { Rule } from '@/core/knowledge/rule';
import { sourceInWords } from '@/core/knowledge/sources';
import { MarkShape } from '@/ui/drawing/Marks';

const matches = (rule: Rule, words: string): boolean =>
  `${rule.finding} ${rule.because} ${rule.topic} ${rule.wishes.map(wishInWords).join(' ')}`
    .toLowerCase()
    .includes(words.trim().toLowerCase());

/** Rules by topic, with a search over findings, features and reasons. */
export function KnowledgeList() {
  const [words, setWords] = useState('');
  const found = RULES.filter((rule) => matches(rule, words));
  const topics = [...new Set(found.map((rule) => rule.topic))];
  return (
    <>
      <label className="block mb-3">
        <span className="block text-faint">Search findings, features, reasons</span>
        <input className="w-80" value={words} onChange={(event) => setWords(event.target.value)} />{' '}
        <span role="status" className="text-faint">
          {found.length} of {RULES.length} rules
        </span>
      </label>
      {topics.map((topic) => (
        <section key={topic} className="grid grid-cols-[11rem_1fr] gap-6 border-t border-rule pt-2 mb-4">
          <h2>{topic}</h2>
          <ul>
            {found
              .filter((rule) => rule.topic === topic)
              .map((rule) => (
                <li key={rule.id} className="border-b border-line pb-2 mb-2">
                  <p>
                    <strong>{rule.finding}</strong>{' '}
                    <span className="text-faint">
                      {rule.strength}, evidence {rule.evidence}
                      {rule.schools.length > 0 && `, ${rule.schools.join(' and ')} school`}
                    </span>
                    {rule.contestedBy && (
                      <span>
                        {' '}
                        <MarkShape mark="contested" /> contested
                      </span>
                    )}
                  </p>
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
                  <p className="text-faint text-sm">{rule.sources.map(sourceInWords).join('; ')}</p>
                  {rule.caution && <p className="text-hold text-sm">{rule.caution}</p>}
                </li>
              ))}
          </ul>
        </section>
      ))}
      {found.length === 0 && <p>No rule speaks of that.</p>}
    </>
  );
}
