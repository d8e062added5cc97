import type { SizingGroup } from '../findings/findings';
import { fail, ok, type Result } from '../result/result';
import { nearestHalf, SIZE_SYSTEM_LABEL, type SizeSystem, scaleReading, sizeOfLast } from './systems';
import { jisWidthLetter } from './widths';

export interface SizeRow {
  system: SizeSystem;
  label: string;
  /** Unrounded. */
  exact: number;
  /** Nearest size that is made. */
  size: number;
  /** What follows the size where the system names a width too; empty where it does not or none was measured. */
  width: string;
  assumption: string;
}

/** Mondopoint grid steps of 5 mm; the size taken is the next one up, because a shorter one does not hold the foot. */
const upTo = (step: number, value: number): number => Math.ceil(value / step - 1e-9) * step;

/** What else is known of the foot, for systems that name width too. */
export interface FootWidths {
  ballWidthMm?: number;
  ballGirthMm?: number;
  group?: SizingGroup;
}

/**
 * One foot length in every size system, each with the assumption that made it.
 *
 * @param footMm longer foot, standing, 90–360 mm
 * @param allowanceMm what the maker adds to the foot, 8–25 mm; 13.3 mm (two Paris points) and 16.9 mm (two barleycorns) are common
 */
export function sizeTable(
  footMm: number,
  allowanceMm = MM_TWO_POINTS,
  { ballWidthMm, ballGirthMm, group = 'men' }: FootWidths = {},
): Result<SizeRow[]> {
  if (!(footMm >= 90 && footMm <= 360))
    return fail('impossible', 'A foot length lies between 90 and 360 mm.');
  const last = footMm + allowanceMm;
  const added = Math.round(allowanceMm * 10) / 10;
  const row = (
    system: SizeSystem,
    exact: number,
    size: number,
    assumption: string,
    label = SIZE_SYSTEM_LABEL[system],
    width = '',
  ): SizeRow => ({ system, label, exact, size, width, assumption });
  const eu = sizeOfLast('eu', last, allowanceMm);
  const euFrom = 0.15 * footMm + 2;
  const scale = (system: keyof typeof scaleReading, assumption: string) =>
    row(system, scaleReading[system](footMm), nearestHalf(scaleReading[system](footMm)), assumption);
  const jis = ballGirthMm === undefined ? '' : (jisWidthLetter(ballGirthMm, footMm, group) ?? '');
  const gap = scaleReading['us-men'](footMm) + 1.5;
  const rows = [
    row(
      'mondopoint',
      footMm,
      upTo(5, footMm),
      'foot length, next 5 mm step up; the width after it is the foot’s',
      undefined,
      ballWidthMm === undefined ? '' : `/${Math.round(ballWidthMm)}`,
    ),
    row('mondopoint', footMm, upToPhased(footMm), 'foot length, next 7.5 mm step up', 'Mondopoint, 7.5 mm'),
    row(
      'eu',
      eu,
      nearestHalf(eu),
      `last = foot + ${added} mm; makers add 13–20 mm: ${tenth(euFrom)} to ${tenth(euFrom + 1)}`,
    ),
    scale('uk', 'foot scale, two barleycorns added'),
    scale('us-men', 'foot scale, 3 × inches − 22'),
    scale('us-women', 'foot scale, men’s + 1'),
    row('us-women-wide-gap', gap, nearestHalf(gap), 'foot scale, men’s + 1.5, as some makers count'),
    row(
      'japan',
      footMm / 10,
      upTo(5, footMm) / 10,
      'foot length, next half centimetre up; letter from ball girth',
      undefined,
      jis ? ` ${jis}` : '',
    ),
  ];
  const child = scaleReading['uk-child'](footMm);
  if (child > 0 && child < 14)
    rows.push(scale('uk-child', 'foot scale, two barleycorns added; restarts after 13'));
  return ok(rows);
}

const tenth = (value: number): string => (Math.round(value * 10) / 10).toFixed(1);

/** The 7.5 mm grid runs through 240 mm (footwear reference §1, phase recalled at 70 %). */
const upToPhased = (mm: number): number => 240 + upTo(7.5, mm - 240);

/** Allowance of two Paris points: the common table EU = 1.5 × foot (cm) + 2. */
export const MM_TWO_POINTS = 40 / 3;
