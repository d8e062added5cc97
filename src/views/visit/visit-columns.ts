/** Steps, work and shoe beside one another, as high as the window; under one another on a narrow one. */
export const VISIT_COLUMNS =
  'grow grid grid-cols-1 content-start md:content-stretch md:grid-cols-[auto_1fr_minmax(17rem,23rem)] min-h-0 md:h-[calc(100vh-2.75rem)]';
