/** How every table goes out: no cell is taken for a formula. */
export const CSV = { newline: '\n', escapeFormulae: true } as const;

/** A table as a file. */
export const csvFile = (name: string, csv: string): Response =>
  new Response(csv, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.csv"`,
      'cache-control': 'no-store',
    },
  });
