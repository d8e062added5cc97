import type { PatientSheet } from './patient-sheet';

/** Every sentence of a sheet, without headings and without the box that says when to stop. */
export const linesOf = (sheet: PatientSheet): string[] => [
  ...sheet.points.map(({ text }) => text),
  ...sheet.howItFits,
  ...(sheet.lacing.kind === 'laced'
    ? [...sheet.lacing.shoes.flatMap(({ because, steps }) => [...because, ...steps]), ...sheet.lacing.after]
    : sheet.lacing.steps),
  ...sheet.breakIn.weeks.map(({ text }) => text),
  ...sheet.breakIn.lines,
  ...sheet.skin,
  ...sheet.care,
  ...sheet.dates,
  ...sheet.changes,
];
