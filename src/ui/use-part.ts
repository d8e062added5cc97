import { useEffect, useState } from 'react';

/**
 * A part of a page that comes after it; null until it has. Unlike a lazy component it stands in no boundary, which a page that the
 * server draws would have to fill by a script of its own. Where it cannot be fetched, the nearest error boundary says so.
 *
 * @param load fetches it; the same function at every call
 */
export function usePart<Part>(load: () => Promise<Part>): Part | null {
  const [part, setPart] = useState<{ is: Part } | null>(null);
  const [failure, setFailure] = useState<{ is: unknown } | null>(null);
  useEffect(() => {
    let isGone = false;
    load().then(
      (is) => isGone || setPart({ is }),
      (is) => isGone || setFailure({ is }),
    );
    return () => {
      isGone = true;
    };
  }, [load]);
  if (failure) throw failure.is;
  return part?.is ?? null;
}
