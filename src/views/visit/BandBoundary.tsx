import type { BandReading } from '@/core/examination/bands';
import { markInWords } from '@/core/examination/sources';

/** Where a band ends, by whose rule, and where that comes from. */
export function BandBoundary({ band: { misfit, scale } }: { band: BandReading }) {
  return (
    <span className="block max-w-60 text-left">
      {misfit && <span className="block text-hold">Band {misfit}.</span>}
      Boundary: {scale.boundary}. {scale.caution}{' '}
      {[scale.mark, ...(scale.also ?? [])].map(markInWords).join('; ')}. No forecast of injury.
    </span>
  );
}
