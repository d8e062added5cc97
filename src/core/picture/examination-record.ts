import { bandOf } from '../examination/bands';
import { figureIn, UNIT_LABEL } from '../units/parse';
import { type ClinicalPicture, NOT_EXAMINED } from './clinical-picture';
import type { FindingDefinition, Position } from './finding-kinds';
import { type AnyFindingValue, definitionOf, FINDING_IDS, type FindingId } from './findings';
import { INSTRUMENTS, type Taken } from './taken';

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

function valueInWords(definition: FindingDefinition, value: AnyFindingValue): string {
  switch (definition.kind) {
    case 'number':
      return `${figureIn(definition.unit, Number(value))} ${UNIT_LABEL[definition.unit]}`.trim();
    case 'choice':
      return definition.options[String(value)] ?? String(value);
    case 'set': {
      const chosen = value as string[];
      return chosen.length === 0 ? 'none' : chosen.map((key) => definition.options[key] ?? key).join(', ');
    }
    case 'text':
      return String(value);
  }
}

/** Every finding of a picture with how it was taken, in the order of work; what was not examined is listed apart. */
export function examinationRecord(picture: ClinicalPicture): {
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
      const value = (picture[place] as Record<string, AnyFindingValue | typeof NOT_EXAMINED>)[finding]!;
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
        instrument: how ? INSTRUMENTS[how.with] : definition.step === null ? 'derived' : '',
        at: how?.at ?? '',
        by: how?.by ?? '',
      });
    }
    if (missing.length > 0 && definition.step !== null)
      open.push({ label: definition.label, places: missing });
  }
  return { taken: lines, notExamined: open };
}
