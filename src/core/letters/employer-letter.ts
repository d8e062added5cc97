import type { PatientSheet } from '../aftercare/patient-sheet';
import { isSheetText } from '../texts/english';
import type { Speech } from '../texts/speech';
import { type Direction, directionOf } from '../texts/tags';

/** What an employer is told of a pair: what it is and how to keep it, and nothing of the person who wears it. */
export interface EmployerLetter {
  language: string;
  direction: Direction;
  clinic: string;
  to: string;
  title: string;
  says: string;
  pairHead: string;
  pair: string[];
  featuresHead: string;
  features: string[];
  lines: string[];
  call: string;
}

/** Features whose option is a thing to see on the shoe, and neither a reason nor a complaint. */
const SEEN = ['toeProtection', 'tread', 'water'] as const;

/**
 * A letter to the employer of somebody who wears the pair at work. It takes from the sheet only what anybody can see on the pair, and
 * days.
 *
 * @param doneOn the day from which the pair is worn all day; null where it is worn so at once
 */
export function employerLetter(sheet: PatientSheet, doneOn: string | null, speech: Speech): EmployerLetter {
  const { say, day, language } = speech;
  const { values, replaceBetween } = sheet;
  const features = SEEN.flatMap((feature) => {
    const key = `has.${String(values[feature])}`;
    return isSheetText(key) ? [say(key)] : [];
  });
  const closes = `closes.${String(values.closure ?? 'laces')}`;
  return {
    language,
    direction: directionOf(language),
    clinic: sheet.clinic,
    to: say('employer.to'),
    title: say('employer.title', { patient: sheet.patient }),
    says: say('employer.says', { patient: sheet.patient, on: day(sheet.startedOn) }),
    pairHead: say('employer.pair'),
    pair: [sheet.shoe, say('size', { size: sheet.size })],
    featuresHead: say('employer.features'),
    features: [...features, ...(isSheetText(closes) ? [say('has.closes', { what: say(closes) })] : [])],
    lines: [
      say('employer.same'),
      ...(doneOn !== null && doneOn > sheet.startedOn ? [say('employer.wear-in', { on: day(doneOn) })] : []),
      ...(replaceBetween
        ? [say('employer.replace', { from: day(replaceBetween.from), to: day(replaceBetween.to) })]
        : []),
      say('employer.code'),
      say('employer.private'),
    ],
    call: sheet.phone === '' ? '' : say('employer.call', { phone: sheet.phone }),
  };
}
