import { fail, ok, type Result } from '../result';
import { nearestHalf, SIZE_SYSTEM_LABEL, type SizeSystem, scaleReading, sizeOfLast } from './systems';

export interface SizeRow {
  system: SizeSystem;
  label: string;
  /** Unrounded. */
  exact: number;
  /** Nearest size that is made. */
  size: number;
  assumption: string;
}

/** Mondopoint grid steps of 5 mm; the size taken is the next one up, because a shorter one does not hold the foot. */
const upTo = (step: number, value: number): number => Math.ceil(value / step - 1e-9) * step;

/**
 * One foot length in every size system, each with the assumption that made it.
 *
 * @param footMm longer foot, standing, 90–360 mm
 * @param allowanceMm what the maker adds to the foot, 8–25 mm; 13.3 mm (two Paris points) and 16.9 mm (two barleycorns) are common
 */
export function sizeTable(footMm: number, allowanceMm = MM_TWO_POINTS): Result<SizeRow[]> {
  if (!(footMm >= 90 && footMm <= 360))
    return fail('impossible', 'A foot length lies between 90 and 360 mm.');
  const last = footMm + allowanceMm;
  const fromLast = `last = foot + ${Math.round(allowanceMm * 10) / 10} mm`;
  const row = (system: SizeSystem, exact: number, size: number, assumption: string): SizeRow => ({
    system,
    label: SIZE_SYSTEM_LABEL[system],
    exact,
    size,
    assumption,
  });
  const eu = sizeOfLast('eu', last, allowanceMm);
  return ok([
    row('mondopoint', footMm, upTo(5, footMm), 'foot length, next 5 mm step up'),
    row('eu', eu, nearestHalf(eu), fromLast),
    row('uk', scaleReading.uk(footMm), nearestHalf(scaleReading.uk(footMm)), 'foot scale, two barleycorns'),
    row('us-men', scaleReading['us-men'](footMm), nearestHalf(scaleReading['us-men'](footMm)), 'foot scale'),
    row(
      'us-women',
      scaleReading['us-women'](footMm),
      nearestHalf(scaleReading['us-women'](footMm)),
      'foot scale, men’s + 1',
    ),
    row('japan', footMm / 10, upTo(5, footMm) / 10, 'foot length, next half centimetre up'),
  ]);
}

/** Allowance of two Paris points: the common table EU = 1.5 × foot (cm) + 2. */
export const MM_TWO_POINTS = 40 / 3;
