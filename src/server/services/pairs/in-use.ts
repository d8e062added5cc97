import type { Tenant } from '../../database/tenant';

/** Pairs that are worn, each with the name of its model. */
export const pairsInUse = ({ tx }: Tenant) =>
  tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .select(['pair.patient_id', 'maker', 'name', 'shoe_model.version'])
    .where('ended_on', 'is', null);
