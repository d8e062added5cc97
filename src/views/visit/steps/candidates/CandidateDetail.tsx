import { useMemo } from 'react';
import { SIDES } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import type { Candidate } from '@/core/match/candidates';
import type { reasonsFor } from '@/core/match/rank';
import { standingBandOf } from '@/core/prescribe/explain/standing-band';
import { fitPlan } from '@/core/shoe/drawing/fit-plan';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { FOLD_MISS_MM } from '@/core/sizing/last-shape';
import { interval95, offsetInWords } from '@/core/sizing/learned/offset-in-words';
import { sizeWish } from '@/core/sizing/size-wish';
import type { StartSize } from '@/core/sizing/start-size';
import { reserveFor } from '@/core/swelling/reserve';
import { MarkShape } from '@/ui/drawing/Marks';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { useVisit } from '../../visit-context';

interface Props {
  candidate: Candidate;
  reasons: ReturnType<typeof reasonsFor>;
}

/** One candidate drawn to scale: under the specification's band, and with each foot inside; why this size; all reasons. */
export function CandidateDetail({ candidate, reasons }: Props) {
  const { model, pair } = candidate;
  const { specification, picture, store } = useVisit();
  const band = useMemo(() => standingBandOf(specification), [specification]);
  const length = pair ? Math.round((pair.left ?? pair.right)!.insideLengthMm + 11) : 285;
  const conditions = store.content('candidates').conditions ?? {};
  return (
    <div className="grid grid-cols-[1fr_1fr_1fr] gap-4 py-2">
      <figure>
        <ShoeDrawing drawing={sideProfile(model.features, length, band)} ruler className="w-full" />
        <figcaption className="text-faint text-xs">
          {band
            ? 'Tinted: where the specification lets the foot stand.'
            : 'The specification asks for no particular heights.'}
        </figcaption>
      </figure>
      {SIDES.map((side) => {
        const start = pair?.[side];
        const lengthMm = numberAt(picture, 'footLength', side);
        if (!start || lengthMm === null)
          return (
            <p key={side} className="text-faint">
              The {side} foot is not measured.
            </p>
          );
        const plan = fitPlan(
          model.features,
          { lengthMm: start.insideLengthMm, widthMm: start.insideWidthMm },
          {
            lengthMm,
            ballWidthMm: numberAt(picture, 'ballWidth', side),
            heelBallMm: numberAt(picture, 'heelBallLength', side),
          },
        );
        const wish = sizeWish(picture, specification, side, conditions);
        const reserve = reserveFor(picture, side, model.features);
        const off = model.learned ? interval95(model.learned.length) : null;
        return (
          <figure key={side}>
            <div className={side === 'left' ? '-scale-y-100' : ''}>
              <ShoeDrawing
                drawing={{ ...plan.drawing, dimensions: [] }}
                className={`w-full ${plan.overhangs.length > 0 ? 'over' : ''}`}
              />
            </div>
            <figcaption className="text-xs">
              <strong className="capitalize">{side}</strong>{' '}
              <span className={plan.overhangs.length > 0 ? 'text-hold' : ''}>{plan.sentence}</span>
              <span className="block text-faint">
                {start.why.join('; ')}
                {off &&
                  `; room ${Math.round(start.roomMm - (model.learned!.length.meanMm - off[0]))} to ${Math.round(start.roomMm + (off[1] - model.learned!.length.meanMm))} mm (95 %)`}
              </span>
              <FoldOnFoot start={start} />
              <span className="block text-faint">{wish.why.join('; ')}</span>
              {reserve && <span className="block">{reserve}</span>}
            </figcaption>
          </figure>
        );
      })}
      <div className="col-span-3 grid grid-cols-[2fr_1fr] gap-x-6 gap-y-2 text-sm">
        <section aria-label="As wanted">
          <p className="font-medium">
            <MarkShape mark="holds" /> As wanted
          </p>
          <ul className="columns-2 gap-x-6">
            {reasons.pro.map(({ feature, label, has }) => (
              <li
                key={feature}
                className="flex justify-between gap-3 border-b border-line break-inside-avoid"
              >
                <span className="text-faint">{label}</span>
                <span className="text-right">{has}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Against">
          <p className="font-medium">{reasons.contra.length === 0 ? 'Nothing against it.' : 'Against'}</p>
          <ul>
            {reasons.contra.map(({ feature, label, has, wanted, fails }) => (
              <li key={feature} className="border-b border-line">
                <span className="text-faint">{label}</span> {has}, wanted {wanted}
                {fails && ` for the ${fails}`}
              </li>
            ))}
          </ul>
        </section>
        {model.learned && (
          <p className="col-span-2 text-faint">
            This clinic’s fittings: {offsetInWords('length', model.learned.length)};{' '}
            {offsetInWords('width', model.learned.width)}.{' '}
            <a href={`/shoes/${model.id}`}>All that is known</a>
          </p>
        )}
      </div>
    </div>
  );
}

/** Where the shoe folds on this foot in the size taken, and what toes and ball ask for where they differ. */
function FoldOnFoot({ start }: { start: StartSize }) {
  const { foldMisfitMm, byToes, byArch } = start;
  if (foldMisfitMm === null) return null;
  const off = Math.round(foldMisfitMm);
  const where =
    off === 0
      ? 'folds under the ball'
      : `folds ${Math.abs(off)} mm ${off > 0 ? 'in front of' : 'behind'} the ball`;
  return (
    <span className={`block ${Math.abs(foldMisfitMm) > FOLD_MISS_MM ? 'text-hold' : ''}`}>
      {byArch !== null && byArch !== byToes && (
        <strong>
          Toes {byToes}, arch {byArch};{' '}
        </strong>
      )}
      {where}
      {Math.abs(foldMisfitMm) > FOLD_MISS_MM && ': a miss, try another'}
    </span>
  );
}
