import { lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import type { SavedStep } from '@/core/visit/steps';
import { isVisitStep, VISIT_STEPS } from '@/core/visit/steps';

// Few jump or look keys up, and whoever does waits for it once.
const JumpTo = lazy(() => import('./JumpTo').then((part) => ({ default: part.JumpTo })));
const KeysPage = lazy(() => import('./KeysPage').then((part) => ({ default: part.KeysPage })));

interface Props {
  current: SavedStep;
  onGo: (step: SavedStep) => void;
  onUndo: () => void;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input:not([type=radio]):not([type=checkbox]), textarea, select') ||
    target.isContentEditable);

/** The part of a step before or after the one that is open, with the focus on its first field. */
function turnPart(by: 1 | -1): void {
  const list = document.querySelector('[data-work] [role=tablist]');
  const tabs = [...(list?.querySelectorAll<HTMLElement>('[role=tab]') ?? [])];
  const next = tabs[tabs.findIndex((tab) => tab.ariaSelected === 'true') + by];
  if (!next) return;
  // A tab that takes the focus opens its part.
  next.focus();
  requestAnimationFrame(() => {
    const part = document.getElementById(next.getAttribute('aria-controls') ?? '');
    part
      ?.querySelector<HTMLElement>('input:not(:disabled), select, textarea, button:not(:disabled)')
      ?.focus();
  });
}

/** Shortcuts of the visit. */
export function Keys({ current, onGo, onUndo }: Props) {
  const [isListing, setListing] = useState(false);
  const [isJumping, setJumping] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !typing(event.target)) {
        event.preventDefault();
        setListing(true);
        return;
      }
      if (event.key === '/' && !typing(event.target)) {
        event.preventDefault();
        setJumping(true);
        return;
      }
      if (
        event.code === 'KeyZ' &&
        (event.altKey || ((event.ctrlKey || event.metaKey) && !typing(event.target)))
      ) {
        event.preventDefault();
        onUndo();
        return;
      }
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      if (event.code === 'Period' || event.code === 'Comma') {
        event.preventDefault();
        turnPart(event.code === 'Period' ? 1 : -1);
        return;
      }
      const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
      const at = isVisitStep(current) ? VISIT_STEPS.indexOf(current) : -1;
      const wanted = digit
        ? VISIT_STEPS[Number(digit) - 1]
        : event.code === 'KeyN'
          ? VISIT_STEPS[at + 1]
          : event.code === 'KeyP'
            ? VISIT_STEPS[at - 1]
            : event.code === 'KeyW'
              ? 'warnings'
              : undefined;
      if (!wanted) return;
      event.preventDefault();
      onGo(wanted);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [current, onGo, onUndo]);
  return (
    // One that cannot be fetched opens nothing; the visit stays.
    <ErrorBoundary fallback={null} resetKeys={[isJumping, isListing]}>
      <Suspense>
        {isJumping && <JumpTo onGo={onGo} onClose={() => setJumping(false)} />}
        {isListing && <KeysPage onClose={() => setListing(false)} />}
      </Suspense>
    </ErrorBoundary>
  );
}
