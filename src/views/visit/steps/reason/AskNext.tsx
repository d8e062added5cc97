import { definitionOf } from '@/core/findings/findings';
import { featureOf } from '@/core/shoe/features';
import { STEP_NAME } from '@/core/visit/steps';
import { Failed } from '@/ui/page/Failed';
import { DataTable } from '@/ui/table/DataTable';
import { timeInWords } from '../../time-in-words';
import { useExamined } from '../../visit-context';

/** How many open questions are shown at once. */
const SHOWN = 15;

/** What nobody has examined, ranked by how much knowing it could change the specification. */
export function AskNext() {
  const { reasoning } = useExamined();
  if (reasoning.problem) return <Failed problem={reasoning.problem} onRetry={reasoning.retry} />;
  if (!reasoning.answer) return <p role="status">Working out what to ask next …</p>;
  const { questions } = reasoning.answer;
  const most = questions[0]?.expected ?? 1;
  if (questions.length === 0) return <p>Nothing that is still open could change this specification.</p>;
  return (
    <div className="grid gap-2">
      <DataTable
        className="text-xs"
        spacing="tight"
        rows={questions.slice(0, SHOWN)}
        keyOf={(question) => question.finding}
        columns={[
          {
            id: 'finding',
            head: 'Not examined',
            namesRow: true,
            className: 'text-ink',
            cell: (question) => (
              <>
                {question.step ? (
                  <a href={`#${question.step}`}>{definitionOf(question.finding).label}</a>
                ) : (
                  definitionOf(question.finding).label
                )}
                {question.sides.length === 1 && `, ${question.sides[0]}`}
                {question.lacksAmount && <span className="text-hold"> a rule waits for this amount</span>}
                {question.because && <span className="text-hold block">{question.because}</span>}
                {question.step && <span className="text-faint"> {STEP_NAME[question.step]}</span>}
              </>
            ),
          },
          {
            id: 'expected',
            head: 'Could change by',
            className: 'whitespace-nowrap',
            cell: (question) => <ExpectedChange of={question.expected} most={most} />,
          },
          {
            id: 'chance',
            head: 'Chance',
            figure: true,
            className: 'whitespace-nowrap',
            cell: (question) => `${Math.round(question.chance * 100)} %`,
          },
          {
            id: 'seconds',
            head: 'Takes',
            figure: true,
            className: 'whitespace-nowrap',
            cell: (question) => timeInWords(question.seconds),
          },
          {
            id: 'moves',
            head: 'Most likely moves',
            cell: (question) =>
              question.features
                .slice(0, 2)
                .map((feature) => featureOf(feature).label.toLowerCase())
                .join(', '),
          },
          { id: 'prior', head: 'Prior from', className: 'text-faint', cell: (question) => question.prior },
        ]}
      />
      <p className="text-faint text-xs">
        Expected change over what each finding could be: 1 is one firm target moved by its whole reach, or one
        limit that comes or goes. Priors only rank; nothing is ever filled in from them. Times are common
        practice.
        {questions.length > SHOWN && ` ${questions.length - SHOWN} more could change less.`}
      </p>
    </div>
  );
}

function ExpectedChange({ of, most }: { of: number; most: number }) {
  return (
    <>
      <svg viewBox="0 0 80 10" width="52" height="9" aria-hidden="true" className="inline-block mr-1">
        <rect width={Math.max(1, (of / most) * 80)} height="10" fill="var(--accent)" />
      </svg>
      <span className="figure">{of.toFixed(2)}</span>
    </>
  );
}
