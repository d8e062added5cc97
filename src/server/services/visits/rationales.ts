import type { VisitRecord } from '@/contract/records';
import type { ClinicalPicture } from '@/core/findings/picture';
import type { Specification } from '@/core/prescribe/engine/specification';
import { type Board, boardOf } from '@/core/prescribe/explain/board';
import type { AskedPair } from '@/core/purpose/pairs';
import type { Choices } from '@/core/visit/contents';
import { contentsOf } from '@/core/visit/held';
import { choicesOf, turnToPair } from '@/core/visit/pair-work';
import { readVisit } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { loadVisit } from './visits';

export interface Rationale {
  visit: VisitRecord;
  picture: ClinicalPicture;
  specification: Specification;
  board: Board;
  choices: Choices;
  /** The pairs that were asked for, and the one that this is about. */
  pairs: readonly AskedPair[];
  pair: AskedPair | null;
  /** Of the specification that was issued for it. */
  issued: string | null;
}

/**
 * Why the shoe of a visit is what it is: as issued, or as it stands while nothing has been.
 *
 * @param wanted the pair it is about, where several are asked for; else the one under work
 */
export async function readRationale(
  tenant: Tenant,
  visitId: string,
  wanted: string | null,
): Promise<Rationale> {
  const visit = await loadVisit(tenant, visitId);
  const saved = contentsOf(visit.steps);
  const { pair: at, pairs } = readVisit(visit, saved, undefined);
  const other = pairs.find(({ id }) => id === wanted);
  const contents = at && other && at !== other ? { ...saved, ...turnToPair(saved, at.id, other.id) } : saved;
  const { picture, specification, options, pair, issued } = readVisit(visit, contents, undefined);
  return {
    visit,
    picture,
    specification,
    board: boardOf(specification, picture, options.knowledge),
    choices: choicesOf(contents),
    pairs,
    pair,
    issued: visit.issued.find(({ purpose }) => issued !== null && purpose === issued.purpose)?.id ?? null,
  };
}
