import { fail, ok, type Result } from '../result/result';
import { parseNumber } from './quantity';

const TYPED = /^(.+?)\s*°?\s*([cf])?$/i;

/**
 * Degrees Celsius from `32.4`, `32,4 °C`, `90.3 F`. A number alone is Celsius.
 *
 * @example parseTemperature('91.4 F') // 33
 */
export function parseTemperature(text: string): Result<number> {
  const [, figure = '', unit = 'c'] = TYPED.exec(text.trim()) ?? [];
  const read = parseNumber(figure, 'A temperature is a number, such as 32.4 or 90 F.');
  if (!read.ok) return read;
  const celsius = unit.toLowerCase() === 'f' ? ((read.value - 32) * 5) / 9 : read.value;
  return Number.isFinite(celsius) ? ok(celsius) : fail('not-a-number', 'A temperature is a number.');
}
