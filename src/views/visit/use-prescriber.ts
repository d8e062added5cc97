import { useEffect, useState } from 'react';

type Prescriber = typeof import('./prescriber');

let loaded: Prescriber | null = null;

/** Fetches the rules and their engine; after a failure the next call tries again. */
export async function loadPrescriber(): Promise<Prescriber> {
  loaded ??= await import('./prescriber');
  return loaded;
}

/** A promise that is kept or broken from outside. */
interface Awaited {
  promise: Promise<void>;
  keep: () => void;
  fail: (reason: unknown) => void;
}

function awaited(): Awaited {
  let keep: Awaited['keep'] = () => {};
  let fail: Awaited['fail'] = () => {};
  const promise = new Promise<void>((resolve, reject) => {
    keep = resolve;
    fail = reject;
  });
  // Whoever waits hears of it; with nobody waiting there is nothing to say.
  promise.catch(() => {});
  return { promise, keep, fail };
}

/**
 * The rules and their engine are a quarter of what a visit loads, and no field needs them: they come once the first
 * step stands. `ready` is kept when a reading made with them has been drawn; null where they were there already.
 */
export function usePrescriber(): { prescriber: Prescriber | null; ready: Promise<void> | null } {
  const [prescriber, setPrescriber] = useState(loaded);
  const [wasThere] = useState(loaded !== null);
  const [{ promise, keep, fail }] = useState(awaited);
  useEffect(() => {
    if (prescriber) keep();
    else loadPrescriber().then(setPrescriber, fail);
  }, [prescriber, keep, fail]);
  return { prescriber, ready: wasThere ? null : promise };
}
