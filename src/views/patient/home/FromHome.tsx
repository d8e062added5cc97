import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { HomeRecord } from '@/contract/home';
import { HomeLinks } from './HomeLinks';
import { HomeReportLine } from './HomeReportLine';

interface Props {
  patientId: string;
  given: HomeRecord;
  /** Who may write what was found. */
  maySee: boolean;
}

const SHOWN = 6;

/** What a patient says from home, warnings first, and the links to their own page. */
export function FromHome({ patientId, given, maySee }: Props) {
  const [record, setRecord] = useState(given);
  const [problem, setProblem] = useState<string>();
  const [all, setAll] = useState(false);
  const refresh = async () => {
    const answer = await call('homeOfPatient', { params: { id: patientId } });
    if (answer.ok) setRecord(answer.value);
    else setProblem(failureInWords(answer));
  };
  const make = async (days: 90 | 180 | 365) => {
    const answer = await call('makeHomeLink', { params: { id: patientId }, body: { days } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    if (answer.ok) setRecord(answer.value);
  };
  const close = async (id: string) => {
    const answer = await call('revokeHomeLink', { params: { id } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    await refresh();
  };
  const { reports, links } = record;
  const shown = all ? reports : reports.slice(0, SHOWN);
  return (
    <div className="grid lg:grid-cols-[3fr_2fr] gap-x-8 gap-y-4">
      <div>
        {reports.length === 0 ? (
          <p className="text-faint">Nothing has come from home yet.</p>
        ) : (
          <>
            <p className="text-faint">Said by the patient, not verified.</p>
            <ul>
              {shown.map((report) => (
                <HomeReportLine
                  key={report.id}
                  report={report}
                  maySee={maySee}
                  onSeen={refresh}
                  onProblem={setProblem}
                />
              ))}
            </ul>
            {reports.length > shown.length && (
              <button type="button" className="press mt-2" onClick={() => setAll(true)}>
                {reports.length - shown.length} earlier
              </button>
            )}
          </>
        )}
      </div>
      <HomeLinks links={links} onMake={make} onClose={close} />
      {problem && (
        <p role="alert" className="text-warn">
          {problem}
        </p>
      )}
    </div>
  );
}
