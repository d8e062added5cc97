import type { ReactNode } from 'react';
import { FITS_WEARER, SIGNS } from '@/core/signs/signs';
import { keysOf } from '@/core/tables/keys-of';
import { type Verdict, verdictInWords } from '@/core/wear/verdict';

const percent = (chance: number) => Math.round(chance * 100);

/** Spent? and does it suit? with how sure, what moved each most, and what to look at next. */
export function VerdictPanel({
  title,
  verdict,
  notices,
  children,
}: {
  title: string;
  verdict: Verdict;
  notices: readonly string[];
  children?: ReactNode;
}) {
  const [spent, fits] = verdictInWords(verdict);
  const { movedSpent, movedFit, next } = verdict;
  return (
    <section
      aria-label="Both answers"
      className="bg-desk px-4 py-3 grid gap-2 content-start"
      aria-live="polite"
    >
      <h2 className="text-base">{title}</h2>
      <div>
        <p className="font-medium">{spent}</p>
        <Bar share={verdict.spent} label={`spent, ${percent(verdict.spent)} %`} />
        <p className="text-faint text-xs">
          By use and age alone {percent(verdict.priorSpent) < 1 ? 'under 1' : percent(verdict.priorSpent)} %.
          {movedSpent &&
            ` ${SIGNS[movedSpent.sign].label} spoke most ${movedSpent.toward ? 'for it' : 'against it'}.`}
        </p>
      </div>
      <div>
        <p className="font-medium">{fits}</p>
        {keysOf(FITS_WEARER).map((id) => (
          <div key={id} className="grid grid-cols-[1fr_5rem] gap-2 items-center text-sm">
            <span>{FITS_WEARER[id]}</span>
            <Bar share={verdict.fits[id]} label={`${FITS_WEARER[id]}, ${percent(verdict.fits[id])} %`} />
          </div>
        ))}
        {movedFit && <p className="text-faint text-xs">{SIGNS[movedFit.sign].label} spoke most for it.</p>}
      </div>
      {next && (
        <p>
          Look next: <strong>{SIGNS[next].label.toLowerCase()}</strong>{' '}
          <span className="text-faint">({SIGNS[next].how})</span>
        </p>
      )}
      {notices.map((line) => (
        <p key={line} className="text-hold">
          {line}
        </p>
      ))}
      <p className="text-faint text-xs">
        A pair may be spent and its model right. How strongly each sign speaks is common practice; the numbers
        are ours.
      </p>
      {children}
    </section>
  );
}

function Bar({ share, label }: { share: number; label: string }) {
  return (
    <svg viewBox="0 0 100 8" className="w-full h-2" role="img" aria-label={label} preserveAspectRatio="none">
      <rect width={100} height={8} fill="var(--line)" />
      <rect width={share * 100} height={8} fill="var(--ink)" />
    </svg>
  );
}
