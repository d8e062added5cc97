import type { ModelLifeRecord } from '@/contract/answers/pairs';
import { madeForUse } from '@/core/wear/clocks';
import { effectsAsFactors } from '@/core/wear/learned/factor-effects';
import { factorsOf } from '@/core/wear/learned/life-factors';
import { lifeOfPair } from '@/core/wear/learned/life-of-pair';
import { type LifeDistribution, lifeQuantile } from '@/core/wear/life-schools';
import type { Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { readClinic } from '../people/clinic';
import { learnedLivesOf } from './learned-lives';

const quantiles = (life: LifeDistribution) => ({
  q10: lifeQuantile(life, 0.1),
  q50: lifeQuantile(life, 0.5),
  q90: lifeQuantile(life, 0.9),
});

/** How long pairs of a model last a reference wearer: as stated, and as this clinic's own pairs tell. */
export async function readModelLife(tenant: Tenant, modelId: string): Promise<ModelLifeRecord> {
  const { tx } = tenant;
  const model = await tx
    .selectFrom('shoe_model')
    .select('features')
    .where('id', '=', modelId)
    .executeTakeFirst();
  if (!model) throw notFound('This model');
  const { lifeSchool: school } = await readClinic(tenant);
  const use = madeForUse(model.features);
  const factors = factorsOf(use, {}, model.features);
  const stated = lifeOfPair({ use, school }, factors, null);
  const learned = (await learnedLivesOf(tenant, school, [modelId])).get(modelId);
  const clinic = await tx.selectFrom('clinic_life').select('learned_at').executeTakeFirst();
  return {
    clock: stated.clock,
    isOurs: stated.from === 'ours',
    stated: quantiles(stated),
    learned:
      learned && clinic && learned.version.pairs + learned.version.relatives > 0
        ? {
            life: quantiles(lifeOfPair({ use, school }, factors, learned)),
            pairs: learned.version.pairs,
            wornOut: learned.version.wornOut,
            relatives: learned.version.relatives,
            relativesWornOut: learned.version.relativesWornOut,
            effects: effectsAsFactors(learned.effects),
            at: clinic.learned_at.toISOString(),
          }
        : null,
  };
}
