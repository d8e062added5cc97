import { MM_PER_INCH, mmToInch } from '../units/length';

/** One UK or US size is a barleycorn, a third of an inch. By definition. */
export const MM_PER_BARLEYCORN = MM_PER_INCH / 3;
/** One Paris point is two thirds of a centimetre. By definition. */
export const MM_PER_PARIS_POINT = 20 / 3;

export type SizeSystem =
  | 'mondopoint'
  | 'eu'
  | 'uk'
  | 'us-men'
  | 'us-women'
  | 'us-women-wide-gap'
  | 'japan'
  | 'uk-child';

export const SIZE_SYSTEM_LABEL: Record<SizeSystem, string> = {
  mondopoint: 'Mondopoint',
  eu: 'EU',
  uk: 'UK',
  'us-men': 'US men’s',
  'us-women': 'US women’s',
  'us-women-wide-gap': 'US women’s (men’s + 1.5)',
  japan: 'JP cm',
  'uk-child': 'UK child',
};

/**
 * Size of a last of a given length, in millimetres, unrounded. Mondopoint and Japan name the foot, not the
 * last, so they take the allowance off again.
 *
 * @param lastMm last length: foot plus allowance
 * @param allowanceMm what the maker adds to the foot; an assumption to be named wherever the size is shown
 * Sources: ISO 9407 (Mondopoint), Paris point and barleycorn by definition, JIS S 5037; US offsets common practice.
 */
export function sizeOfLast(system: SizeSystem, lastMm: number, allowanceMm: number): number {
  const barleycorns = 3 * mmToInch(lastMm);
  switch (system) {
    case 'eu':
      return lastMm / MM_PER_PARIS_POINT;
    case 'uk':
      return barleycorns - 25;
    case 'us-men':
      return barleycorns - 24;
    case 'us-women':
      return barleycorns - 23;
    case 'us-women-wide-gap':
      return barleycorns - 22.5;
    case 'uk-child':
      return barleycorns - 12;
    case 'mondopoint':
      return lastMm - allowanceMm;
    case 'japan':
      return (lastMm - allowanceMm) / 10;
  }
}

/** The inverse: last length in millimetres that a size stands for. */
export function lastOfSize(system: SizeSystem, size: number, allowanceMm: number): number {
  switch (system) {
    case 'eu':
      return size * MM_PER_PARIS_POINT;
    case 'uk':
      return (size + 25) * MM_PER_BARLEYCORN;
    case 'us-men':
      return (size + 24) * MM_PER_BARLEYCORN;
    case 'us-women':
      return (size + 23) * MM_PER_BARLEYCORN;
    case 'us-women-wide-gap':
      return (size + 22.5) * MM_PER_BARLEYCORN;
    case 'uk-child':
      return (size + 12) * MM_PER_BARLEYCORN;
    case 'mondopoint':
      return size + allowanceMm;
    case 'japan':
      return size * 10 + allowanceMm;
  }
}

/**
 * Size read off a foot-measuring scale (the scale is for the foot, not the last).
 * US men = 3 F(in) − 22, women = 3 F(in) − 21: common practice, consistent with an allowance of two barleycorns.
 */
export const scaleReading = {
  'us-men': (footMm: number): number => 3 * mmToInch(footMm) - 22,
  'us-women': (footMm: number): number => 3 * mmToInch(footMm) - 21,
  uk: (footMm: number): number => 3 * mmToInch(footMm) - 23,
  /** Source: BS 5943 anchor (child 0 at 4 in of last), two barleycorns added; recalled at 80 %. */
  'uk-child': (footMm: number): number => 3 * mmToInch(footMm) - 10,
} as const;

/** To the nearest half size, the larger when in between. */
export const nearestHalf = (size: number): number => Math.floor(size * 2 + 0.5 + 1e-9) / 2;
