import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { HomeReportRecord } from '@/contract/home';
import { writtenDay, writtenMoment } from '@/ui/formats';

interface Props {
  report: HomeReportRecord;
  maySee: boolean;
  onSeen: () => Promise<void>;
  onProblem: (problem: string | undefined) => void;
}

/** One thing that was said; a warning waits until somebody writes what was done about it. */
export function HomeReportLine({ report, maySee, onSeen, onProblem }: Props) {
  const [found, setFound] = useState<string | null>(null);
  const [shows, setShows] = useState(false);
  const waits = report.isWarning && report.seenAt === null;
  const keep = async () => {
    const answer = await call('seeHomeReport', { params: { id: report.id }, body: { found: found ?? '' } });
    if (!answer.ok) return onProblem(failureInWords(answer));
    onProblem(undefined);
    setFound(null);
    await onSeen();
  };
  return (
    <li className={`border-b border-line py-1.5 ${waits ? 'border-s-4 border-s-warn ps-2' : ''}`}>
      <div className="flex flex-wrap gap-x-3 items-baseline">
        <time dateTime={report.at} className="w-24">
          {writtenDay(report.at)}
        </time>
        <span className="grow min-w-48">
          {waits && <strong className="text-warn">Warning: </strong>}
          {report.words}
          {report.pair && <span className="text-faint"> ({report.pair})</span>}
        </span>
        {report.hasPicture && (
          <button type="button" className="press" aria-expanded={shows} onClick={() => setShows(!shows)}>
            {shows ? 'Hide' : 'Show it'}
          </button>
        )}
        {maySee && waits && found === null && (
          <button type="button" className="press" onClick={() => setFound('')}>
            Dealt with
          </button>
        )}
      </div>
      {report.aside && <p className="text-hold">Not in the pair’s record: {report.aside}</p>}
      {report.seenAt !== null && (
        <p className="text-faint">
          {writtenMoment(report.seenAt)}, {report.seenBy}: {report.found}
        </p>
      )}
      {found !== null && (
        <form
          className="flex flex-wrap gap-2 items-end mt-1"
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <label className="grid grow">
            What was done or found
            <input value={found} maxLength={600} onChange={(event) => setFound(event.currentTarget.value)} />
          </label>
          <button className="press press-main" type="submit">
            Keep
          </button>
          <button className="press" type="button" onClick={() => setFound(null)}>
            Not yet
          </button>
        </form>
      )}
      {shows && (
        <img
          src={`/api/v1/home-reports/${report.id}/picture`}
          alt={`From home: ${report.words}`}
          className="max-h-96 mt-1"
        />
      )}
    </li>
  );
}
