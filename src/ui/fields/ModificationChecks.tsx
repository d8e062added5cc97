import {
  MODIFICATIONS,
  type Modification,
  type ModificationCheck,
  modificationInWords,
  modificationProblem,
} from '@/core/modification/modification';

interface Props {
  modifications: readonly Modification[];
  onCheck: (at: number, check: ModificationCheck) => void;
  /** What else stands in the row of a change. */
  beside?: (at: number) => React.ReactNode;
}

/** Each change on a pair held against its order before the pair goes out: made, and measured. */
export function ModificationChecks({ modifications, onCheck, beside }: Props) {
  return (
    <ul className="grid gap-1">
      {modifications.map((modification, at) => {
        const words = modificationInWords(modification);
        const { unit } = MODIFICATIONS[modification.kind];
        const check = modification.check ?? { isMade: false };
        const problem = modification.check ? modificationProblem(modification) : null;
        return (
          <li key={words} className="grid grid-cols-[minmax(0,1fr)_6rem_9rem_6rem] gap-3 items-center">
            <span>
              {words}
              {problem && <span className="problem block">{problem}</span>}
            </span>
            <label>
              <input
                type="checkbox"
                aria-label={`Made: ${words}`}
                checked={check.isMade}
                onChange={({ target }) => onCheck(at, { ...check, isMade: target.checked })}
              />{' '}
              made
            </label>
            {unit !== null && modification.amount !== undefined ? (
              <label>
                measured{' '}
                <input
                  type="number"
                  step="any"
                  min={0}
                  className="figure w-16 text-right"
                  aria-label={`Measured: ${words}`}
                  value={check.measured ?? ''}
                  onChange={({ target }) => {
                    const measured = target.valueAsNumber;
                    onCheck(at, {
                      isMade: check.isMade,
                      ...(Number.isFinite(measured) ? { measured } : {}),
                    });
                  }}
                />
              </label>
            ) : (
              <span />
            )}
            {beside?.(at) ?? <span />}
          </li>
        );
      })}
    </ul>
  );
}
