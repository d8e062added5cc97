import type { VisitRecord } from '@/contract/records';
import type { ClinicalPicture } from '@/core/findings/picture';
import type { Specification } from '@/core/prescribe/engine/specification';
import { type Board, boardOf } from '@/core/prescribe/explain/board';
import type { Choices } from '@/core/visit/contents';
import { contentsOf } from '@/core/visit/held';
import { readVisit } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { loadVisit } from './visits';

export interface Rationale {
  visit: VisitRecord;
  picture: ClinicalPicture;
  specification: Specification;
  board: Board;
  choices: Choices;
}

/** Why the shoe of a visit is what it is: as issued, or as it stands while nothing has been. */
export async function readRationale(tenant: Tenant, visitId: string): Promise<Rationale> {
  const visit = await loadVisit(tenant, visitId);
  const contents = contentsOf(visit.steps);
  const { picture, specification, options } = readVisit(visit, contents, undefined);
  return {
    visit,
    picture,
    specification,
    board: boardOf(specification, picture, options.knowledge),
    choices: contents.reason ?? {},
  };
}
