import { useEffect, useRef, useState } from 'react';
import type { BodyFindingId, FootFindingId } from '@/core/findings/findings';
import { definitionOf } from '@/core/findings/findings';
import type { Place } from '@/core/findings/with-values';
import { useFinding } from '../use-findings';
import { useExamined } from '../visit-context';

const TICK_MS = 50;

interface Props {
  id: BodyFindingId | FootFindingId;
  place?: Place;
  /** What stands on it while it rests, where it does not stand beside its field. */
  start?: string;
}

/** Starts and stops by one key or press; the time goes into its finding, to a tenth of a second. */
export function Stopwatch({ id, place = 'body', start = 'Start' }: Props) {
  const { readOnly } = useExamined();
  const field = useFinding(id, place);
  const [since, setSince] = useState<number | null>(null);
  const [shown, setShown] = useState(0);
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setShown((performance.now() - since) / 1000), TICK_MS);
    return () => clearInterval(timer);
  }, [since]);
  const press = () => {
    if (since === null) {
      setShown(0);
      setSince(performance.now());
      return;
    }
    field.set(Math.round((performance.now() - since) / 100) / 10, undefined, 'stopwatch');
    setSince(null);
  };
  const name = definitionOf(id).label + (place === 'body' ? '' : `, ${place}`);
  return (
    <button
      ref={button}
      type="button"
      className="press figure min-w-24 justify-center"
      aria-label={
        since === null ? `Start the stopwatch: ${name}` : `Stop at ${shown.toFixed(0)} seconds: ${name}`
      }
      disabled={readOnly}
      onClick={press}
    >
      {since === null ? start : `Stop ${shown.toFixed(1)} s`}
    </button>
  );
}
