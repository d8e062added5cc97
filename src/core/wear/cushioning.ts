/**
 * Share of initial shock absorption that a running shoe keeps, 0 … 1, after a distance in km:
 * 1 − 0.0992 ln(1 + d / 7), our own curve through the published points.
 *
 * Source: Cook, Kester & Brunet 1985, Am J Sports Med, from memory: about 75 % after 50 mi, 67 % after
 * 100–150 mi, under 60 % between 250 and 500 mi. Wide variation between shoes.
 */
export const cushioningKept = (distanceKm: number): number =>
  Math.max(0.3, 1 - 0.0992 * Math.log(1 + Math.max(0, distanceKm) / 7));
