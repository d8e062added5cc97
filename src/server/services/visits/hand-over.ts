import type { z } from 'zod';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { SIDES } from '@/core/findings/finding-kinds';
import { boxOf } from '@/core/fitting/box';
import { placeOn } from '@/core/fitting/sizes';
import type { handOverSchema } from '@/core/visit/contents';
import { audit, type Tenant } from '../../database/tenant';
import { today } from '../clock';
import { takeFromShelf } from '../shoes/models';
import { closeWith, issueSpecification, readyToIssue } from './issue';
import { startPair } from './start-pair';

type HandOver = z.infer<typeof handOverSchema>;

/**
 * Hands over the pair under work: keeps the specification as issued, takes the pair off the shelf, records it with its
 * start date and writes the patient's sheet. The visit ends with the last pair that is asked for. Refused while a warning sign is open, a deadlock stands, or no pair was chosen.
 */
export async function handOver(
  tenant: Tenant,
  visitId: string,
  input: HandOver,
): Promise<{ pairId: string; sheet: PatientSheet }> {
  const startedOn = input.startedOn ?? today();
  const ready = await readyToIssue(tenant, visitId, { ...input, startedOn });
  const { tryOn, model } = ready;
  const specificationId = await issueSpecification(tenant, ready);
  const started = await startPair(tenant, {
    ...ready,
    specificationId,
    startedOn,
    modifications: input.modifications ?? [],
    input: { ...input, ...boxOf(input, tryOn, model) },
  });
  await takeFromShelf(
    tenant,
    model.id,
    SIDES.flatMap((side) => placeOn(tryOn, side) ?? []),
  );
  if (ready.left.length === 0) await closeWith(tenant, ready, null);
  await audit(tenant, 'write', 'hand-over', ready.patient.id);
  return started;
}
