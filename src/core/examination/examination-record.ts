import { RECORD_FINDINGS } from '../findings/catalogue/record';
import type { FindingDefinition, Position } from '../findings/finding-kinds';
import {
  type AnyFindingValue,
  definitionOf,
  FINDING_IDS,
  type FindingId,
  optionsIn,
} from '../findings/findings';
import { type ClinicalPicture, NOT_EXAMINED, valueAt } from '../findings/picture';
import { INSTRUMENTS, type Taken } from '../findings/taken';
import { figureIn, UNIT_LABEL } from '../units/parse';
import { bandOf } from './bands';

/** One finding as a record shows it. */
export interface RecordLine {
  finding: FindingId;
  label: string;
  place: 'body' | 'left' | 'right';
  value: string;
  band: string;
  position: Position | '';
  method: string;
  instrument: string;
  at: string;
  by: string;
}

/** What a finding holds, as people read it. */
export function valueInWords(definition: FindingDefinition, value: AnyFindingValue): string {
  switch (definition.kind) {
    case 'number':
      return `${figureIn(definition.unit, Number(value))} ${UNIT_LABEL[definition.unit]}`.trim();
    case 'choice':
      return definition.options[String(value)] ?? String(value);
    case 'set': {
      const chosen = optionsIn(value) ?? [];
      return chosen.length === 0 ? 'none' : chosen.map((key) => definition.options[key] ?? key).join(', ');
    }
    case 'text':
      return String(value);
  }
}

/** What a record says of a finding that nobody took at this visit. */
function origin(
  how: Taken | undefined,
  finding: FindingId,
  key: string,
  carried: { keys: ReadonlySet<string>; from: string } | null,
): string {
  if (how && !carried?.keys.has(key)) return INSTRUMENTS[how.with];
  if (carried?.keys.has(key)) return `carried over from ${carried.from}`;
  if (Object.hasOwn(RECORD_FINDINGS, finding)) return 'patient’s record';
  return definitionOf(finding).step === null || isDerivable(finding) ? 'derived' : '';
}

/** Findings that are judged by hand, or follow from others where nobody has. */
const isDerivable = (finding: FindingId): boolean => finding === 'arch' || finding === 'sensation';

/**
 * Every finding of a picture with how it was taken, in the order of work; what was not examined is listed apart.
 *
 * @param carried which findings (`place.finding`) come from an earlier visit, and from when
 */
export function examinationRecord(
  picture: ClinicalPicture,
  carried: { keys: ReadonlySet<string>; from: string } | null = null,
): {
  taken: RecordLine[];
  notExamined: { label: string; places: string[] }[];
} {
  const lines: RecordLine[] = [];
  const open: { label: string; places: string[] }[] = [];
  const age = picture.body.ageYears;
  for (const finding of FINDING_IDS) {
    const definition = definitionOf(finding);
    const places = definition.scope === 'body' ? (['body'] as const) : (['left', 'right'] as const);
    const missing: string[] = [];
    for (const place of places) {
      const value = valueAt(picture, place, finding);
      if (value === NOT_EXAMINED) {
        missing.push(place);
        continue;
      }
      const how: Taken | undefined = picture.taken[`${place}.${finding}`];
      const band =
        typeof value === 'number' ? bandOf(finding, value, age === NOT_EXAMINED ? null : age) : null;
      lines.push({
        finding,
        label: definition.label,
        place,
        value: valueInWords(definition, value),
        band: band ? `${band.label}${band.misfit ? ' (does not fit here)' : ''}` : '',
        position: definition.position ?? '',
        method: [how?.method, definition.how].filter(Boolean).join('; '),
        instrument: origin(how, finding, `${place}.${finding}`, carried),
        at: how?.at ?? '',
        by: how?.by ?? '',
      });
    }
    if (missing.length > 0 && definition.step !== null)
      open.push({ label: definition.label, places: missing });
  }
  return { taken: lines, notExamined: open };
}
