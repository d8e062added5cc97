import { useEffect, useRef } from 'react';
import { keysOf } from '@/core/tables/keys-of';
import type { SavedStep } from '@/core/visit/steps';
import { isVisitStep, STEP_NAME, VISIT_STEPS } from '@/core/visit/steps';
import { MARK_MEANING, MarkShape } from '@/ui/drawing/Marks';

interface Props {
  current: SavedStep;
  onGo: (step: SavedStep) => void;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input:not([type=radio]):not([type=checkbox]), textarea, select') ||
    target.isContentEditable);

/** Shortcuts of the visit, and the page that lists them with the legend of marks. */
export function Keys({ current, onGo }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !typing(event.target)) {
        event.preventDefault();
        dialog.current?.showModal();
        return;
      }
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
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
  }, [current, onGo]);
  return (
    <dialog
      ref={dialog}
      aria-labelledby="keys-title"
      className="m-auto bg-paper text-ink border border-rule p-6 max-w-2xl backdrop:bg-ink/40"
    >
      <h2 id="keys-title">Keys and marks</h2>
      <div className="grid grid-cols-2 gap-8 mt-3">
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          {[
            ['Alt + 1 … 9', `${STEP_NAME.ask} … ${STEP_NAME['hand-over']}`],
            ['Alt + N, Alt + P', 'next step, step before'],
            ['Alt + W', 'warning signs'],
            ['1 … 9', 'choose an option'],
            ['Delete', 'back to “not examined”'],
            ['Enter', 'take a measure, go on'],
            ['?', 'this page'],
          ].map(([keys, what]) => (
            <div key={keys} className="contents">
              <dt className="font-medium whitespace-nowrap">{keys}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
          {keysOf(MARK_MEANING).map((mark) => (
            <div key={mark} className="contents">
              <dt>
                <MarkShape mark={mark} />
              </dt>
              <dd>{MARK_MEANING[mark]}</dd>
            </div>
          ))}
        </dl>
      </div>
      <form method="dialog" className="mt-4">
        <button type="submit" className="press">
          Close
        </button>
      </form>
    </dialog>
  );
}
