import { type Actor, asTenant } from '@/server/database/tenant';
import { addPatient } from '@/server/services/patients/patients';

interface WornModel {
  maker?: string;
  name: string;
  version?: string;
  use?: string;
  features?: object;
}

/** A model in an actor's catalogue; answers its id. */
export const wornModel = (
  actor: Actor,
  { maker = 'Testmaker', name, version = '1', use = 'walking', features = {} }: WornModel,
) =>
  asTenant(actor, async ({ tx }) => {
    const { id } = await tx
      .insertInto('shoe_model')
      .values({
        clinic_id: actor.clinicId,
        maker,
        name,
        version,
        features: JSON.stringify({ use, ...features }),
        sizing: JSON.stringify({
          system: 'eu',
          group: 'women',
          allowanceMm: 15,
          lengthOffsetMm: 0,
          widthOffsetMm: 0,
          sizes: [39],
          widths: ['D'],
          ballWidthMm: 90,
        }),
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    return id;
  });

/** A pair that a patient has worn since a day; answers its id. */
export const wornPair = (
  actor: Actor,
  patientId: string,
  modelId: string,
  startedOn: string,
  part: object = {},
) =>
  asTenant(actor, async ({ tx }) => {
    const { id } = await tx
      .insertInto('pair')
      .values({
        clinic_id: actor.clinicId,
        patient_id: patientId,
        model_id: modelId,
        size_left: 'EU 39 D',
        size_right: 'EU 39 D',
        started_on: startedOn,
        surface: 'hard',
        modifications: JSON.stringify([]),
        ...part,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    return id;
  });

/** Somebody new in an actor's clinic, by family name; answers their id. */
export const somebodyCalled = async (
  actor: Actor,
  familyName: string,
  bornOn = '1970-01-01',
): Promise<string> => {
  const { id } = await asTenant(actor, (tenant) =>
    addPatient(tenant, { givenName: 'Liv', familyName, bornOn, sizingGroup: 'women' }),
  );
  return id;
};
