import type { StepContents } from '@/core/visit/contents';
import { issuedFor } from '@/core/visit/examined';
import { turnToPair } from '@/core/visit/pair-work';
import { stepTable } from '@/core/visit/steps';
import { useExamined } from './visit-context';

/** Turns the visit to another pair: reasons, candidates, fitting and hand-over of each wait where they were left. */
export function useTurnToPair() {
  const { store, pair } = useExamined();
  return (to: NonNullable<StepContents['reason']['pair']>) => {
    if (!pair || pair.id === to) return;
    const { steps } = store.snapshot();
    const contents = stepTable<StepContents>((step) => steps[step].content);
    store.turnTo(turnToPair(contents, pair.id, to));
  };
}

/** The pairs that the purposes ask for: each is reasoned, tried and handed over for itself. */
export function PairPicker() {
  const { visit, pairs, pair } = useExamined();
  const turn = useTurnToPair();
  if (pairs.length < 2) return null;
  return (
    <fieldset className="px-5 pb-2">
      <legend className="sr-only">Pair under work</legend>
      <div className="flex flex-wrap gap-2 items-baseline">
        <span className="text-faint">
          {pairs.length} pairs are asked for; no shoe serves all purposes. This is for
        </span>
        {pairs.map((entry) => {
          const issued = issuedFor(visit.issued, entry);
          return (
            <label key={entry.id} className={`press ${entry === pair ? 'press-main' : ''}`}>
              <input
                type="radio"
                name="pair"
                className="sr-only"
                checked={entry === pair}
                onChange={() => turn(entry.id)}
              />
              {entry.label}
              {issued && (issued.sheet ? ', handed over' : ', ordered')}
            </label>
          );
        })}
      </div>
      {pair && <p className="text-faint text-sm">{pair.because}</p>}
    </fieldset>
  );
}
