import { categoryOfPerson, reviewInWords } from '../examination/at-risk-category';
import { definitionOf } from '../findings/findings';
import type { ClinicalPicture } from '../findings/picture';
import { type Formats, printDay } from '../formats/formats';
import { type Modification, modificationInWords } from '../modification/modification';
import { activePushes, type Target } from '../prescribe/engine/specification';
import type { Board, BoardColumn, BoardRow } from '../prescribe/explain/board';
import { targetInWords } from '../prescribe/explain/in-words';
import { type SeenWarning, WARNING_ACTIONS, WARNING_SIGNS } from '../safety/warning-signs';
import { featureOf } from '../shoe/features';
import type { VisitContents } from '../visit/contents';

/** One feature of the pair with the reason that weighs most. */
export interface LetterReason {
  feature: string;
  target: string;
  because: string;
}

/** What the doctor who referred reads on one page. */
export interface ReferrerLetter {
  /** What was found and led to something. */
  found: string[];
  reasons: LetterReason[];
  /** Features with a target beyond those that are named. */
  more: number;
  changes: string[];
  /** Signs that were seen or answered, and what was done. */
  warnings: string[];
  /** By which the feet are seen again; null where nobody examined what it rests on. */
  risk: string | null;
}

/** Reasons that one page carries. */
const MOST_REASONS = 7;

function foundInWords({ finding, says, sides }: BoardRow): string {
  const { label, scope } = definitionOf(finding);
  const side = scope === 'foot' && sides.length === 1 ? `, ${sides[0]}` : '';
  return `${label}${side}: ${says}`;
}

const firmest = (a: Target, b: Target): number =>
  b.firmness - a.firmness ||
  Math.max(0, ...activePushes(b).map(({ weight }) => weight)) -
    Math.max(0, ...activePushes(a).map(({ weight }) => weight));

function reasonOf({ target, side }: BoardColumn): LetterReason[] {
  const [first] = activePushes(target).toSorted((a, b) => b.weight - a.weight);
  return first
    ? [
        {
          feature: `${featureOf(target.feature).label}${side ? `, ${side}` : ''}`,
          target: targetInWords(target),
          because: first.because,
        },
      ]
    : [];
}

/** A sign with what it may mean, what was done about it, and whether it is over. */
function warningInWords(seen: SeenWarning, formats: Pick<Formats, 'date'>): string {
  const known = WARNING_SIGNS.find(({ id }) => id === seen.sign);
  return [
    known ? `${known.sign} (${known.suspect})` : seen.sign,
    ...(seen.action ? [WARNING_ACTIONS[seen.action].toLowerCase()] : []),
    ...[seen.to, seen.on && printDay(seen.on, formats), seen.how, seen.note].filter(
      (part) => part !== undefined && part !== '',
    ),
    ...(seen.clearedOn ? [`cleared on ${printDay(seen.clearedOn, formats)}`] : []),
  ].join('; ');
}

/**
 * A visit for the doctor who referred: what was found, what was provided and why, what was seen that needs more than a shoe. Built from
 * what was issued, so that it says the same as the record.
 */
export function referrerLetter({
  board,
  picture,
  contents,
  modifications,
  formats,
}: {
  board: Board;
  picture: ClinicalPicture;
  contents: VisitContents;
  modifications: readonly Modification[];
  /** How the clinic writes days. */
  formats: Pick<Formats, 'date'>;
}): ReferrerLetter {
  const columns = board.columns.toSorted((a, b) => firmest(a.target, b.target));
  const reasons = columns.flatMap(reasonOf);
  const category = categoryOfPerson(picture);
  return {
    // What was worked out from other findings says nothing new.
    found: board.rows.filter(({ finding }) => definitionOf(finding).step !== null).map(foundInWords),
    reasons: reasons.slice(0, MOST_REASONS),
    more: Math.max(0, reasons.length - MOST_REASONS),
    changes: modifications.map(modificationInWords),
    warnings: (contents.warnings?.present ?? []).map((seen) => warningInWords(seen, formats)),
    risk: category === null ? null : `At-risk category ${category}: seen every ${reviewInWords(category)}.`,
  };
}
