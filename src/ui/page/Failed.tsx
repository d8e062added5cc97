/** What went wrong, and a way on. */
export function Failed({ problem, onRetry }: { problem: string; onRetry: () => void }) {
  return (
    <p role="alert" className="flex gap-3 items-baseline">
      <span className="problem">{problem}</span>
      <button type="button" className="press" onClick={onRetry}>
        Try again
      </button>
    </p>
  );
}
