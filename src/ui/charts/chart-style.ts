import { Chart } from 'chart.js';

// A chart is drawn in the type of the page; in the browser alone, where there is one.
if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;

/** A colour of the page by its token: charts know no tokens. */
export const colourOf = (token: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(token).trim();
