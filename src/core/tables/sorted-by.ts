/** What rows are sorted by; nothing where it is not known. */
export type SortKey = string | number | undefined;

/** Rows in the order of their keys, equal ones as they were given; what is not known goes last whichever way. */
export function sortedBy<Row>(rows: readonly Row[], keyOf: (row: Row) => SortKey, down: boolean): Row[] {
  const keys = rows.map(keyOf);
  const known: number[] = [];
  const unknown: Row[] = [];
  for (const [at, row] of rows.entries()) {
    if (keys[at] === undefined) unknown.push(row);
    else known.push(at);
  }
  const turn = down ? -1 : 1;
  known.sort((one, other) => {
    const [a, b] = [keys[one]!, keys[other]!];
    return a < b ? -turn : a > b ? turn : 0;
  });
  const sorted: Row[] = [];
  for (const at of known) sorted.push(rows[at]!);
  return sorted.concat(unknown);
}
