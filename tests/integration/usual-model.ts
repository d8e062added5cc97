import { FEATURES } from '@/core/shoe/features';
import { type Actor, asTenant } from '@/server/database/tenant';

/** A model of usual values in three sizes for women, in an actor's catalogue; answers its id. */
export const usualModel = (actor: Actor, { name = 'One', stock = {} } = {}): Promise<string> =>
  asTenant(actor, async ({ tx }) => {
    const features = Object.fromEntries(Object.entries(FEATURES).map(([id, feature]) => [id, feature.usual]));
    const sizing = {
      system: 'eu',
      group: 'women',
      allowanceMm: 15,
      lengthOffsetMm: 0,
      widthOffsetMm: 0,
      sizes: [38, 38.5, 39],
      widths: ['B'],
      ballWidthMm: 90,
    };
    const { id } = await tx
      .insertInto('shoe_model')
      .values({
        clinic_id: actor.clinicId,
        maker: 'Testmaker',
        name,
        version: '1',
        features: JSON.stringify(features),
        sizing: JSON.stringify(sizing),
        stock: JSON.stringify(stock),
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    return id;
  });
