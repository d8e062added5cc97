/** Longest that a part is held back on a page that is never quiet, ms. */
const LATEST_MS = 4000;

const ask = (work: () => void): void => {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work, { timeout: LATEST_MS });
  else setTimeout(work, 200);
};

/**
 * Fetches parts of a page one after another while nothing else is asked of it. One that does not come is asked for
 * again when it is opened.
 */
export function whenIdle(loaders: readonly (() => Promise<unknown>)[]): { stop: () => void } {
  let stopped = false;
  const next = ([load, ...rest]: readonly (() => Promise<unknown>)[]): void => {
    if (!load || stopped) return;
    ask(() => {
      if (!stopped)
        load().then(
          () => next(rest),
          () => next(rest),
        );
    });
  };
  next(loaders);
  return {
    stop: () => {
      stopped = true;
    },
  };
}
