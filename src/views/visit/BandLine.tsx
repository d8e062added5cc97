import { lazy, Suspense, useState } from 'react';
import { bandOf } from '@/core/examination/bands';
import type { FindingId } from '@/core/findings/findings';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { useGround } from './visit-context';

// The sources of all bands come with the first that is opened.
const BandBoundary = lazy(() => import('./BandBoundary').then((part) => ({ default: part.BandBoundary })));

/** The band under a number, small, with its boundary rule and source one press away; nothing where none is published. */
export function BandLine({ id, value }: { id: FindingId; value: number | undefined }) {
  const { ageYears: age } = useGround();
  const [isOpen, setOpen] = useState(false);
  if (value === undefined) return null;
  const band = bandOf(id, value, age === NOT_EXAMINED ? null : age);
  if (!band) return null;
  return (
    <details
      className="text-xs text-faint leading-snug"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="cursor-pointer">
        {band.label}
        {band.misfit && <span className="text-hold"> (does not fit here)</span>}
      </summary>
      {isOpen && (
        <Suspense fallback="…">
          <BandBoundary band={band} />
        </Suspense>
      )}
    </details>
  );
}
