import { differenceInYears } from 'date-fns';
import type { StepContents, StepRecord } from '@/api/visit-schema';
import type { InjuryMark } from '@/core/body-map/mark';
import { type ClinicalPicture, clinicalPicture, type Findings } from '@/core/picture/clinical-picture';
import { deriveFindings } from '@/core/picture/derive';
import type { BodyFindingId, FootFindingId } from '@/core/picture/findings';
import type { SizingGroup } from '@/core/sizing/widths';
import type { SwellingReading } from '@/core/swelling/course';

export const ageOn = (bornOn: string, day: Date): number =>
  differenceInYears(day, new Date(`${bornOn}T00:00:00`));

/** What the record itself says. */
export const recordFindings = (
  patient: { born_on: string; sizing_group: SizingGroup },
  on: Date,
): Findings => ({
  body: { ageYears: ageOn(patient.born_on, on), sizingGroup: patient.sizing_group },
});

/** History that holds until somebody says otherwise; what was measured or felt that day does not carry. */
const CARRIED_BODY: readonly BodyFindingId[] = [
  'conditions',
  'prosthesisSide',
  'prosthesisSetRise',
  'prosthesisLever',
  'legLengthDifference',
  'medication',
  'workedBefore',
  'failedBefore',
];
const CARRIED_FOOT: readonly FootFindingId[] = ['injuries', 'insert', 'insertHeel', 'midfootArthritis'];

const only = <T extends object>(from: T | undefined, ids: readonly (keyof T)[]): T =>
  Object.fromEntries(ids.filter((id) => from?.[id] !== undefined).map((id) => [id, from![id]])) as T;

export const carriedFrom = (findings: Findings): Findings => ({
  body: only(findings.body, CARRIED_BODY),
  left: only(findings.left, CARRIED_FOOT),
  right: only(findings.right, CARRIED_FOOT),
});

/** Findings of a visit's steps in the order of work. */
export function findingsOfSteps(steps: readonly Pick<StepRecord, 'step' | 'content'>[]): Findings[] {
  return (['ask', 'old-pair', 'feet', 'load', 'move'] as const).flatMap((name) => {
    const saved = steps.find((step) => step.step === name);
    return saved ? [(saved.content as StepContents['ask']).findings] : [];
  });
}

/** One flat contribution out of several, later ones winning. */
export const merged = (parts: readonly Findings[]): Findings => ({
  taken: Object.assign({}, ...parts.map((part) => part.taken)),
  body: Object.assign({}, ...parts.map((part) => part.body)),
  left: Object.assign({}, ...parts.map((part) => part.left)),
  right: Object.assign({}, ...parts.map((part) => part.right)),
});

/** Numbers only: what can be laid beside today’s. */
export function numbersOf(findings: Findings): Findings {
  const numbers = (part: object | undefined) =>
    Object.fromEntries(Object.entries(part ?? {}).filter(([, value]) => typeof value === 'number'));
  return { body: numbers(findings.body), left: numbers(findings.left), right: numbers(findings.right) };
}

/** Marks of injuries that a visit holds. */
export const injuriesOf = (steps: readonly Pick<StepRecord, 'step' | 'content'>[]): InjuryMark[] =>
  (
    (steps.find((step) => step.step === 'ask')?.content as StepContents['ask'] | undefined)?.marks ?? []
  ).filter((mark) => mark.layer === 'injury');

export const swellingOf = (steps: readonly Pick<StepRecord, 'step' | 'content'>[]): SwellingReading[] =>
  (steps.find((step) => step.step === 'feet')?.content as StepContents['feet'] | undefined)?.swelling ?? [];

/** Everything known, with what follows from it. */
export const pictureOf = (findings: Findings): ClinicalPicture => deriveFindings(clinicalPicture(findings));
