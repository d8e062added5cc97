import type { VisitRecord } from '@/api/records';
import type { Choices, StepContents } from '@/api/visit-schema';
import type { Knowledge } from '@/core/knowledge/edition';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import type { ClinicalPicture } from '@/core/picture/clinical-picture';
import { type Board, boardOf } from '@/core/prescribe/board';
import { resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import type { Tenant } from '../database/tenant';
import { carriedFrom, findingsOfSteps, merged, pictureOf, recordFindings } from './patient-findings';
import { patientRow } from './patients';
import { readVisit } from './visits';

export interface Rationale {
  visit: VisitRecord;
  picture: ClinicalPicture;
  specification: Specification;
  board: Board;
  choices: Choices;
}

/** Why the shoe of a visit is what it is: as issued, or as it stands while nothing has been. */
export async function readRationale(tenant: Tenant, visitId: string): Promise<Rationale> {
  const visit = await readVisit(tenant, visitId);
  const patient = await patientRow(tenant, visit.patient.id);
  const picture = pictureOf(
    merged([
      recordFindings(patient, new Date(visit.startedAt)),
      carriedFrom(visit.carried?.findings ?? {}),
      ...findingsOfSteps(visit.steps),
    ]),
  );
  const choices = (visit.steps.find((step) => step.step === 'reason')?.content ??
    {}) as StepContents['reason'];
  const { issued } = visit;
  const knowledge: Knowledge = issued?.rules
    ? { edition: issued.specification.knowledge, rules: issued.rules }
    : knowledgeOf(visit.house);
  const specification =
    issued?.specification ??
    resolve(picture, {
      school: choices.school ?? visit.patient.school ?? visit.clinic.school,
      setAside: choices.setAside ?? [],
      decisions: choices.decisions ?? [],
      knowledge,
    });
  return { visit, picture, specification, board: boardOf(specification, picture, knowledge), choices };
}
