import { useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { ClinicLanguage, ClinicTexts } from '@/contract/texts-schema';
import { checkText } from '@/core/texts/check-text';
import { languageTag } from '@/core/texts/tags';
import { FormProblem } from '@/ui/fields/Field';
import { AddLanguage } from './AddLanguage';
import { MessageFiles } from './MessageFiles';
import { TextRow } from './TextRow';

/** What each part of a sheet is called here, by the first word of its keys. */
const PARTS: Readonly<Record<string, string>> = {
  title: 'Head of the page',
  why: 'What matters in the pair',
  fit: 'How it should fit',
  change: 'Changes to the pair',
  lift: 'A shorter leg',
  shoe: 'Left and right',
  lacing: 'Lacing',
  closure: 'Other ways of closing',
  'break-in': 'Getting used to it',
  socks: 'Socks and skin',
  place: 'Places on the foot',
  care: 'Looking after it',
  dates: 'When to come back',
  again: 'Buying the same again',
  stop: 'Stop and call',
  caution: 'The caution',
  shop: 'Buying elsewhere',
  label: 'Label',
  date: 'Calendar of the patient',
  employer: 'Letter to the employer',
  closes: 'Closing, for the employer',
  has: 'What the pair has, for the employer',
  side: 'Sides of the foot',
  feature: 'Parts of a shoe, and what each is for',
  pdf: 'Printing',
};
const HEAD = new Set(['size', 'for']);
const partOf = (key: string): string => {
  const [first = ''] = key.split(/[._]/);
  const part = HEAD.has(first) ? 'title' : first === 'changes' ? 'change' : first;
  return PARTS[part] ?? 'Other';
};

interface Props {
  languages: readonly ClinicLanguage[];
  given: ClinicTexts;
}

/** Every sentence of one language, the clinic's own beside the standard; kept all at once. */
export function Texts({ languages, given }: Props) {
  const [texts, setTexts] = useState(given.texts);
  const [drafts, setDrafts] = useState<Readonly<Record<string, string>>>({});
  const [words, setWords] = useState('');
  const [onlyOwn, setOnlyOwn] = useState(false);
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const [busy, setBusy] = useState(false);
  const { language, name, direction, isShipped } = given;
  const ownOf = (key: string, own: string | null) => drafts[key] ?? own ?? '';
  const problemOf = (key: string, standard: string): string | null => {
    const draft = drafts[key];
    if (draft === undefined) return null;
    const read = checkText(standard, draft);
    return read.ok ? null : read.problem.message;
  };
  const changed = Object.keys(drafts).length;
  const wrong = texts.filter(({ key, standard }) => problemOf(key, standard) !== null).length;
  const missing = isShipped ? 0 : texts.filter(({ key, own }) => ownOf(key, own).trim() === '').length;
  const sought = words.trim().toLowerCase();
  const shown = texts.filter(
    ({ key, standard, own }) =>
      (!onlyOwn || ownOf(key, own) !== '') &&
      (sought === '' || [key, standard, ownOf(key, own)].join(' ').toLowerCase().includes(sought)),
  );
  const parts = [...new Set(shown.map(({ key }) => partOf(key)))];
  const keep = async () => {
    setBusy(true);
    const result = await call('changeTexts', { params: { language }, body: { texts: { ...drafts } } });
    setBusy(false);
    setAnswer(result);
    if (!result.ok) return;
    setTexts(result.value.texts);
    setDrafts({});
  };
  const draft = (key: string, text: string, own: string | null) => {
    const { [key]: _, ...rest } = drafts;
    setDrafts(text === (own ?? '') ? rest : { ...drafts, [key]: text });
  };
  return (
    <div className="grid gap-3">
      <nav aria-label="Languages" className="flex flex-wrap gap-3 items-end">
        {languages.map((entry) => (
          <a
            key={entry.language}
            href={`/texts?language=${entry.language}`}
            className={entry.language === language ? 'press press-main' : 'press'}
            aria-current={entry.language === language ? 'page' : undefined}
          >
            {entry.name}
            {entry.lacking > 0 && ` (${entry.lacking} to write)`}
          </a>
        ))}
        <AddLanguage open={languageTag} />
      </nav>
      <div className="flex flex-wrap gap-4 items-end border-t border-rule pt-2">
        <label>
          <span className="block text-faint">Find</span>
          <input type="search" value={words} onChange={({ target }) => setWords(target.value)} />
        </label>
        <label className="pb-1.5">
          <input type="checkbox" checked={onlyOwn} onChange={({ target }) => setOnlyOwn(target.checked)} />{' '}
          only our own
        </label>
        <MessageFiles
          language={language}
          texts={texts.map(({ key, standard, own }) => [key, ownOf(key, own) || (isShipped ? standard : '')])}
          onRead={(read) => setDrafts({ ...drafts, ...read })}
        />
        <button
          type="button"
          className="press press-main ml-auto"
          disabled={busy || changed === 0 || wrong > 0}
          onClick={keep}
        >
          {changed === 0 ? 'Nothing changed' : `Keep ${changed} ${changed === 1 ? 'sentence' : 'sentences'}`}
        </button>
      </div>
      <p role="status" className={missing > 0 ? 'text-hold' : 'text-faint'}>
        {missing > 0
          ? `${name}: ${missing} of ${texts.length} sentences are still to be written. Patients can be given it once all are there.`
          : `${name}: every sentence is there${changed > 0 ? ', and not all are kept yet' : ''}.`}
        {wrong > 0 && ` ${wrong} cannot be used yet.`}
      </p>
      <FormProblem message={answer && !answer.ok ? failureInWords(answer) : undefined} />
      {parts.map((part) => (
        <section key={part} aria-label={part}>
          <h2>{part}</h2>
          {shown
            .filter(({ key }) => partOf(key) === part)
            .map(({ key, standard, own }) => (
              <TextRow
                key={key}
                id={key}
                language={language}
                direction={direction}
                standard={standard}
                value={ownOf(key, own)}
                problem={problemOf(key, standard)}
                onChange={(text) => draft(key, text, own)}
              />
            ))}
        </section>
      ))}
      {shown.length === 0 && <p>No sentence contains these words.</p>}
    </div>
  );
}
