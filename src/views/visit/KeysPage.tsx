import { useEffect, useRef } from 'react';
import { keysOf } from '@/core/tables/keys-of';
import { STEP_NAME } from '@/core/visit/steps';
import { MARK_MEANING, MarkShape } from '@/ui/drawing/Marks';

/** The keys of a visit, and the legend of marks. */
export function KeysPage({ onClose }: { onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      onClose={onClose}
      aria-labelledby="keys-title"
      className="m-auto bg-paper text-ink border border-rule p-6 max-w-2xl backdrop:bg-ink/40"
    >
      <h2 id="keys-title">Keys and marks</h2>
      <div className="grid grid-cols-2 gap-8 mt-3">
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          {[
            ['Alt + 1 … 9', `${STEP_NAME.ask} … ${STEP_NAME['hand-over']}`],
            ['Alt + N, Alt + P', 'next step, step before'],
            ['Alt + . , Alt + ,', 'next part of a step, part before'],
            ['/', 'go to a finding by its name'],
            ['Alt + W', 'warning signs'],
            ['Alt + Z', 'undo the latest entry'],
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
