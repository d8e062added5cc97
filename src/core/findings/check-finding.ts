import { fail, ok, type Result } from '../result/result';
import { parseIn, printIn } from '../units/parse';
import type { NumberQuestion } from './finding-kinds';

/** A number that was accepted, and the question to ask when it is unusual. */
export interface CheckedNumber {
  value: number;
  /** Set when the value is possible but outside the usual range. */
  sure?: string;
}

/** Slips seen at a tape: a factor ten either way, centimetres or inches typed for millimetres. */
const SLIPS: readonly [factor: number, what: string][] = [
  [10, 'centimetres typed for millimetres'],
  [25.4, 'inches typed for millimetres'],
  [0.1, 'a factor of ten'],
];

/**
 * Judges a typed number against a finding's two ranges: outside the possible one it is refused, with the
 * value that was probably meant; outside the plausible one it is accepted with a question.
 */
export function checkNumber(definition: NumberQuestion, value: number): Result<CheckedNumber> {
  const [lowest, highest] = definition.possible;
  const [low, high] = definition.plausible;
  const printed = printIn(definition.unit, value);
  if (definition.whole && !Number.isInteger(value))
    return fail('not-whole', `${definition.label} is counted in whole numbers.`);
  if (value < lowest || value > highest) {
    const range = `${printIn(definition.unit, lowest)} to ${printIn(definition.unit, highest)}`;
    const slip = SLIPS.find(([factor]) => value * factor >= low && value * factor <= high);
    const message = `${printed} cannot be right: ${definition.label.toLowerCase()} lies between ${range}.`;
    if (!slip) return fail('impossible', message);
    const meant = printIn(definition.unit, value * slip[0]);
    return fail('impossible', `${message} Did you mean ${meant} (${slip[1]})?`, meant);
  }
  if (value < low || value > high)
    return ok({ value, sure: `${printed} is unusual (usually ${low}–${high}). Measure again, or keep it.` });
  return ok({ value });
}

/** Typed text → a checked number in the finding's unit. */
export function readNumberFinding(definition: NumberQuestion, typed: string): Result<CheckedNumber> {
  const parsed = parseIn(definition.unit, typed);
  return parsed.ok ? checkNumber(definition, parsed.value) : parsed;
}
