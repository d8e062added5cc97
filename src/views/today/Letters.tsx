/** @jsxImportSource preact */
import type { RecallLetters } from '@/contract/recall';
import { recallKind } from '@/core/recall/kinds';
import { writtenMoment } from '@/ui/formats';

/** What became of letters that were asked for: by mail, to be printed, or not and why not. */
export function Letters({
  written: { letters, sendAt },
  onClose,
}: {
  written: RecallLetters;
  onClose: () => void;
}) {
  const mail = letters.filter(({ went }) => went === 'mail');
  const print = letters.filter(({ went }) => went === 'print');
  const not = letters.filter(({ went }) => went === 'not');
  return (
    <section aria-label="Letters" className="border-2 border-accent p-3 mb-4">
      <div className="no-print" role="status">
        {mail.length > 0 && (
          <p>
            {mail.length} by mail, out on {writtenMoment(sendAt)}.
          </p>
        )}
        {not.length > 0 && (
          <>
            <p>Not written to:</p>
            <ul className="list-disc ps-5">
              {not.map(({ patient, kind, why }) => (
                <li key={`${patient.id} ${kind}`}>
                  <a href={`/patients/${patient.id}`}>
                    <bdi>{patient.name}</bdi>
                  </a>
                  , {recallKind(kind).title}: {why}
                </li>
              ))}
            </ul>
          </>
        )}
        <div className="flex gap-3 mt-2">
          {print.length > 0 && (
            <button type="button" className="press press-main" onClick={() => window.print()}>
              Print {print.length === 1 ? 'one letter' : `${print.length} letters`}
            </button>
          )}
          <button type="button" className="press" onClick={onClose}>
            Close
          </button>
        </div>
      </div>
      {print.map(({ patient, kind, print: letter }) =>
        letter === null ? null : (
          <article
            key={`${patient.id} ${kind}`}
            lang={letter.language}
            className="border border-line p-6 mt-3 max-w-2xl whitespace-pre-line break-after-page"
          >
            <address className="not-italic mb-8">
              <bdi>{patient.name}</bdi>
              {'\n'}
              {letter.address}
            </address>
            {letter.body}
          </article>
        ),
      )}
    </section>
  );
}
