import { useEffect, useRef, useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call, fetchFile } from '@/contract/client';
import type { HomeReportRecord } from '@/contract/home';
import { FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { useExamined } from '../visit-context';

type Readable = NonNullable<HomeReportRecord['reads']>;

interface Props {
  kind: Readable['kind'];
  /** Its pictures in order, and how many a second a film has. */
  onFiles: (files: File[], perSecond: number | null) => void;
}

/** How readings from such a picture are marked. */
export const FROM_HOME_MARK = 'from home, unverified';

/** What the patient sent from home that this reader takes; nothing where there is none. */
export function FromHome({ kind, onFiles }: Props) {
  const { visit } = useExamined();
  const [reports, setReports] = useState<HomeReportRecord[]>([]);
  const [busy, setBusy] = useState<{ id: string; fetched: number; many: number } | null>(null);
  const left = useRef(new AbortController());
  const [problem, setProblem] = useState<string | undefined>();
  useEffect(() => {
    let isGone = false;
    void call('homeOfPatient', { params: { id: visit.patient.id } }).then((answer) => {
      if (isGone) return;
      if (answer.ok) setReports(answer.value.reports.filter(({ reads }) => reads?.kind === kind));
      else setProblem(failureInWords(answer));
    });
    return () => {
      isGone = true;
    };
  }, [visit.patient.id, kind]);
  // Closing the choice ends what is being fetched.
  useEffect(() => {
    const controller = new AbortController();
    left.current = controller;
    return () => controller.abort();
  }, []);
  const take = async ({ id, reads }: HomeReportRecord) => {
    const { signal } = left.current;
    const many = reads?.kind === 'clip' ? reads.frames : 1;
    const files: File[] = [];
    for (let frame = 0; frame < many; frame += 1) {
      setBusy({ id, fetched: frame, many });
      const answer = await fetchFile(
        'homePicture',
        { params: { id }, query: reads?.kind === 'clip' ? { frame } : {} },
        { signal },
      );
      if (signal.aborted) return;
      if (!answer.ok) {
        setBusy(null);
        return setProblem(failureInWords(answer));
      }
      files.push(
        new File([answer.value], `home-${String(frame).padStart(3, '0')}.jpg`, { type: 'image/jpeg' }),
      );
    }
    setBusy(null);
    onFiles(files, reads?.kind === 'clip' ? reads.perSecond : null);
  };
  if (reports.length === 0) return <FormProblem message={problem} />;
  return (
    <fieldset className="border-t border-line pt-3 grid gap-1 justify-items-start">
      <legend className="font-medium">From home, unverified</legend>
      {reports.map((report) => (
        <button
          key={report.id}
          type="button"
          className="press"
          disabled={busy !== null}
          onClick={() => void take(report)}
        >
          {busy?.id === report.id
            ? `Fetching ${busy.fetched + 1} of ${busy.many} …`
            : `${writtenDay(report.at)}: ${report.words}`}
        </button>
      ))}
      <FormProblem message={problem} />
    </fieldset>
  );
}
