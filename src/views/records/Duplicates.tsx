import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { Duplicates as Found, LikelyRecord } from '@/contract/patients-schema';
import { writtenDay, writtenMoment } from '@/ui/formats';

const many = (count: number, one: string) => `${count === 0 ? 'no' : count} ${one}${count === 1 ? '' : 's'}`;

/** What would move if this record were folded into the other. */
const wouldMove = ({ visits, pairs, orders }: LikelyRecord): string =>
  `${many(visits, 'visit')}, ${many(pairs, 'pair')} and ${many(orders, 'order')}`;

/** Records that may be one person, side by side, to be folded into one and taken apart again. */
export function Duplicates({ found }: { found: Found }) {
  const [list, setList] = useState(found);
  const [said, setSaid] = useState<{ problem: boolean; words: string } | null>(null);
  const refresh = async () => {
    const answer = await call('duplicates', {});
    if (answer.ok) setList(answer.value);
  };
  const fold = async (kept: LikelyRecord, folded: LikelyRecord) => {
    const answer = await call('mergePatients', { params: { id: kept.id }, body: { folded: folded.id } });
    setSaid(
      answer.ok
        ? { problem: false, words: `${wouldMove(folded)} of ${folded.name} now stand with ${kept.name}.` }
        : { problem: true, words: failureInWords(answer) },
    );
    await refresh();
  };
  const undo = async (id: string) => {
    const answer = await call('undoMerge', { params: { id } });
    setSaid(
      answer.ok
        ? {
            problem: false,
            words: 'They are two records again. What came since stays with the one that was kept.',
          }
        : { problem: true, words: failureInWords(answer) },
    );
    await refresh();
  };
  return (
    <>
      {said && (
        <p role={said.problem ? 'alert' : 'status'} className={said.problem ? 'problem' : 'my-2'}>
          {said.words}
        </p>
      )}
      {list.likely.length === 0 && <p>No two records look like the same person.</p>}
      <ul>
        {list.likely.map(({ why, records: [one, other] }) => (
          <li key={`${one.id} ${other.id}`} className="border-t border-rule py-3">
            <p className="text-faint">{why}</p>
            <div className="grid grid-cols-2 gap-8 mt-1">
              <Record record={one} other={other} onFold={() => void fold(one, other)} />
              <Record record={other} other={one} onFold={() => void fold(other, one)} />
            </div>
          </li>
        ))}
      </ul>
      {list.merged.length > 0 && (
        <section aria-labelledby="merged" className="border-t border-rule pt-2 mt-6">
          <h2 id="merged">Folded into one</h2>
          <ul>
            {list.merged.map(({ id, kept, name, by, at, moved }) => (
              <li
                key={id}
                className="grid grid-cols-[1fr_auto] gap-4 items-baseline border-b border-line py-1"
              >
                <span>
                  {name} into <a href={`/patients/${kept}`}>this record</a>, {writtenMoment(at)}, by {by};{' '}
                  {many(moved, 'entry').replace('entrys', 'entries')} moved
                </span>
                <button
                  type="button"
                  className="press"
                  aria-label={`Take apart: ${name}`}
                  onClick={() => void undo(id)}
                >
                  Take apart
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

interface RecordProps {
  record: LikelyRecord;
  other: LikelyRecord;
  onFold: () => void;
}

/** One of the two; what differs from the other stands out. */
function Record({ record, other, onFold }: RecordProps) {
  const [sure, setSure] = useState(false);
  const row = (label: string, mine: string, theirs: string) => (
    <>
      <dt className="text-faint">{label}</dt>
      <dd className={mine === theirs ? '' : 'font-semibold'}>{mine === '' ? 'not noted' : mine}</dd>
    </>
  );
  return (
    <div>
      <h3>
        <a href={`/patients/${record.id}`}>{record.name}</a>
      </h3>
      <dl className="grid grid-cols-[8rem_1fr] gap-x-3">
        {row('Born', writtenDay(record.bornOn), writtenDay(other.bornOn))}
        {row('Occupation', record.occupation, other.occupation)}
        {row('Phone', record.phone, other.phone)}
        {row('Here since', writtenDay(record.since), writtenDay(other.since))}
        {row('Holds', wouldMove(record), wouldMove(other))}
      </dl>
      {record.openVisit && <p className="text-hold">A visit is open.</p>}
      {sure ? (
        <p className="bg-desk p-3 mt-2">
          From the other record come here: {wouldMove(other)}. Name, date of birth and ways to reach stay as
          they are here. It can be taken apart again.
          <span className="flex gap-3 mt-2">
            <button type="button" className="press press-main" onClick={onFold}>
              Fold them
            </button>
            <button type="button" className="press" onClick={() => setSure(false)}>
              Leave them
            </button>
          </span>
        </p>
      ) : (
        <button
          type="button"
          className="press mt-2"
          aria-label={`Keep this record: ${record.name}, born ${writtenDay(record.bornOn)}`}
          onClick={() => setSure(true)}
        >
          Keep this one, fold the other into it …
        </button>
      )}
    </div>
  );
}
