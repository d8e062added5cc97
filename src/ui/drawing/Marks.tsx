/** The marks of a push and a target; each has its own shape, so that colour carries nothing alone. */
export type Mark =
  | 'up'
  | 'down'
  | 'toward'
  | 'holds'
  | 'limit'
  | 'contested'
  | 'unknown'
  | 'carried'
  | 'tension'
  | 'decided';

const SHAPES: Record<Mark, string> = {
  up: 'M6 1 L11 8 H7.6 V11 H4.4 V8 H1 Z',
  down: 'M6 11 L1 4 H4.4 V1 H7.6 V4 H11 Z',
  toward: 'M1 6 L6 1 V4.4 H11 V7.6 H6 V11 Z',
  holds: 'M2 5 H10 V7 H2 Z',
  limit: 'M2 1 H4.4 V11 H2 Z M7.6 1 H10 V11 H7.6 Z',
  contested: 'M1 1 L11 11 M11 1 L1 11',
  unknown: 'M6 1.5 A4.5 4.5 0 1 1 5.99 1.5 Z',
  carried: 'M1 6 H9 M6 3 L9.5 6 L6 9 M11 2 V10',
  decided: 'M6 1.5 A4.5 4.5 0 1 1 5.99 1.5 Z',
  tension: 'M1 6 L4 2 V10 Z M11 6 L8 2 V10 Z M4 6 H8',
};
const OUTLINE: readonly Mark[] = ['contested', 'unknown', 'carried'];

export const MARK_MEANING: Record<Mark, string> = {
  up: 'pushes up',
  down: 'pushes down',
  toward: 'pushes toward an option',
  holds: 'agrees, moves nothing',
  limit: 'limit: excludes',
  contested: 'contested among sources or schools',
  unknown: 'not examined',
  carried: 'carried over from an earlier visit',
  tension: 'tension: pushes pull apart',
  decided: 'decided by the clinician: pinned, loosened or overruled',
};

export function MarkShape({ mark, label = MARK_MEANING[mark] }: { mark: Mark; label?: string }) {
  return (
    <svg
      viewBox="0 0 12 12"
      width="12"
      height="12"
      role="img"
      aria-label={label}
      className="inline-block align-[-1px] shrink-0"
    >
      <path
        d={SHAPES[mark]}
        fill={OUTLINE.includes(mark) ? 'none' : 'currentColor'}
        stroke="currentColor"
        strokeWidth={OUTLINE.includes(mark) ? 1.6 : 0.4}
      />
    </svg>
  );
}
