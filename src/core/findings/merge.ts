import { FINDING_IDS } from './findings';
import { contributedAt, type Findings, placesOf } from './picture';

/**
 * One contribution out of several, later ones winning finding by finding; how a finding was taken goes with its value.
 *
 * @example mergeFindings([{ body: { falls: 1 } }, { body: { falls: 2 } }]).body // { falls: 2 }
 */
export function mergeFindings(parts: readonly Findings[]): Findings {
  const merged = {
    taken: Object.assign({}, ...parts.map((part) => part.taken)),
    body: Object.assign({}, ...parts.map((part) => part.body)),
    left: Object.assign({}, ...parts.map((part) => part.left)),
    right: Object.assign({}, ...parts.map((part) => part.right)),
  };
  for (const id of FINDING_IDS)
    for (const place of placesOf(id)) {
      const last = parts.findLast((part) => contributedAt(part, place, id) !== undefined);
      if (last && !last.taken?.[`${place}.${id}`]) delete merged.taken[`${place}.${id}`];
    }
  return merged;
}
