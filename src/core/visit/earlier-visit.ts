import type { InjuryMark } from '../body-map/mark';
import { definitionOf, FINDING_IDS, isFindingId } from '../findings/findings';
import { mergeFindings } from '../findings/merge';
import { contributedAt, type Findings, placesOf } from '../findings/picture';
import { type FeltBefore, feltBefore } from '../fitting/next-guess';
import type { SwellingReading } from '../swelling/course';
import type { VisitContents } from './contents';
import { findingsOfSteps } from './examined';

/** Each place of a contribution with only some of its findings; how they were taken is left behind. */
function onlyFindings(findings: Findings, keep: (id: string, value: unknown) => boolean): Findings {
  const part = (place: object | undefined) =>
    Object.fromEntries(Object.entries(place ?? {}).filter(([id, value]) => keep(id, value)));
  return { body: part(findings.body), left: part(findings.left), right: part(findings.right) };
}

/** History that holds until somebody says otherwise; what was measured or felt that day does not carry over. */
export const carriedOver = (findings: Findings): Findings =>
  onlyFindings(findings, (id) => isFindingId(id) && definitionOf(id).carries);

/** Findings (`place.finding`) that a visit has from an earlier one, and did not examine itself. */
export function carriedKeys(carried: Findings, contents: VisitContents): Set<string> {
  const own = examinedAt(contents) ?? {};
  return new Set(
    FINDING_IDS.flatMap((id) => placesOf(id).map((place) => ({ id, place })))
      .filter(
        ({ id, place }) =>
          contributedAt(carried, place, id) !== undefined && contributedAt(own, place, id) === undefined,
      )
      .map(({ id, place }) => `${place}.${id}`),
  );
}

/** What a visit's steps hold of findings, merged; null when nothing was examined. */
export function examinedAt(contents: VisitContents): Findings | null {
  const parts = findingsOfSteps(contents);
  return parts.length === 0 ? null : mergeFindings(parts);
}

/** Numbers only: what can be laid beside today’s. */
export const numbersOf = (findings: Findings): Findings =>
  onlyFindings(findings, (_, value) => typeof value === 'number');

/** Marks of injuries that a visit holds. */
export const injuriesOf = ({ ask }: VisitContents): InjuryMark[] =>
  (ask?.marks ?? []).filter((mark) => mark.layer === 'injury');

export const swellingOf = ({ feet }: VisitContents): SwellingReading[] => feet?.swelling ?? [];

/** What was felt in every pair of a visit, whichever of them was under work last. */
export const feltAt = ({ 'try-on': tried }: VisitContents): FeltBefore[] =>
  feltBefore([tried, ...Object.values(tried?.parked ?? {})].flatMap((fitting) => fitting?.tryOns ?? []));
