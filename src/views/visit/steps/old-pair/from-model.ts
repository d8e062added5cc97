import type { ShoeModel } from '@/core/catalogue/model';
import { valuesToKeep } from '@/core/history/before';
import { madeForUse } from '@/core/wear/clocks';
import type { OldPair } from '@/core/wear/old-pair';

/** A pair that was brought, with what the catalogue knows of its model. */
export const fromModel = (title: string, model: ShoeModel | null): OldPair => ({
  id: crypto.randomUUID(),
  title,
  use: model ? madeForUse(model.features) : 'road-running',
  ...(model
    ? {
        model: model.id,
        values: {
          ...valuesToKeep(model.features),
          ...(model.features.category === undefined ? {} : { category: model.features.category }),
          ...(model.features.tread === undefined ? {} : { tread: model.features.tread }),
        },
      }
    : {}),
});
