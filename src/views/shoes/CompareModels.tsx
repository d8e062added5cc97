import { useMemo, useState } from 'react';
import { planOf, profileOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle, pairsInStock, type ShoeModel } from '@/core/catalogue/model';
import { printPrice } from '@/core/formats/formats';
import { compareModels } from '@/core/match/compare';
import type { FeatureId } from '@/core/shoe/features';
import { CompareTable } from '@/ui/drawing/CompareTable';
import { OverlaidProfiles } from '@/ui/drawing/OverlaidProfiles';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { clinicFormats } from '@/ui/formats';

/** Up to four models: profiles over each other, plans beside each other, every feature with differences marked. */
export function CompareModels({ models }: { models: ShoeModel[] }) {
  const [lit, setLit] = useState<FeatureId | null>(null);
  const [all, setAll] = useState(false);
  const rows = useMemo(() => compareModels(models), [models]);
  const differing = rows.filter(({ differs }) => differs);
  const litSet = useMemo(() => new Set(lit ? [lit] : []), [lit]);
  return (
    <div className="grid gap-4">
      <div className="grid grid-cols-[1.3fr_1fr] gap-6 items-start">
        <OverlaidProfiles
          profiles={models.map((model) => ({
            label: modelTitle(model),
            drawing: profileOf(model),
          }))}
        />
        <ul className="grid grid-cols-2 gap-3">
          {models.map((model) => (
            <li key={model.id}>
              <ShoeDrawing drawing={planOf(model)} lit={litSet} className="w-full" />
              <span className="text-sm">
                <a href={`/shoes/${model.id}`}>{modelTitle(model)}</a>, {pairsInStock(model)} pairs
                {model.price !== null && `, ${printPrice(model.price, clinicFormats())}`}
              </span>
            </li>
          ))}
        </ul>
      </div>
      <p>
        {differing.length} of {rows.length} features differ.{' '}
        <button type="button" className="press press-quiet" onClick={() => setAll(!all)}>
          {all ? 'Only these' : 'Show all'}
        </button>
      </p>
      <CompareTable
        label="Models side by side"
        titles={models.map(modelTitle)}
        rows={all || differing.length === 0 ? rows : differing}
        onLight={setLit}
      />
    </div>
  );
}
