import { bandOf } from '@/core/examination/bands';
import { markInWords } from '@/core/examination/sources';
import type { FindingId } from '@/core/findings/findings';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { useGround } from './visit-context';

/** The band under a number, small, with its boundary rule and source one press away; nothing where none is published. */
export function BandLine({ id, value }: { id: FindingId; value: number | undefined }) {
  const { ageYears: age } = useGround();
  if (value === undefined) return null;
  const band = bandOf(id, value, age === NOT_EXAMINED ? null : age);
  if (!band) return null;
  return (
    <details className="text-xs text-faint leading-snug">
      <summary className="cursor-pointer">
        {band.label}
        {band.misfit && <span className="text-hold"> (does not fit here)</span>}
      </summary>
      <span className="block max-w-60 text-left">
        {band.misfit && <span className="block text-hold">Band {band.misfit}.</span>}
        Boundary: {band.scale.boundary}. {band.scale.caution}{' '}
        {[band.scale.mark, ...(band.scale.also ?? [])].map(markInWords).join('; ')}. No forecast of injury.
      </span>
    </details>
  );
}
