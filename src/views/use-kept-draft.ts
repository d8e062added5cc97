import { useCallback, useEffect, useState } from 'react';
import { draftStore } from './draft-store';

/**
 * State that this browser keeps until it is dropped: a reload in the middle loses nothing. The first look is always the
 * same, as the server draws it.
 *
 * @param isDraft tells whether what is kept can be such a draft; anything else is passed over
 */
export function useKeptDraft<T>(
  key: string,
  initial: T,
  isDraft: (kept: unknown) => kept is T,
): [T, (next: T) => void, (then?: T) => void] {
  const [draft, setDraft] = useState(initial);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is kept is read once for each key
  useEffect(() => {
    const kept = draftStore.read(key);
    if (isDraft(kept)) setDraft(kept);
  }, [key]);
  const put = useCallback(
    (next: T) => {
      setDraft(next);
      draftStore.keep(key, next);
    },
    [key],
  );
  /** Forgets what was kept; the page goes on with `then` where it is given. */
  const drop = useCallback(
    (then?: T) => {
      if (then !== undefined) setDraft(then);
      draftStore.drop(key);
    },
    [key],
  );
  return [draft, put, drop];
}
