import { planOf, profileOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle, pairsInStock, type ShoeModel } from '@/core/catalogue/model';
import { FEATURE_IDS, FEATURES, isPerFoot, printFeature } from '@/core/shoe/features';
import { offsetInWords } from '@/core/sizing/learned/offset-in-words';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';

/** One model beside the list: drawn, what it has, and the way to all that is known of it. */
export function ModelCard({ model }: { model: ShoeModel }) {
  const { sizing } = model;
  return (
    <aside aria-label={modelTitle(model)} className="bg-desk p-4 flex flex-col gap-2">
      <h2>{modelTitle(model)}</h2>
      <p>
        <a href={`/shoes/${model.id}`}>Sources, versions, shelf, bench test</a>
      </p>
      <ShoeDrawing drawing={profileOf(model)} ruler className="w-full" />
      <ShoeDrawing drawing={planOf(model)} className="w-full" />
      <p className="text-faint text-sm">
        {SIZE_SYSTEM_LABEL[sizing.system]} {sizing.sizes[0]}–{sizing.sizes.at(-1)}, widths{' '}
        {sizing.widths.join(' ')}; {pairsInStock(model)} pairs on the shelf
        {model.status === 'discontinued' && '; no longer made'}
        {model.learned && `; ${offsetInWords('length', model.learned.length)}`}
      </p>
      <dl
        className="grow basis-0 min-h-40 overflow-y-auto ends-softly grid grid-cols-[auto_auto] content-start gap-x-3 text-sm"
        tabIndex={0}
        aria-label="Features"
      >
        {FEATURE_IDS.filter((id) => id !== 'toeRoom' && !isPerFoot(id)).map((id) => (
          <div key={id} className="contents">
            <dt className="text-faint">{FEATURES[id].label}</dt>
            <dd className="figure text-right">
              {model.features[id] === undefined ? (
                <span className="italic">not stated</span>
              ) : (
                printFeature(id, model.features[id])
              )}
            </dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
