import { useCallback, useEffect, useState } from 'react';

/**
 * State that this browser keeps until it is dropped: a reload in the middle loses nothing. A browser that refuses storage
 * only loses this safety net. The first look is always the same, as the server draws it.
 */
export function useKeptDraft<T>(key: string, nothing: T): [T, (next: T) => void, () => void] {
  const [draft, setDraft] = useState(nothing);
  useEffect(() => {
    try {
      const text = localStorage.getItem(key);
      if (text !== null) setDraft(JSON.parse(text) as T);
    } catch {
      // Storage forbidden, or nothing that can be read: begin with nothing.
    }
  }, [key]);
  const put = useCallback(
    (next: T) => {
      setDraft(next);
      try {
        localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // Storage full or forbidden: the page still holds it.
      }
    },
    [key],
  );
  const drop = useCallback(() => {
    try {
      localStorage.removeItem(key);
    } catch {
      // Nothing to drop.
    }
  }, [key]);
  return [draft, put, drop];
}
